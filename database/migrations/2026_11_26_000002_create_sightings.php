<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('sightings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('animal_id')->constrained()->cascadeOnDelete();
            $table->string('cue', 60);
            $table->string('state', 120);
            $table->date('on');
            $table->string('who', 80)->nullable(); // another keeper's opinion; null: the collection's own
            $table->uuid('form_token')->nullable();
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['animal_id', 'form_token']);
            $table->index(['animal_id', 'cue']);
        });
        Schema::create('alike_sets', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('clutch_id')->constrained()->cascadeOnDelete();
            $table->string('target', 400);
            $table->json('animals');
            $table->uuid('form_token')->nullable();
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['clutch_id', 'form_token']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('alike_sets');
        Schema::dropIfExists('sightings');
    }
};
