<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('animals', function (Blueprint $table): void {
            // what was written where the genes are not known yet; null: they are, or follow from the parents
            $table->text('genes_open')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('animals', fn (Blueprint $table) => $table->dropColumn('genes_open'));
    }
};
