<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    /** Tables whose rows belong to another record, and through it to a collection: table => [parent's table, foreign key]. */
    private const OF = [
        'statements' => ['animals', 'animal_id'], 'status_events' => ['animals', 'animal_id'], 'care_entries' => ['animals', 'animal_id'],
        'observations' => ['animals', 'animal_id'], 'photos' => ['animals', 'animal_id'], 'clutch_sires' => ['clutches', 'clutch_id'],
        'trait_entries' => ['traits', 'trait_id'], 'plans' => ['projects', 'project_id'],
    ];

    public function up(): void
    {
        $this->createEvents();
        $this->carryDatesOver();
        $counts = $this->carryCountsOver();
        $this->carryDecisionsOver($counts);
        foreach (['paired_on', 'laid_on', 'eggs_good', 'eggs_infertile', 'hatched_on', 'hatched'] as $column) {
            Schema::table('clutches', fn (Blueprint $table) => $table->dropColumn($column));
        }
        Schema::drop('clutch_counts');
        foreach (self::OF as $table => [$parents, $key]) {
            Schema::table($table, fn (Blueprint $columns) => $columns->foreignId('user_id')->nullable()->constrained()->cascadeOnDelete());
            DB::statement("update {$table} set user_id = (select user_id from {$parents} where {$parents}.id = {$table}.{$key})");
            Schema::table($table, fn (Blueprint $columns) => $columns->index('user_id'));
        }
    }

    private function createEvents(): void
    {
        // What happens in a season, each on its day: introduced, lock, ovulation, laid, hatched, counted and more.
        Schema::create('clutch_events', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('clutch_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 12);
            $table->date('on')->nullable(); // null where the day is not known
            $table->unsignedTinyInteger('count')->nullable(); // hatched: young; laid: good eggs; counted: so many
            $table->unsignedTinyInteger('infertile')->nullable(); // laid: infertile eggs
            $table->string('saw', 400)->nullable(); // counted: a condition in the notation of targets
            $table->boolean('dead')->default(false); // counted: dead in the egg
            $table->string('note', 200)->nullable();
            $table->uuid('form_token')->nullable();
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['clutch_id', 'form_token']);
            $table->index(['clutch_id', 'kind']);
            $table->index(['user_id', 'on']);
        });
    }

    private function carryDatesOver(): void
    {
        foreach (DB::table('clutches')->orderBy('id')->lazyById() as $clutch) {
            $event = fn (string $kind, array $values): array => $values + [
                'user_id' => $clutch->user_id, 'clutch_id' => $clutch->id, 'kind' => $kind, 'on' => null, 'count' => null,
                'infertile' => null,
                'created_at' => $clutch->created_at, 'updated_at' => $clutch->updated_at,
            ];
            $events = [];
            if ($clutch->paired_on !== null) {
                $events[] = $event('introduced', ['on' => $clutch->paired_on]);
            }
            if ($clutch->laid_on !== null || $clutch->eggs_good !== null || $clutch->eggs_infertile !== null) {
                $events[] = $event('laid', [
                    'on' => $clutch->laid_on, 'count' => $clutch->eggs_good, 'infertile' => $clutch->eggs_infertile,
                ]);
            }
            if ($clutch->hatched_on !== null || $clutch->hatched !== null) {
                $events[] = $event('hatched', ['on' => $clutch->hatched_on, 'count' => $clutch->hatched]);
            }
            DB::table('clutch_events')->insert($events);
        }
    }

    /** @return array<int, int> number of the event by that of the count */
    private function carryCountsOver(): array
    {
        $numbers = [];
        $rows = DB::table('clutch_counts')->join('clutches', 'clutches.id', '=', 'clutch_counts.clutch_id')->orderBy('clutch_counts.id');
        foreach ($rows->get(['clutch_counts.*', 'clutches.user_id']) as $count) {
            $numbers[$count->id] = DB::table('clutch_events')->insertGetId([
                'user_id' => $count->user_id, 'clutch_id' => $count->clutch_id, 'kind' => 'counted', 'saw' => $count->saw,
                'count' => $count->count,
                'dead' => $count->dead, 'note' => $count->note, 'form_token' => $count->form_token,
                'created_at' => $count->created_at, 'updated_at' => $count->updated_at, 'deleted_at' => $count->deleted_at,
            ]);
        }
        foreach (DB::table('activity_log')->where('subject_type', 'count')->orderBy('id')->get(['id', 'subject_id']) as $entry) {
            DB::table('activity_log')->where('id', $entry->id)->update(['subject_id' => $numbers[$entry->subject_id] ?? 0]);
        }

        return $numbers;
    }

    /** @param array<int, int> $counts */
    private function carryDecisionsOver(array $counts): void
    {
        Schema::table(
            'decisions',
            fn (Blueprint $table) => $table->foreignId('count_id')->nullable()->constrained('clutch_events')->cascadeOnDelete(),
        );
        foreach (DB::table('decisions')->whereNotNull('clutch_count_id')->get(['id', 'clutch_count_id']) as $decision) {
            DB::table('decisions')->where('id', $decision->id)->update(['count_id' => $counts[$decision->clutch_count_id] ?? null]);
        }
        Schema::table('decisions', fn (Blueprint $table) => $table->dropConstrainedForeignId('clutch_count_id'));
    }
};
