<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // What a keeper decided where young hatched that the records exclude; taken back by taking it out.
        Schema::create('decisions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('animal_id')->nullable()->constrained()->cascadeOnDelete(); // whom it is about,
            $table->foreignId('clutch_count_id')->nullable()->constrained()->cascadeOnDelete(); // or which count
            $table->string('kind', 20);
            $table->json('alleles');
            $table->text('reason');
            $table->date('on');
            $table->uuid('form_token')->nullable();
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['user_id', 'form_token']);
        });

        // What was believed when the keeper last looked, to tell what has changed since.
        Schema::create('digests', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->json('texts'); // by animal
            $table->timestamps();
        });

        // The notebook of an unknown trait.
        Schema::create('traits', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 80);
            $table->string('gene', 60)->nullable(); // the known gene that it may be allelic to
            $table->text('notes')->nullable();
            $table->unsignedInteger('version')->default(1);
            $table->uuid('form_token')->nullable();
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['user_id', 'form_token']);
        });
        Schema::create('trait_entries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('trait_id')->constrained()->cascadeOnDelete();
            $table->string('name', 80);
            $table->string('sex', 6);
            $table->string('look', 16); // normal, odd or strong, with " known" where the known gene shows
            $table->foreignId('sire_id')->nullable()->constrained('trait_entries')->nullOnDelete();
            $table->foreignId('dam_id')->nullable()->constrained('trait_entries')->nullOnDelete();
            $table->unsignedTinyInteger('count')->default(1); // young alike
            $table->date('on');
            $table->uuid('form_token')->nullable();
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['trait_id', 'form_token']);
        });
    }
};
