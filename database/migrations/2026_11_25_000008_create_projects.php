<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('projects', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 80);
            $table->text('target'); // in the notation
            $table->unsignedTinyInteger('horizon')->default(8);
            $table->string('wanted', 8)->default('one'); // one animal, or a pair
            $table->unsignedTinyInteger('weight')->default(1); // against other projects of the season
            $table->unsignedInteger('budget')->nullable();
            $table->unsignedSmallInteger('tubs')->nullable();
            $table->json('offers'); // animals for sale: genes, sex, age in months, price
            $table->json('assumptions'); // those that differ from the defaults
            $table->json('forbidden'); // pairs of animals that are not to be mated
            $table->json('keep'); // how many to keep of a step, where it is not left to the plan
            $table->text('notes')->nullable();
            $table->date('begun_on')->nullable();
            $table->unsignedInteger('version')->default(1);
            $table->uuid('form_token')->nullable();
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['user_id', 'form_token']);
        });

        Schema::create('plans', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('project_id')->constrained()->cascadeOnDelete();
            $table->string('state', 10); // waiting, running, done, cancelled or failed
            $table->unsignedTinyInteger('progress')->default(0); // in percent
            $table->unsignedInteger('seed');
            $table->string('input', 40); // a hash of all that it was made from
            $table->json('result')->nullable();
            $table->timestamps();
            $table->index(['project_id', 'id']);
        });

        Schema::create('jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('queue')->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });

        Schema::create('failed_jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('uuid')->unique();
            $table->text('connection');
            $table->text('queue');
            $table->longText('payload');
            $table->longText('exception');
            $table->timestamp('failed_at')->useCurrent();
        });
    }
};
