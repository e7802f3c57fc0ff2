<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('projects', function (Blueprint $table): void {
            $table->json('pinned')->default('[]'); // animals that every way must use
            $table->string('most_inbreeding', 12)->nullable(); // F of the target's animals, as a fraction
        });
    }
};
