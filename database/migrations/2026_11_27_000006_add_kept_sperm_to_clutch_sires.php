<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('clutch_sires', function (Blueprint $table): void {
            $table->unsignedTinyInteger('kept')->nullable(); // percent: of an earlier season, whose sperm she may have kept
        });
    }
};
