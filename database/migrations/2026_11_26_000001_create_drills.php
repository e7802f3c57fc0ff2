<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('drills', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('who');
            $table->string('item');
            $table->unsignedTinyInteger('box')->default(0);
            $table->date('due_on');
            $table->unsignedInteger('right')->default(0);
            $table->unsignedInteger('wrong')->default(0);
            $table->timestamps();
            $table->unique(['user_id', 'who', 'item']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('drills');
    }
};
