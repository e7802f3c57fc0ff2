<?php

namespace Tests\Feature;

use App\Catalogue\CatalogueShelf;
use App\Collection\Doorway;
use App\Collection\Kept;
use App\Collection\Opened;
use App\Jobs\WorkOutBeliefs;
use App\Models\Animal;
use App\Models\Clutch;
use Destino\Inference\Faults\FaultKind;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Queue;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\TestCase;

/** What is kept of beliefs is never out of date: after every change it is what a fresh start would say. */
class KeptBeliefsTest extends TestCase
{
    use RefreshDatabase;

    public function test_what_is_kept_follows_every_change(): void
    {
        $chance = new Randomizer(new Mt19937(3));
        $this->family();
        $changes = $this->changes();
        $moved = 0;
        for ($step = 0; $step < 60; $step++) {
            $name = array_keys($changes)[$chance->getInt(0, count($changes) - 1)];
            $before = $this->texts();
            $changes[$name]($chance);
            $kept = $this->texts();
            $moved += $kept === $before ? 0 : 1;
            Cache::flush();
            $this->assertSame($this->texts(), $kept, "step {$step}: {$name}");
        }
        $this->assertGreaterThan(20, $moved, 'the changes do change something');
    }

    public function test_a_change_elsewhere_works_nothing_out_anew(): void
    {
        $this->family();
        $lone = $this->made(['name' => 'Lone', 'sex' => 'male', 'genotype' => 'Pastel']);
        $this->texts();
        $parts = fn (): array => app(Kept::class)->get("kin:{$this->keeper()->id}")['all'];
        $before = $parts();
        $lone->statements()->create(['text' => 'Pastel het Ultramel', 'source' => 'own']);
        $this->texts();
        $this->assertCount(
            count($before) - count(array_intersect($before, $parts())) + 1, array_diff($parts(), $before),
            'one part of one animal, and a new one',
        );
        $this->assertCount(2, array_intersect($before, $parts()), 'the family stays as it was, at both of its loci');
    }

    public function test_in_a_large_collection_what_follows_of_a_write_is_worked_out_while_nobody_waits(): void
    {
        $this->family();
        config(['queue.default' => 'database']);
        Queue::fake();
        $this->put('/house', ['error_unrecorded' => '7'])->assertSessionHasNoErrors();
        Queue::assertNotPushed(WorkOutBeliefs::class);
        for ($i = 0; $i < 100; $i++) {
            $this->keeper()->animals()->create(['name' => "Hull {$i}", 'sex' => 'male']);
        }
        $this->put('/house', ['error_unrecorded' => '8'])->assertSessionHasNoErrors();
        $this->put('/house', ['error_unrecorded' => '9'])->assertSessionHasNoErrors();
        $this->put('/house', ['error_unrecorded' => 'many'])->assertSessionHasErrors();
        $this->assertSame('quick', Queue::pushed(WorkOutBeliefs::class)->sole()->queue, 'one that waits will see both');

        Cache::flush();
        (new WorkOutBeliefs($this->keeper()->id))->handle(app(Doorway::class));
        $kept = (array) app(Kept::class)->get("beliefs:{$this->keeper()->id}");
        $this->assertNotSame([], $kept);
        $texts = $this->texts();
        $this->assertSame($kept, (array) app(Kept::class)->get("beliefs:{$this->keeper()->id}"), 'a page finds all of it');
        Cache::flush();
        $this->assertSame($this->texts(), $texts);
    }

    public function test_an_edited_gene_fact_or_school_counts_at_once(): void
    {
        $this->family();
        $before = $this->texts();
        $this->put('/house', ['error_unrecorded' => '7'])->assertSessionHasNoErrors();
        $this->assertSame($before, $this->texts(), 'a rate moves nothing where nothing is contradicted');
        $young = Animal::query()->where('name', 'Kept 1')->sole();
        $young->statements()->delete();
        $young->statements()->create(['text' => 'Clown Piebald', 'source' => 'own', 'on' => '2026-01-01']);
        $doubtful = $this->texts();
        $this->put('/house', ['error_unrecorded' => '400'])->assertSessionHasNoErrors();
        $this->assertNotSame($doubtful, $this->texts(), 'now it does');
    }

    public function test_a_long_silence_leaves_a_fraction_that_can_be_read_and_never_claims_to_be_sure(): void
    {
        $this->family();
        $clutch = $this->keeper()->clutches()->where('label', 'Two')->sole();
        $clutch->counts()->create(['saw' => 'not Clown', 'count' => 37]);
        $this->texts();
        $beliefs = app(Doorway::class)->open($this->keeper())->beliefs();
        foreach (['Sire', 'Other'] as $name) {
            $states = $beliefs->belief($this->keeper()->animals()->where('name', $name)->sole()->id)
                ->statesOver([app(CatalogueShelf::class)->catalogue()->groupOf('clown')]);
            $this->assertCount(2, $states, 'a rest of doubt stays');
            foreach ($states as [, $chance]) {
                $this->assertLessThan(20, strlen($chance->toString()));
                $this->assertGreaterThan(0.0, $chance->toFloat());
            }
        }
    }

    public function test_what_is_kept_is_found_by_the_code_that_made_it_and_for_its_database_only(): void
    {
        $folder = sys_get_temp_dir().'/destino-code-'.bin2hex(random_bytes(4));
        mkdir("{$folder}/Genome", recursive: true);
        file_put_contents("{$folder}/Genome/Law.php", '<?php // one');
        $store = app('cache.store');
        $kept = fn (string $database = 'one'): Kept => new Kept($store, Kept::version([$folder]), $database);
        $kept()->put('answer', 42);
        $this->assertSame(42, $kept()->get('answer'));
        $this->assertNull($kept('other')->get('answer'), 'another collection');
        touch("{$folder}/Genome/Law.php", time() - 60);
        clearstatcache();
        $this->assertNull($kept()->get('answer'), 'the same file, touched');
        $kept()->put('answer', 43);
        file_put_contents("{$folder}/Genome/New.php", '<?php');
        $this->assertNull($kept()->get('answer'), 'a file more');
        $kept()->put('answer', 44);
        $kept()->forget('answer');
        $this->assertNull($kept()->get('answer'));
        array_map(unlink(...), glob("{$folder}/Genome/*.php"));
        rmdir("{$folder}/Genome");
        rmdir($folder);
    }

    public function test_the_key_follows_the_files_of_the_core_themselves(): void
    {
        $file = base_path('core/Genome/Meiosis.php');
        $time = filemtime($file);
        $before = Kept::version([base_path('core')]);
        try {
            touch($file, $time + 1);
            clearstatcache();
            $this->assertNotSame($before, Kept::version([base_path('core')]));
        } finally {
            touch($file, $time);
            clearstatcache();
        }
        $this->assertSame($before, Kept::version([base_path('core')]));
        $this->assertSame(
            Kept::version([base_path('core'), app_path(), config('destino.catalogue')]), app('code.version'),
            'and the application keeps its answers under all of it',
        );
    }

    public function test_a_job_keeps_what_it_worked_out_and_leaves_nothing_open(): void
    {
        $this->family();
        $doorway = app(Doorway::class);
        $id = $this->keeper()->animals()->first()->id;
        $worked = $doorway->within($this->keeper(), fn (Opened $opened): string => $opened->beliefs()->text($id));
        $this->assertNotNull(app(Kept::class)->get("beliefs:{$this->keeper()->id}"), 'kept when it was closed, not when the process ends');
        $this->assertNotSame(app(Opened::class), app(Opened::class), 'nobody\'s collection is made anew each time');
        $this->assertSame($worked, $doorway->open($this->keeper())->beliefs()->text($id));
        $this->assertSame(app(Opened::class), app(Opened::class));
        $this->expectException(\LogicException::class);
        $doorway->nobodys()->keeper();
    }

    private function family(): void
    {
        $sire = $this->made(['name' => 'Sire', 'sex' => 'male', 'genotype' => '66% het Clown het Piebald']);
        $dam = $this->made(['name' => 'Dam', 'genotype' => 'Clown']);
        $other = $this->made(['name' => 'Other', 'genotype' => '50% het Clown']);
        foreach ([[$dam, 'One'], [$other, 'Two']] as [$female, $label]) {
            $clutch = $this->keeper()->clutches()->create([
                'dam_id' => $female->id, 'label' => $label, 'hatched_on' => '2025-07-01', 'hatched' => 6,
            ]);
            $clutch->sires()->create(['animal_id' => $sire->id]);
        }
        $this->young('Kept 1', 'One', $sire, $dam);
        $this->young('Kept 2', 'Two', $sire, $other);
    }

    private function young(string $name, string $clutch, Animal $sire, Animal $dam): Animal
    {
        return $this->made([
            'name' => $name, 'genotype' => 'Normal', 'sire_id' => $sire->id, 'dam_id' => $dam->id,
            'clutch_id' => $this->keeper()->clutches()->where('label', $clutch)->sole()->id,
        ]);
    }

    /** @return array<string, callable(Randomizer): mixed> what a keeper may do */
    private function changes(): array
    {
        $clutch = fn (Randomizer $chance): Clutch => $this->keeper()->clutches()->orderBy('id')->get()[$chance->getInt(0, 1)];
        $animal = fn (Randomizer $chance): Animal => $this->keeper()->animals()->orderBy('id')->get()[
            $chance->getInt(0, $this->keeper()->animals()->count() - 1)
        ];

        return [
            'a count of plain young' => fn (Randomizer $chance) => $clutch($chance)->counts()->create([
                'saw' => 'not Clown', 'count' => $chance->getInt(1, 3),
            ]),
            'a count of visual young' => fn (Randomizer $chance) => $chance->getInt(0, 2) === 0 ? $clutch($chance)->counts()->create(
                ['saw' => 'Clown', 'count' => 1],
            ) : null,
            'a count taken out' => fn (Randomizer $chance) => $clutch($chance)->counts()->latest('id')->first()?->delete(),
            'a count changed' => fn (Randomizer $chance) => $clutch($chance)->counts()->latest('id')->first()?->update([
                'count' => $chance->getInt(1, 5),
            ]),
            'a statement' => fn (Randomizer $chance) => $animal($chance)->statements()->create([
                'text' => ['50% het Clown', 'het Piebald', '66% het Piebald', 'Pastel'][$chance->getInt(0, 3)],
                'source' => 'seller', 'certainty' => [100, 80][$chance->getInt(0, 1)], 'names_all' => false,
            ]),
            'a statement taken out' => fn (Randomizer $chance) =>
                ($of = $animal($chance))->statements()->count() > 1 ? $of->statements()->latest('id')->first()?->delete() : null,
            'another possible sire' => fn (Randomizer $chance) => ($of = $clutch($chance))->sires()->count() < 2 ? $of->sires()->create(
                [
                    'animal_id' => $this->made([
                        'name' => "Rival {$chance->getInt(1, 999999)}", 'sex' => 'male', 'genotype' => 'het Clown',
                    ])->id,
                ],
            ) : null,
            'the last possible sire gone' => fn (Randomizer $chance) =>
                ($of = $clutch($chance))->sires()->count() > 1 ? $of->sires()->latest('id')->first()?->delete() : null,
            'a young animal more' => fn (Randomizer $chance) => $this->young(
                "Young {$chance->getInt(1, 999999)}", 'One', $this->keeper()->animals()->where('name', 'Sire')->sole(),
                $this->keeper()->animals()->where('name', 'Dam')->sole(),
            ),
            'a decision' => fn (Randomizer $chance) => $this->keeper()->decisions()->create([
                'kind' => FaultKind::Unrecorded, 'animal_id' => $this->keeper()->animals()->where('name', 'Other')->sole()->id,
                'alleles' => ['piebald'], 'reason' => 'So it must be.', 'on' => '2026-01-01',
            ]),
            'the decision taken back' => fn (Randomizer $chance) => $this->keeper()->decisions()->latest('id')->first()?->delete(),
        ];
    }

    /** @return array<string, string> what is believed of each animal, by name */
    private function texts(): array
    {
        $beliefs = app(Doorway::class)->open($this->keeper()->fresh())->beliefs();
        $texts = $this->keeper()
            ->animals()
            ->orderBy('id')
            ->get()
            ->mapWithKeys(fn (Animal $animal): array => [$animal->name => $beliefs->text($animal->id)])
            ->all();
        $beliefs->keep();

        return $texts;
    }
}
