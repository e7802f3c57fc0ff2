<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // What animals of a look and sex go for; amounts are whole minor units of the house's currency throughout.
        Schema::create('prices', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('target', 400);
            $table->unsignedBigInteger('low');
            $table->unsignedBigInteger('high');
            $table->string('note', 200)->nullable();
            $table->uuid('form_token')->nullable();
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['user_id', 'form_token']);
        });
        // One animal that is offered, reserved or sold: when, is its status.
        Schema::create('sales', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('animal_id')->unique()->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('asking')->nullable();
            $table->unsignedBigInteger('deposit')->nullable();
            $table->unsignedBigInteger('price')->nullable();
            $table->string('buyer', 120)->nullable();
            $table->date('sent_on')->nullable();
            $table->string('note', 400)->nullable();
            $table->timestamps();
        });
        // What else costs or brings money.
        Schema::create('bookings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 12);
            $table->date('on');
            $table->unsignedBigInteger('amount');
            $table->foreignId('animal_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('project_id')->nullable()->constrained()->nullOnDelete();
            $table->string('note', 200)->nullable();
            $table->uuid('form_token')->nullable();
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['user_id', 'form_token']);
            $table->index(['user_id', 'on']);
        });
    }
};
