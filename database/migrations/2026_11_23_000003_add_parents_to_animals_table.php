<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('animals', function (Blueprint $table): void {
            // A parent is an animal of the collection, or one outside that is known by name only.
            foreach (['sire', 'dam'] as $parent) {
                $table->foreignId("{$parent}_id")->nullable()->constrained('animals')->nullOnDelete();
                $table->string("{$parent}_name", 80)->nullable();
            }
        });
    }
};
