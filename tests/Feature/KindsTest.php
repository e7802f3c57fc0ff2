<?php

namespace Tests\Feature;

use App\Exchange\Archive\Archive;
use App\Exchange\Archive\Schema;
use App\Models\Clutch;
use App\Models\ClutchEvent;
use App\Models\CollectionRecord;
use App\Models\Enums\EventKind;
use App\Models\KeepsHistory;
use App\Models\Kinds;
use App\Models\RecordKind;
use App\Models\Removable;
use App\Models\User;
use App\Photos\Darkroom;
use Destino\Inference\Faults\FaultKind;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Schema as Tables;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Kinds of records are described once: what the description says is what the records are. */
class KindsTest extends TestCase
{
    use RefreshDatabase;

    /** Fields that are no part of what was recorded: they make a double click write once. */
    private const TOKENS = ['form_token', 'token'];

    /** @return iterable<string, array{RecordKind}> */
    public static function kinds(): iterable
    {
        foreach (Kinds::all() as $name => $kind) {
            yield $name => [$kind];
        }
    }

    #[DataProvider('kinds')]
    public function test_everything_that_can_be_recorded_is_described(RecordKind $kind): void
    {
        $record = new $kind->class;
        $columns = Tables::getColumnListing($record->getTable());
        $this->assertContains('user_id', $columns, 'every row has the collection that it belongs to');
        $this->assertSame($kind->name, $record->getMorphClass());
        $described = [...array_keys($kind->fields), ...array_keys($kind->references), ...array_keys($kind->lists)];
        $this->assertSame([], array_diff($described, $columns));
        if (! in_array($kind->name, ['rules', 'plan', 'import'], true)) { // a document of their own; worked out anew; of this installation
            $recorded = array_intersect($record->getFillable(), $columns);
            $this->assertEqualsCanonicalizing(
                array_values(array_diff($recorded, self::TOKENS)), $described, 'nothing is left out of an archive',
            );
        }
        foreach ($kind->children as $relation => $child) {
            $this->assertInstanceOf(Kinds::named($child)->class, $record->{$relation}()->getRelated());
        }
        $this->assertSame($kind->removal !== null, $record instanceof Removable);
        $this->assertSame($record instanceof Removable, in_array(SoftDeletes::class, class_uses_recursive($record), true));
        foreach ([...array_values($kind->references), ...array_values($kind->lists)] as $of) {
            $this->assertTrue(Kinds::named($of)->isNumbered);
        }
    }

    public function test_no_record_is_without_a_description(): void
    {
        $described = array_map(fn (RecordKind $kind): string => $kind->class, Kinds::all());
        $found = 0;
        foreach (File::files(app_path('Models')) as $file) {
            $class = 'App\\Models\\'.$file->getFilenameWithoutExtension();
            if (is_a($class, CollectionRecord::class, true) && is_a($class, Model::class, true)) {
                $this->assertContains($class, $described);
                $found++;
            }
        }
        $this->assertSame(count($described), $found);
    }

    public function test_every_kind_that_is_taken_out_leaves_a_trace_in_the_history(): void
    {
        foreach (Kinds::all() as $kind) {
            if ($kind->removal !== null) {
                $this->assertContains(KeepsHistory::class, class_uses_recursive($kind->class), $kind->name);
            }
        }
        $this->assertGreaterThan(12, count(array_filter(Kinds::all(), fn (RecordKind $kind): bool => $kind->removal !== null)));
    }

    public function test_the_schema_of_the_documents_is_the_one_that_the_kinds_make(): void
    {
        $kept = json_decode((string) file_get_contents(base_path('docs/formats/collection.schema.json')), true);
        $this->assertSame(json_decode((string) json_encode(Schema::document()), true), $kept);
    }

    public function test_a_clutch_is_what_happened_to_it(): void
    {
        $dam = $this->made(['name' => 'Dam']);
        $clutch = $this->keeper()->clutches()->create([
            'dam_id' => $dam->id, 'paired_on' => '2025-01-10', 'laid_on' => '2025-04-01', 'eggs_good' => 6,
        ]);
        $this->assertSame([['introduced', '2025-01-10', null], ['laid', '2025-04-01', 6]], $this->told($clutch));
        $this->assertSame('laid', $clutch->stage());
        $clutch->update(['hatched_on' => '2025-06-01', 'hatched' => 5, 'eggs_infertile' => 1]);
        $fresh = $clutch->fresh();
        $this->assertSame(['hatched', 5, 1, '2025'], [$fresh->stage(), $fresh->hatched, $fresh->eggs_infertile, $fresh->season()]);
        $this->assertCount(3, $fresh->events, 'one event of each kind');
        $fresh->update(['laid_on' => null, 'eggs_good' => null, 'eggs_infertile' => null]);
        $this->assertSame(
            ['introduced', 'hatched'], array_column($this->told($fresh->fresh()), 0), 'nothing is known of the laying any more',
        );
        $fresh->events()->create(['kind' => EventKind::Lock, 'on' => '2025-01-12']);
        $this->assertSame('2025-01-10', $fresh->fresh()->paired_on->format('Y-m-d'));
        $this->assertSame($this->keeper()->id, $fresh->events()->first()->collectionId());
    }

    public function test_an_event_that_is_undone_changes_where_the_clutch_stands(): void
    {
        $clutch = $this->keeper()->clutches()->create([
            'dam_id' => $this->made(['name' => 'Dam'])->id, 'laid_on' => '2025-04-01', 'hatched_on' => '2025-06-01',
            'hatched' => 5,
        ]);
        $event = $clutch->event(EventKind::Hatched);
        $this->delete(route('records.destroy', ['event', $event->id]))->assertSessionHasNoErrors();
        $this->assertSame('laid', $clutch->fresh()->stage());
        $this->post(route('records.restore', ['event', $event->id]))->assertSessionHasNoErrors();
        $this->assertSame('hatched', $clutch->fresh()->stage());
        $this->flushSession();
        $this->actingAs(User::factory()->create());
        $this->delete(route('records.destroy', ['event', $event->id]))->assertNotFound();
        $this->assertSame('hatched', $clutch->fresh()->stage());
    }

    public function test_a_decision_comes_back_from_an_archive_with_the_gene_that_was_meant(): void
    {
        $dam = $this->made(['name' => 'Dam']);
        $clutch = $this->keeper()->clutches()->create(['dam_id' => $dam->id, 'hatched_on' => '2025-06-01', 'hatched' => 3]);
        $count = $clutch->counts()->create(['saw' => 'Clown', 'count' => 2]);
        $this->keeper()->decisions()->create([
            'kind' => FaultKind::Misnamed, 'count_id' => $count->id, 'alleles' => ['clown'], 'instead' => 'piebald',
            'reason' => 'Seen again.', 'on' => '2025-07-01',
        ]);
        $to = $this->restored();
        $decision = $to->decisions()->sole();
        $this->assertSame(['piebald', '2 × Clown'], [$decision->instead, $decision->clutchCount()->first()->sentence()]);
        $this->assertNotSame($count->id, $decision->count_id);
    }

    public function test_an_archive_of_the_first_format_is_read(): void
    {
        $animal = fn (int $id, string $name, string $sex, ?int $dam = null): array => [
            'id' => $id, 'name' => $name, 'sex' => $sex, 'sire' => null, 'dam' => $dam, 'rack' => null,
            'clutch' => $dam === null ? null : 1,
            'statements' => [[
                'id' => $id, 'text' => 'Pastel', 'source' => 'own', 'certainty' => 100, 'names_all' => true, 'who' => null,
                'on' => null, 'note' => null,
            ]],
            'statusEvents' => [], 'observations' => [], 'care' => [], 'photos' => [], 'hatched_on' => null,
            'hatched_precision' => 'day', 'sex_certainty' => 100,
        ];
        $document = [
            'format' => 'destino-collection/1', 'rules' => [], 'genes' => [], 'racks' => [], 'searches' => [], 'readings' => [],
            'animals' => [$animal(1, 'Anchor', 'male'), $animal(2, 'Brightwater', 'female'), $animal(3, 'Young', 'male', 2)],
            'clutches' => [[
                'id' => 1, 'dam' => 2, 'label' => 'First', 'paired_on' => '2024-01-05', 'laid_on' => '2024-04-02',
                'eggs_good' => 6, 'eggs_infertile' => null,
                'hatched_on' => null, 'hatched' => 4, 'reason' => null, 'notes' => 'As it was.',
                'sires' => [['animal' => 1, 'name' => null], ['animal' => null, 'name' => 'of a friend']],
                'counts' => [[
                    'id' => 1, 'saw' => 'not Clown', 'count' => 3, 'dead' => false, 'note' => null,
                    'taken_out' => '2024-08-01 10:00:00',
                ]],
            ]],
            'history' => [[
                'kind' => 'count', 'id' => 1, 'event' => 'deleted', 'at' => '2024-08-01 10:00:00', 'who' => 'Owner',
                'before' => ['clutch_id' => 1], 'after' => [],
            ]],
        ];
        $path = (string) tempnam(sys_get_temp_dir(), 'destino-');
        file_put_contents($path, json_encode($document));
        [$lifted, $photos] = Archive::open($path);
        unlink($path);
        $this->assertSame(3, (new Archive($this->keeper(), app(Darkroom::class)))->take($lifted, $photos));
        $clutch = $this->keeper()->clutches()->sole();
        $this->assertSame([['hatched', null, 4], ['introduced', '2024-01-05', null], ['laid', '2024-04-02', 6]], $this->told($clutch));
        $this->assertSame(['Anchor', 'of a friend'], $clutch->sires()->with('animal')->get()->map->title()->all());
        $this->assertSame('Young', $clutch->hatchlings->sole()->name);
        $this->assertSame(0, $clutch->counts()->count());
        $this->assertSame(3, $clutch->counts()->withTrashed()->sole()->count);
        $this->assertSame(
            [['count', $clutch->counts()->withTrashed()->sole()->id]],
            DB::table('activity_log')->get()->map(fn (object $entry): array => [$entry->subject_type, $entry->subject_id])->all(),
        );
    }

    /** @return list<array{string, string|null, int|null}> */
    private function told(Clutch $clutch): array
    {
        return array_values(
            $clutch->events->map(
                fn (ClutchEvent $event): array => [$event->kind->value, $event->on?->format('Y-m-d'), $event->count],
            )->all(),
        );
    }

    private function restored(): User
    {
        $darkroom = app(Darkroom::class);
        $path = (string) tempnam(sys_get_temp_dir(), 'destino-');
        (new Archive($this->keeper(), $darkroom))->write($path);
        [$document, $photos] = Archive::open($path);
        unlink($path);
        $to = User::factory()->create();
        (new Archive($to, $darkroom))->take($document, $photos);

        return $to;
    }
}
