<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('racks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 60);
            $table->unsignedTinyInteger('rows');
            $table->unsignedTinyInteger('columns');
            $table->unsignedInteger('position')->default(0);
            $table->uuid('form_token')->nullable();
            $table->timestamps();
            $table->unique(['user_id', 'form_token']);
        });

        Schema::create('clutches', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('dam_id')->constrained('animals')->restrictOnDelete();
            $table->string('label', 60)->nullable();
            $table->date('paired_on')->nullable();
            $table->date('laid_on')->nullable();
            $table->unsignedTinyInteger('eggs_good')->nullable();
            $table->unsignedTinyInteger('eggs_infertile')->nullable();
            $table->date('hatched_on')->nullable();
            $table->unsignedTinyInteger('hatched')->nullable();
            $table->text('reason')->nullable(); // why a pairing that the house rules warn of is made all the same
            $table->text('notes')->nullable();
            $table->unsignedInteger('version')->default(1);
            $table->uuid('form_token')->nullable();
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['user_id', 'form_token']);
        });

        // The possible sires: of the collection, or outside it by name.
        Schema::create('clutch_sires', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('clutch_id')->constrained()->cascadeOnDelete();
            $table->foreignId('animal_id')->nullable()->constrained()->restrictOnDelete();
            $table->string('name', 80)->nullable();
            $table->unique(['clutch_id', 'animal_id']);
        });

        // Hatchlings and dead eggs that only were seen: "5 × not Genetic Stripe".
        Schema::create('clutch_counts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('clutch_id')->constrained()->cascadeOnDelete();
            $table->string('saw', 400); // a condition in the notation of targets
            $table->unsignedTinyInteger('count');
            $table->boolean('dead')->default(false); // dead in the egg
            $table->string('note', 200)->nullable();
            $table->uuid('form_token')->nullable();
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['clutch_id', 'form_token']);
        });
    }
};
