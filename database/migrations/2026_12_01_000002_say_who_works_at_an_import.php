<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // Whoever works at it; another who takes it up changes this, and the first stops at its next step.
        Schema::table('imports', fn (Blueprint $table) => $table->uuid('worker')->nullable());
    }
};
