<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('imports', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->uuid('upload')->unique(); // one file is brought in once
            $table->string('name', 120);
            $table->string('state', 12); // waiting, working, done, failed or taken back
            $table->unsignedTinyInteger('progress')->default(0); // percent
            $table->json('choices'); // columns, dates, whether repeats are wanted
            $table->json('animals'); // numbers of those that were made
            $table->json('receipt')->nullable(); // counts, remarks, rows that were left out
            $table->timestamps();
        });
    }
};
