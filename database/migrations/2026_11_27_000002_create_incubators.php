<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // An incubator or a box in one; readings come to it by the name that the probe uses for its place.
        Schema::create('incubators', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 60);
            $table->string('place', 60);
            $table->decimal('celsius', 4, 2); // what it is set to
            $table->decimal('low', 4, 2);
            $table->decimal('high', 4, 2);
            $table->unsignedTinyInteger('humid_low')->nullable();
            $table->unsignedTinyInteger('humid_high')->nullable();
            $table->string('notes', 1000)->nullable();
            $table->uuid('form_token')->nullable();
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['user_id', 'form_token']);
            $table->index(['user_id', 'place']);
        });
        Schema::table('clutches', fn (Blueprint $table) => $table->foreignId('incubator_id')->nullable()->constrained()->nullOnDelete());
        Schema::table('readings', function (Blueprint $table): void {
            $table->dropIndex(['user_id', 'place', 'at']); // the next one begins alike
            $table->index(['user_id', 'place', 'kind', 'at', 'value']);
        });
    }
};
