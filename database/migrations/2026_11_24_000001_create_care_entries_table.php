<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('care_entries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('animal_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 10); // weight, feed, shed or note
            $table->date('on');
            $table->unsignedInteger('grams')->nullable(); // of a weight
            $table->string('outcome', 12)->nullable(); // of a feed: taken, refused or regurgitated
            $table->string('prey', 60)->nullable(); // of a feed
            $table->text('words')->nullable();
            $table->uuid('form_token')->nullable(); // of the form that made it, so that a double click makes one entry
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['animal_id', 'form_token']);
            $table->index(['animal_id', 'on']);
        });
    }
};
