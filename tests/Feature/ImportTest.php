<?php

namespace Tests\Feature;

use App\Exchange\Bringing;
use App\Exchange\PastedList;
use App\Jobs\BringIn;
use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Import;
use App\Models\Rack;
use Closure;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Str;
use RuntimeException;
use Tests\TestCase;

/** What became of a list: its receipt, its clutches, and the way back. */
class ImportTest extends TestCase
{
    use RefreshDatabase;

    private ?Closure $happens = null;

    private const LIST = [
        ['number', 'name', 'sex', 'hatched', 'genes', 'sire', 'dam', 'rack', 'mood'],
        ['1', 'Skiff', 'm', '2020-07-01', 'Pastel', '', '', 'Loft', ''],
        ['2', 'Tender', 'f', '2020-07-02', 'Clown', '', '', 'Loft', ''],
        ['3', 'Gig', 'f', '2023-08-01', 'Pastel het Clown', 'Skiff', 'Tender', '', ''],
        ['4', 'Dory', 'm', '2023-08-01', 'het Clown', 'Skiff', 'Tender', '', ''],
        ['5', 'Punt', '?!', '2023-08-01', 'Pastle', 'Skiff', 'Tender', '', 'shy'],
        ['6', 'Ark', 'f', '2023', 'Clown', 'Skiff', 'Tender', '', ''],
        ['1', 'Skiff', 'm', '2020-07-01', 'Pastel', '', '', '', ''],
        ['', '', '', '', '', '', '', '', '=nobody'],
    ];

    public function test_a_receipt_tells_what_came_in_what_was_left_and_why(): void
    {
        $import = $this->bring(self::LIST);
        $this->get("/imports/{$import->id}")->assertOk()
            ->assertSeeInOrder(['6 animals brought in.', 'Left out', '2', 'Left out', 'It repeats', 'says nothing of an animal', 'Brought in with a remark', 'Punt', 'is no sex']);
        $rows = array_map(
            fn (string $line): array => str_getcsv($line, ',', '"', ''),
            explode("\n", trim((string) $this->get("/imports/{$import->id}/rest.csv")->streamedContent())),
        );
        $this->assertSame(['number', 'name', 'sex', 'hatched', 'genes', 'sire', 'dam', 'rack', 'mood', 'row', 'state', 'why'], $rows[0]);
        $this->assertSame(['1', 'Skiff', '8', 'left out'], [$rows[1][0], $rows[1][1], $rows[1][9], $rows[1][10]]);
        $this->assertSame(["'=nobody", '9'], [$rows[2][8], $rows[2][9]], 'no formula goes out');
        $this->assertSame(['Punt', 'Pastle', 'brought in with a remark'], [$rows[3][1], $rows[3][4], $rows[3][10]]);
        $this->get('/exchange')->assertSee('Brought in before')->assertSee('6 animals');
    }

    public function test_likely_clutches_are_offered_and_noted_once(): void
    {
        $import = $this->bring(self::LIST);
        $page = (string) $this->get("/imports/{$import->id}")->assertSeeInOrder(['Likely clutches', 'Tender × Skiff', '1 August 2023', 'Gig, Dory, Punt'])->getContent();
        preg_match_all('/name="offers\[\]" value="(\w+)"/', $page, $keys);
        $this->assertCount(1, $keys[1], 'a year alone is no clutch');
        $this->post("/imports/{$import->id}/clutches", ['offers' => []])->assertSessionHasErrors('offers');
        $this->post("/imports/{$import->id}/clutches", ['offers' => ['nonsense', ...$keys[1]]])->assertSessionHasNoErrors();
        $this->post("/imports/{$import->id}/clutches", ['offers' => $keys[1]]);
        $clutch = Clutch::query()->sole();
        $this->assertSame(
            ['2023-08-01', null, 3, 'Skiff'],
            [$clutch->hatched_on?->format('Y-m-d'), $clutch->hatched, $clutch->hatchlings()->count(), $clutch->sires()->sole()->animal?->name],
        );
        $this->get("/imports/{$import->id}")->assertDontSee('Likely clutches');
    }

    public function test_it_is_taken_back_put_back_and_brought_in_anew(): void
    {
        $import = $this->bring(self::LIST);
        $this->delete("/imports/{$import->id}")->assertRedirect();
        $this->delete("/imports/{$import->id}");
        $this->assertSame([0, 'taken back'], [Animal::query()->count(), $import->refresh()->state]);
        $this->get("/imports/{$import->id}")->assertSee('Import undone');
        $this->post("/imports/{$import->id}/again");
        $this->assertSame(['1', '2', '3', '4', '5', '6'], Animal::query()->orderBy('id')->pluck('number')->all());
        $this->assertSame('Loft', Animal::query()->where('name', 'Skiff')->sole()->rack?->name);

        $this->delete("/imports/{$import->id}");
        $this->assertSame(6, count($this->bring(self::LIST)->animals), 'numbers are free again');
        $this->post("/imports/{$import->id}/again");
        $this->assertSame([12, 6], [Animal::query()->count(), Animal::query()->whereNotNull('number')->count()], 'no number twice');
    }

    public function test_a_long_list_is_brought_in_by_a_worker_once(): void
    {
        Queue::fake();
        $list = [['number', 'name', 'genes']];
        for ($i = 1; $i <= 301; $i++) {
            $list[] = ["N{$i}", "Snake {$i}", 'Pastel'];
        }
        $import = $this->bring($list);
        $this->assertSame(['waiting', 0], [$import->state, Animal::query()->count()]);
        Queue::assertPushedOn('quick', BringIn::class);
        $this->get("/imports/{$import->id}")->assertSee('waits for its turn');
        $this->getJson("/imports/{$import->id}/progress")->assertJson(['state' => 'running', 'progress' => 0]);
        foreach ([1, 2] as $worker) {
            app()->call([new BringIn($import->id), 'handle']);
        }
        $this->assertSame(['done', 301, 301], [$import->refresh()->state, Animal::query()->count(), count($import->animals)]);
        $this->getJson("/imports/{$import->id}/progress")->assertJson(['state' => 'ended', 'progress' => 100]);
    }

    public function test_a_list_that_is_its_own_ancestor_leaves_nothing_behind(): void
    {
        $list = [
            ['name', 'sex', 'genes', 'sire', 'dam', 'rack'], ['Skiff', 'm', 'Pastel', 'Dory', '', 'Loft'], ['Dory', 'm', 'Clown', 'Skiff', '', 'Loft'],
        ];
        $this->post('/exchange/'.$this->upload($list))->assertSessionHasErrors('file');
        $this->assertSame([0, 0, 0], [Animal::withTrashed()->count(), Rack::query()->count(), Import::query()->count()]);
    }

    public function test_a_short_list_is_brought_in_wholly_or_not_at_all(): void
    {
        $upload = $this->upload(self::LIST);
        $this->breakAt(4);
        $this->post("/exchange/{$upload}")->assertStatus(500);
        $this->assertSame([0, 0, 0], [Animal::withTrashed()->count(), Rack::query()->count(), Import::query()->count()]);
        $this->breakAt(null);
        $this->post("/exchange/{$upload}")->assertRedirect()->assertSessionHasNoErrors();
        $this->assertSame([6, 'done'], [Animal::query()->count(), Import::query()->sole()->state]);
        $this->post("/exchange/{$upload}")->assertRedirect(route('imports.show', Import::query()->sole()));
        $this->assertSame(6, Animal::query()->count());
    }

    /** A list of 330 rows of which 120 came in before the process ended: each names the row before it as its dam. */
    private function brokenOff(): Import
    {
        Queue::fake();
        $list = [['number', 'name', 'sex', 'genes', 'dam']];
        for ($i = 1; $i <= 330; $i++) {
            $list[] = ["N{$i}", "Snake {$i}", 'f', 'Pastel', $i === 1 ? '' : 'Snake '.($i - 1)];
        }
        $import = $this->bring($list);
        $this->breakAt(150);
        try {
            app()->call([new BringIn($import->id), 'handle']);
            $this->fail('it was not broken off');
        } catch (RuntimeException) {
            $this->breakAt(null);
        }

        return $import->refresh();
    }

    /** What happens as the animal of a number is written from now on; the process ends there where nothing else is said. */
    private function breakAt(?int $animal, ?Closure $happens = null): void
    {
        $this->happens ?? Animal::creating(fn () => ($this->happens)());
        $count = 0;
        $happens ??= fn () => throw new RuntimeException('the process has ended');
        $this->happens = function () use ($animal, $happens, &$count): void {
            ++$count === $animal && $happens();
        };
    }

    public function test_a_long_list_that_was_broken_off_goes_on_at_once_by_the_same_person(): void
    {
        $import = $this->brokenOff();
        $this->assertSame(['working', 120, 330], [$import->state, count($import->animals), $import->rows()]);
        $this->assertSame(120, Animal::query()->count(), 'what came in is what is noted');
        $this->get("/imports/{$import->id}")->assertSee('being imported')->assertSee('Stop')->assertDontSee('by itself');
        $this->post("/imports/{$import->id}/stop")->assertRedirect();
        $this->get("/imports/{$import->id}")->assertSee('You stopped the import.')->assertSee('120 of 330 rows are in the collection.');
        $this->post("/imports/{$import->id}/on")->assertRedirect();
        app()->call([new BringIn($import->id), 'handle']);
        $this->assertSame(['done', 330], [$import->refresh()->state, count($import->animals)]);
        $this->assertSame(330, Animal::query()->count());
        $this->assertSame(329, Animal::query()->whereNotNull('dam_id')->count(), 'parents are joined over both parts');
        $this->assertSame($import->animals, Animal::query()->orderBy('id')->pluck('id')->all());
        $this->assertSame(range(1, 330), Animal::query()->orderBy('id')->pluck('number')->map(fn (string $one): int => (int) substr($one, 1))->all());
        $this->get("/imports/{$import->id}")->assertSee('330 animals brought in.');
    }

    public function test_where_nobody_gives_a_sign_the_page_says_so_and_offers_both_ways(): void
    {
        $import = $this->brokenOff();
        $this->travel(21)->seconds();
        $this->get("/imports/{$import->id}")->assertSee('stopped before its end')->assertSee('Go on with the rest')->assertSee('Take back what came in');
        $this->getJson("/imports/{$import->id}/progress")->assertJsonPath('state', 'ended');
        $this->delete("/imports/{$import->id}")->assertSessionHas('said', '120 animals removed: import undone.');
        $this->assertSame([0, 'taken back'], [Animal::query()->count(), $import->refresh()->state]);
        app()->call([new BringIn($import->id), 'handle']);
        $this->assertSame(0, Animal::query()->count(), 'a worker that comes late finds nothing to do');
        $this->post("/imports/{$import->id}/again");
        $this->assertSame([120, 'failed'], [Animal::query()->count(), $import->refresh()->state], 'what is not whole is not said to be');
    }

    public function test_whoever_is_still_at_it_stops_when_another_takes_it_up_or_back(): void
    {
        $import = $this->brokenOff();
        foreach (['another' => fn () => $import->update(['worker' => (string) Str::uuid()]), 'taken back' => fn () => Bringing::takeBack($import)] as $how => $happens) {
            $import->refresh()->update(['state' => 'failed', 'worker' => null]);
            $this->breakAt(50, $happens);
            app()->call([new BringIn($import->id), 'handle']);
            $this->assertSame(count($import->refresh()->animals), Animal::withTrashed()->count(), "{$how}: nothing came in that is not noted");
            $this->assertLessThan(330, Animal::withTrashed()->count());
        }
    }

    /** @param list<list<string>> $list */
    private function bring(array $list): Import
    {
        $this->post('/exchange/'.$this->upload($list))->assertSessionHasNoErrors();

        return Import::query()->latest('id')->firstOrFail();
    }

    /**
     * @param list<list<string>> $list
     * @return string what the file is called until it is brought in
     */
    private function upload(array $list): string
    {
        $lines = array_map(fn (array $row): string => implode(',', array_map(fn (string $cell): string => '"'.$cell.'"', $row)), $list);
        $answer = $this->post('/exchange', ['file' => UploadedFile::fake()->createWithContent('list.csv', implode("\n", $lines))]);

        return Str::afterLast((string) $answer->headers->get('Location'), '/');
    }

    public function test_a_pasted_message_is_looked_at_as_a_list_is(): void
    {
        $lines = [
            '• 1.0 Pastel het Clown, 2024, 850 g, €250' => ['', 'male', 'Pastel het Clown', '2024', '850 g'],
            '2) “Ruby” 0.1 Super Enchi 66% het Piebald (2023) SOLD' => ['Ruby', 'female', 'Super Enchi 66% het Piebald', '2023', ''],
            '- female Mojave/Lesser — 1,450g, $1.200 obo' => ['', 'female', 'Mojave/Lesser', '', '1,450g'],
            'Clown 2021 or 2022' => ['', '', 'Clown 2021 or 2022', '', ''], // of two years none is taken
            '3. Banana (male maker), 2024' => ['', '', 'Banana (male maker)', '2024', ''],
            '1.1 Pastel' => ['', '', '1.1 Pastel', '', ''], // a pair is asked about
            'Pastel 66% het Clown 100% het Piebald' => ['', '', 'Pastel 66% het Clown 100% het Piebald', '', ''],
        ];
        foreach ($lines as $line => $row) {
            $this->assertSame($row, array_slice(PastedList::rows($line)[0], 0, 5), $line);
        }
        foreach ([
            'female Mojave, DOB 06/12/2021' => ['', 'female', 'Mojave', '06/12/2021'], 'Vellum: Enchi, hatched Aug 2022' => ['Vellum', '', 'Enchi', 'Aug 2022'],
            'Pastel \'21' => ['', '', 'Pastel', '2021'], 'Sire: Pastel 2020' => ['', '', 'Sire: Pastel', '2020'],
        ] as $line => $row) {
            $this->assertSame($row, array_slice(PastedList::rows($line)[0], 0, 4), $line);
        }
        $this->assertSame([], PastedList::rows("\n  \n---\n12345\n"));
        $this->assertStringContainsString('€250', PastedList::rows('1.0 Pastel €250')[0][5], 'what is taken out of the genes stays in the notes');
        $this->post('/exchange/paste', ['text' => " \n"])->assertSessionHasErrorsIn('paste', ['text']);
        $this->post('/exchange/paste', ['text' => str_repeat("Pastel\n", 501)])->assertSessionHasErrorsIn('paste', ['text']);
        $preview = $this->post('/exchange/paste', ['text' => implode("\n", array_keys(array_slice($lines, 0, 3)))])->assertSessionHasNoErrors();
        $this->get((string) $preview->headers->get('Location'))->assertOk()->assertSee('Ruby')->assertSee('Super Enchi 66% het Piebald')
            ->assertSee('Weighed when?');
    }
}
