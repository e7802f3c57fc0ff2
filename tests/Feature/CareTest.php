<?php

namespace Tests\Feature;

use App\Care\CareLog;
use App\Care\WeightChart;
use App\Models\Animal;
use App\Models\CareEntry;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

class CareTest extends TestCase
{
    use RefreshDatabase;

    private Animal $animal;

    protected function setUp(): void
    {
        parent::setUp();
        Carbon::setTestNow('2026-11-23 20:00');
        $this->animal = Animal::factory()->for($this->keeper(), 'keeper')
            ->create(['name' => 'Tender', 'sex' => 'female', 'hatched_on' => '2022-07-01']);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function entries(): iterable
    {
        yield 'a weight' => [['kind' => 'weight', 'grams' => '1420'], '1,420 g'];
        yield 'a meal' => [['kind' => 'feed', 'outcome' => 'taken', 'prey' => 'small rat'], 'small rat, taken'];
        yield 'a refusal with words' => [['kind' => 'feed', 'outcome' => 'refused', 'words' => 'blue'], 'fed, refused: blue'];
        yield 'a meal by hand' => [['kind' => 'feed', 'outcome' => 'assisted', 'prey' => 'pinkie'], 'pinkie, assisted'];
        yield 'a shed' => [['kind' => 'shed'], 'shed'];
        yield 'a note' => [['kind' => 'note', 'words' => '<b>calm</b>'], '<b>calm</b>'];
    }

    /** @param  array<string, mixed>  $form */
    #[DataProvider('entries')]
    public function test_an_entry_is_logged_and_shown(array $form, string $sentence): void
    {
        $this->log($form)->assertSessionHasNoErrors();
        $this->assertSame($sentence, CareEntry::query()->sole()->sentence());
        $this->get("/animals/{$this->animal->id}")->assertSee($sentence)->assertSee('20 Nov 2026')->assertDontSee('<b>calm', false);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function wrongEntries(): iterable
    {
        yield 'no weight' => [['kind' => 'weight'], 'grams', 'Give the weight in grams.'];
        yield 'a weight in words' => [
            ['kind' => 'weight', 'grams' => 'heavy'], 'grams', 'The weight must be a whole number of grams from 1 to 8,000.',
        ];
        yield 'a slip of the finger' => [
            ['kind' => 'weight', 'grams' => '14200'], 'grams', 'The weight must be a whole number of grams from 1 to 8,000.',
        ];
        yield 'no outcome' => [
            ['kind' => 'feed', 'prey' => 'rat'], 'outcome', 'Say whether the food was taken, refused or brought up again.',
        ];
        yield 'an empty note' => [['kind' => 'note'], 'words', 'Write the note.'];
        yield 'tomorrow' => [['kind' => 'shed', 'on' => '2026-11-24'], 'on', 'The date must be today or earlier.'];
        yield 'no kind' => [['kind' => 'bath'], 'kind', 'Choose what to log.'];
    }

    /** @param  array<string, mixed>  $form */
    #[DataProvider('wrongEntries')]
    public function test_a_wrong_entry_says_where_and_keeps_what_was_typed(array $form, string $field, string $message): void
    {
        $this->log($form + ['words' => $field === 'words' ? '' : 'typed words'])->assertSessionHasErrorsIn('care', [$field => $message]);
        $this->assertSame(0, CareEntry::query()->count());
        $this->from("/animals/{$this->animal->id}")->followingRedirects()->post(
            "/animals/{$this->animal->id}/care",
            $form + ['on' => '2026-11-20', 'words' => $field === 'words' ? '' : 'typed words'],
        )
            ->assertSee($message)->assertSee($field === 'words' ? 'Log it' : 'typed words');
    }

    public function test_what_does_not_belong_to_the_kind_is_left_out(): void
    {
        $this->log(['kind' => 'shed', 'grams' => '900', 'outcome' => 'taken', 'prey' => 'rat']);
        $entry = CareEntry::query()->sole();
        $this->assertSame([null, null, null], [$entry->grams, $entry->outcome, $entry->prey]);
    }

    public function test_a_double_click_makes_one_entry(): void
    {
        $form = ['kind' => 'weight', 'grams' => '1420', 'form_token' => (string) Str::uuid()];
        $this->log($form);
        $this->log($form);
        $this->assertSame(1, CareEntry::query()->count());
    }

    public function test_the_last_of_many_animals_are_those_of_each(): void
    {
        mt_srand(7);
        $animals = new Collection;
        for ($i = 0; $i < 12; $i++) {
            $animal = $this->made(['name' => "Snake {$i}"]);
            for ($k = 0; $k < $i; $k++) { // some on one day, some removed, the first of nothing at all
                $entry = $animal->care()->create([
                    'kind' => mt_rand(0, 1) === 0 ? 'weight' : 'feed', 'grams' => 100 + $k, 'on' => '2026-01-0'.mt_rand(1, 4),
                ]);
                mt_rand(0, 2) === 0 && $entry->delete();
            }
            $animals->push($animal);
        }
        CareEntry::loadLatest($animals);
        $found = 0;
        foreach ($animals as $animal) {
            foreach (['latestWeight' => 'weight', 'latestFeed' => 'feed'] as $relation => $kind) {
                $last = $animal->care()->where('kind', $kind)->orderByDesc('on')->orderByDesc('id')->first();
                $this->assertSame($last?->id, $animal->{$relation}?->id, "{$animal->name}: {$kind}");
                $this->assertSame($last?->id, $animal->fresh()->{$relation}?->id, "{$animal->name}: {$kind}, asked alone");
                $found += $last === null ? 0 : 1;
            }
        }
        $this->assertGreaterThan(12, $found);
    }

    public function test_taking_out_can_be_undone(): void
    {
        $this->log(['kind' => 'weight', 'grams' => '1420']);
        $entry = CareEntry::query()->sole();
        $this->followingRedirects()
            ->delete("/records/care/{$entry->id}")
            ->assertSee('Removed: 1,420 g')
            ->assertSee('Undo')
            ->assertSee('Nothing logged yet.');
        $this->followingRedirects()->post("/records/care/{$entry->id}/restore")->assertSee('Restored: 1,420 g');
        $this->assertSame(1, CareEntry::query()->count());
    }

    public function test_a_round_logs_many_animals_at_once(): void
    {
        $other = Animal::factory()->for($this->keeper(), 'keeper')->create(['name' => 'Wherry']);
        $third = Animal::factory()->for($this->keeper(), 'keeper')->create(['name' => 'Skiff']);
        $this->get('/round/weight')->assertOk()->assertSeeInOrder(['Skiff', 'not weighed yet', 'Tender', 'Wherry']);

        $round = [
            'on' => '2026-11-22', 'form_token' => (string) Str::uuid(),
            'rows' => [$this->animal->id => '1420', $other->id => '', $third->id => '610'],
        ];
        $this->followingRedirects()->post('/round/weight', $round)->assertSee('2 weights logged.');
        $this->post('/round/weight', $round);
        $this->assertSame(2, CareEntry::query()->count(), 'sent twice, logged once');
        $this->log(['kind' => 'shed', 'on' => '2026-11-23']);
        $this->get('/round/weight')->assertSee('last 1,420 g, 22 Nov 2026') // a later entry of another kind does not hide it
            ->assertSee('Skiff');

        $this->followingRedirects()->post(
            '/round/feed',
            ['on' => '2026-11-22', 'prey' => 'small rat', 'form_token' => (string) Str::uuid(), 'rows' => [$other->id => 'refused']],
        )->assertSee('1 meal logged.');
        $this->assertSame('small rat, refused', $other->care()->sole()->sentence());
    }

    public function test_a_slip_in_a_round_stops_it_and_loses_nothing(): void
    {
        $other = Animal::factory()->for($this->keeper(), 'keeper')->create(['name' => 'Wherry']);
        $this->from('/round/weight')->followingRedirects()->post(
            '/round/weight',
            ['on' => '2026-11-22', 'form_token' => (string) Str::uuid(), 'rows' => [$this->animal->id => '1420', $other->id => '61O']],
        )
            ->assertSee('The weight must be a whole number of grams from 1 to 8,000.')
                ->assertSee('value="1420"', false)
                ->assertSee('value="61O"', false);
        $this->assertSame(0, CareEntry::query()->count());
    }

    public function test_a_round_leaves_strangers_animals_alone(): void
    {
        $stranger = Animal::factory()->for(User::factory(), 'keeper')->create(['name' => 'Elsewhere']);
        $this->get('/round/feed')->assertDontSee('Elsewhere');
        $this->followingRedirects()->post(
            '/round/feed', ['on' => '2026-11-22', 'form_token' => (string) Str::uuid(), 'rows' => [$stranger->id => 'taken']],
        )->assertSee('nothing was logged');
        $this->assertSame(0, CareEntry::query()->count());
    }

    public function test_strangers_logs_do_not_exist(): void
    {
        $stranger = Animal::factory()->for(User::factory(), 'keeper')->create();
        $entry = $stranger->care()->create(['kind' => 'weight', 'on' => '2026-11-01', 'grams' => 900]);

        $this->post("/animals/{$stranger->id}/care", ['kind' => 'shed', 'on' => '2026-11-20'])->assertNotFound();
        $this->delete("/records/care/{$entry->id}")->assertNotFound();
        $this->post("/records/care/{$entry->id}/restore")->assertNotFound();
        $this->assertSame(1, CareEntry::query()->count());
    }

    public function test_readiness_is_told_with_its_reason_and_a_likely_date(): void
    {
        $this->get("/animals/{$this->animal->id}")->assertSee('Ready to breed by age.')->assertSee('No weight recorded.');
        // 100 g in 40 days: 2.5 g a day, 40 days to 1,500 g.
        $this->log(['kind' => 'weight', 'grams' => '1300', 'on' => '2026-10-14']);
        $this->log(['kind' => 'weight', 'grams' => '1400', 'on' => '2026-11-23']);
        $this->get("/animals/{$this->animal->id}")
            ->assertSee('Not ready to breed. Likely from January 2027.')
            ->assertSee('Too light: 1,400 g of the 1,500 g asked of a female.');
        $this->log(['kind' => 'weight', 'grams' => '1510', 'on' => '2026-11-23']);
        $this->get("/animals/{$this->animal->id}")->assertSee('Ready to breed by age and weight.');
    }

    public function test_the_curve_keeps_inside_its_frame_and_rises_with_the_weight(): void
    {
        foreach ([[870, 1010, 1150], [1500, 1500], [40, 2300, 60]] as $weights) {
            $this->animal->care()->forceDelete();
            foreach ($weights as $i => $grams) {
                $this->animal->care()->create(['kind' => 'weight', 'on' => Carbon::parse('2026-01-01')->addMonths($i), 'grams' => $grams]);
            }
            $chart = (new CareLog($this->animal->refresh()))->chart();
            $this->assertNotNull($chart);
            $points = $chart->points();
            foreach ($points as $i => $point) {
                $this->assertTrue(
                    $point['x'] >= 0 && $point['x'] <= WeightChart::WIDTH && $point['y'] >= 0 && $point['y'] <= WeightChart::HEIGHT,
                );
                if ($i > 0) {
                    $this->assertGreaterThan($points[$i - 1]['x'], $point['x']);
                    $this->assertSame($weights[$i] <=> $weights[$i - 1], $points[$i - 1]['y'] <=> $point['y']);
                }
            }
        }
        $this->animal->care()->forceDelete();
        $this->assertNull((new CareLog($this->animal->refresh()))->chart());
    }

    /** @param  array<string, mixed>  $form */
    private function log(array $form): \Illuminate\Testing\TestResponse
    {
        return $this->post("/animals/{$this->animal->id}/care", $form + ['on' => '2026-11-20']);
    }

    public function test_a_large_round_comes_in_parts_each_animal_once(): void
    {
        $rack = $this->keeper()->racks()->create(['name' => 'Left', 'rows' => 20, 'columns' => 8, 'position' => 1]);
        for ($i = 0; $i < 230; $i++) {
            $this->keeper()->animals()->create(['name' => sprintf('Keel %03d', $i), 'rack_id' => $i % 2 === 0 ? $rack->id : null]);
        }
        $gone = $this->keeper()->animals()->where('name', 'Keel 100')->sole();
        $gone->statusEvents()->create(['status' => 'sold', 'on' => '2026-01-01']);
        $seen = [];
        $parts = ['/round/weight' => 130, '/round/weight?part=2' => 30, '/round/weight?part=3' => null];
        foreach ($parts as $address => $left) {
            $page = $this->get($address)->assertOk();
            preg_match('/data-next>.*?>\s*(\d+)\s+more/s', (string) $page->getContent(), $next);
            $this->assertSame($left === null ? null : (string) $left, $next[1] ?? null, $address);
            preg_match_all('/data-row="(\d+)"/', (string) $page->getContent(), $rows);
            array_push($seen, ...$rows[1]);
        }
        $this->assertCount(230, $seen);
        $this->assertCount(230, array_unique($seen));
        $this->assertNotContains((string) $gone->id, $seen);
        $this->get("/round/weight?rack={$rack->id}&part=2")->assertOk()->assertSee('data-row', false)->assertDontSee('data-next', false);
        foreach (['part=0', 'part=-1', 'part=99999999999999999999', 'part=x', 'rack=x&part=1'] as $odd) {
            $this->get("/round/weight?{$odd}")->assertOk();
        }
    }
}
