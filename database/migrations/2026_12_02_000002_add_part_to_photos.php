<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('photos', function (Blueprint $table): void { // which part of the picture shows the animal; null for all of it
            $table->unsignedSmallInteger('across')->nullable(); // of its middle, in thousandths of the width
            $table->unsignedSmallInteger('down')->nullable(); // in thousandths of the height
            $table->unsignedSmallInteger('side')->nullable(); // of a square, in thousandths of the shorter side
        });
    }
};
