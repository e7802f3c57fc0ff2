<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('decisions', function (Blueprint $table): void {
            $table->string('instead', 60)->nullable()->after('alleles');
        });
    }
};
