<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('status_events', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('animal_id')->constrained()->cascadeOnDelete();
            $table->string('status', 12);
            $table->date('on');
            $table->string('reason', 400)->nullable();
            $table->date('review_on')->nullable();
            $table->uuid('form_token')->nullable();
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['animal_id', 'form_token']);
            $table->index(['animal_id', 'on']);
        });

        Schema::create('observations', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('animal_id')->constrained()->cascadeOnDelete();
            $table->string('condition', 60); // a condition of the catalogue, or the keeper's own word
            $table->string('grade', 10); // none, slight, moderate or severe
            $table->date('on');
            $table->string('note', 400)->nullable();
            $table->uuid('form_token')->nullable();
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['animal_id', 'form_token']);
        });

        Schema::create('photos', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('animal_id')->constrained()->cascadeOnDelete();
            $table->date('on');
            $table->string('caption', 200)->nullable();
            $table->string('file', 120); // in the folder of photographs
            $table->unsignedInteger('width');
            $table->unsignedInteger('height');
            $table->uuid('form_token')->nullable();
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['animal_id', 'form_token']);
        });

        Schema::create('readings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('place', 60);
            $table->string('kind', 12); // temperature in °C or humidity in %
            $table->decimal('value', 6, 2);
            $table->timestamp('at');
            $table->uuid('token')->nullable(); // of the message, so that one sent twice is kept once
            $table->timestamps();
            $table->unique(['user_id', 'token']);
            $table->index(['user_id', 'place', 'at']);
        });
    }
};
