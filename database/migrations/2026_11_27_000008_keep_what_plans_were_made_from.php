<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('plans', function (Blueprint $table): void {
            $table->json('given')->nullable(); // destino-project/1: null for plans that were made before this was kept
            $table->string('version', 40)->nullable(); // of the code and the gene facts
        });
    }

    public function down(): void
    {
        Schema::table('plans', function (Blueprint $table): void {
            $table->dropColumn(['given', 'version']);
        });
    }
};
