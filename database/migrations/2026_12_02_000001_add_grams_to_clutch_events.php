<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('clutch_events', fn (Blueprint $table) => $table->unsignedSmallInteger('grams')->nullable()); // laid: all eggs together
    }
};
