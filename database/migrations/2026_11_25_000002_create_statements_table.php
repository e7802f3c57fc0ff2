<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('statements', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('animal_id')->constrained()->cascadeOnDelete();
            $table->text('text'); // in the notation, as typed
            $table->string('source', 12); // seller, own, laboratory, parents or offspring
            $table->string('who', 80)->nullable();
            $table->date('on')->nullable();
            $table->unsignedTinyInteger('certainty')->default(100); // in percent
            $table->boolean('names_all')->default(true); // whether a gene left out is seen not to show
            $table->text('note')->nullable();
            $table->uuid('form_token')->nullable();
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['animal_id', 'form_token']);
        });
        DB::table('animals')->orderBy('id')->each(function (object $animal): void {
            DB::table('statements')->insert([
                'animal_id' => $animal->id, 'text' => $animal->genotype, 'source' => 'own', 'created_at' => $animal->created_at,
                'updated_at' => $animal->updated_at,
            ]);
        });
    }
};
