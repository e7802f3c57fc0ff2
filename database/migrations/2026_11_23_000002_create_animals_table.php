<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('animals', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 80);
            $table->string('sex', 10);
            $table->date('hatched_on')->nullable();
            $table->text('genotype'); // in the notation, as the keeper typed it
            $table->text('notes')->nullable();
            $table->unsignedInteger('version')->default(1); // rises with every change, so that two windows notice each other
            $table->uuid('form_token')->nullable(); // of the form that made it, so that a double click makes one animal
            $table->timestamps();
            $table->unique(['user_id', 'form_token']);
            $table->index(['user_id', 'name']);
        });
    }
};
