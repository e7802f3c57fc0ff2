<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // The last weight and the last meal of every animal are looked up for lists and racks.
        Schema::table('care_entries', function (Blueprint $table): void {
            $table->index(['kind', 'animal_id', 'on']);
        });
    }
};
