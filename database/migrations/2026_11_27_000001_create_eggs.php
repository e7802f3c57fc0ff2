<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // Eggs of a clutch as they lie in the box. What happens to one is an event of the clutch that names it.
        Schema::create('eggs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('clutch_id')->constrained()->cascadeOnDelete();
            $table->unsignedTinyInteger('number'); // as written on the shell
            $table->boolean('slug')->default(false); // taken for infertile when laid
            $table->unsignedTinyInteger('across')->default(50); // middle of the egg, percent of the box's width
            $table->unsignedTinyInteger('down')->default(50); // percent of the box's length
            $table->boolean('marked')->default(false); // its top is marked
            $table->boolean('apart')->default(false); // lay apart from the pile
            $table->unsignedTinyInteger('clump')->nullable(); // eggs stuck together share a number
            $table->unsignedSmallInteger('grams')->nullable(); // when laid
            $table->string('note', 200)->nullable();
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['clutch_id', 'number']);
        });
        Schema::table('clutch_events', function (Blueprint $table): void {
            $table->foreignId('egg_id')->nullable()->constrained('eggs')->cascadeOnDelete();
            $table->string('who', 80)->nullable(); // who opened it
        });
        // What a pairing is made for, in the notation of targets.
        Schema::table('clutches', fn (Blueprint $table) => $table->string('target', 400)->nullable());
    }
};
