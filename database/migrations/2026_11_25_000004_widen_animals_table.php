<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('animals', function (Blueprint $table): void {
            $table->string('sex', 10)->nullable()->change(); // null where it is not known
            $table->dropColumn('genotype'); // now in statements
        });
        Schema::table('animals', function (Blueprint $table): void {
            $table->string('number', 40)->nullable();
            $table->string('sex_found', 12)->nullable(); // popped, probed, bred or told
            $table->unsignedTinyInteger('sex_certainty')->default(100); // in percent
            $table->string('hatched_precision', 5)->default('day'); // day, month or year
            $table->string('source', 120)->nullable();
            $table->date('acquired_on')->nullable();
            $table->unsignedInteger('price_cents')->nullable();
            $table->foreignId('rack_id')->nullable()->constrained()->nullOnDelete();
            $table->unsignedTinyInteger('rack_row')->nullable();
            $table->unsignedTinyInteger('rack_column')->nullable();
            $table->foreignId('clutch_id')->nullable()->constrained()->nullOnDelete();
            $table->softDeletes();
            $table->unique(['user_id', 'number']);
            $table->unique(['rack_id', 'rack_row', 'rack_column']);
        });
        foreach (DB::table('animals')->orderBy('id')->get(['id', 'user_id']) as $animal) {
            $count = DB::table('animals')->where('user_id', $animal->user_id)->whereNotNull('number')->count();
            DB::table('animals')->where('id', $animal->id)->update(['number' => sprintf('%03d', $count + 1)]);
        }
    }
};
