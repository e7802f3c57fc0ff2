<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('house_rules', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->unique()->constrained()->cascadeOnDelete();
            $table->json('choices'); // only what differs from the defaults
            $table->unsignedInteger('version')->default(1);
            $table->timestamps();
        });

        // What a keeper adds to the gene facts; the shipped entry stays beside it.
        Schema::create('gene_changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 10); // gene, alias or cue
            $table->string('gene', 60);
            $table->json('data');
            $table->uuid('form_token')->nullable();
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['user_id', 'form_token']);
        });

        Schema::create('saved_searches', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 60);
            $table->string('query', 2000);
            $table->timestamps();
            $table->unique(['user_id', 'name']);
        });
    }
};
