<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('observations', function (Blueprint $table): void {
            $table->string('place', 60)->nullable(); // where on the body
            $table->string('decision', 14)->nullable(); // what the keeper decided then
        });
    }
};
