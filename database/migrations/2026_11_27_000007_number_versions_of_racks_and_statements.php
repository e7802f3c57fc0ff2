<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        foreach (['racks', 'statements'] as $table) {
            Schema::table($table, function (Blueprint $table): void {
                $table->unsignedInteger('version')->default(1); // rises with every change, so that two windows notice each other
            });
        }
    }

    public function down(): void
    {
        foreach (['racks', 'statements'] as $table) {
            Schema::table($table, fn (Blueprint $table) => $table->dropColumn('version'));
        }
    }
};
