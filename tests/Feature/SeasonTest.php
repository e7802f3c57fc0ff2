<?php

namespace Tests\Feature;

use App\Care\Standing;
use App\Care\Standings;
use App\Clutch\Bench;
use App\Collection\Doorway;
use App\Collection\Opened;
use App\Models\Animal;
use App\Models\Clutch;
use App\Models\ClutchEvent;
use App\Season\Due;
use App\Season\Ribbon;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

class SeasonTest extends TestCase
{
    use RefreshDatabase;

    private function pair(): Clutch
    {
        $sire = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Pastel', 'hatched_on' => '2021-07-01']);
        $dam = $this->made(['name' => 'Tender', 'genotype' => 'Enchi', 'hatched_on' => '2020-07-01']);
        $this->post('/clutches', ['dam_id' => $dam->id, 'sires' => [$sire->id]])->assertSessionHasNoErrors();

        return Clutch::query()->sole();
    }

    public function test_a_season_is_logged_from_today_and_the_next_step_follows(): void
    {
        $this->get('/today')->assertOk()->assertSee('Nothing is due.');
        $clutch = $this->pair();
        $this->get('/today')->assertSee('to be put together');
        foreach (
            [
                [0, 'introduced', [], 'Next: a lock'], [2, 'lock', [], 'ovulation'],
                [40, 'ovulation', [], 'the pre-lay shed'],
                [17, 'pre-lay-shed', [], 'eggs'], [30, 'laid', ['count' => '6', 'infertile' => '1'], 'first pips'], [0, 'washed', [], 'first pips'],
                [40, 'egg-bad', [], 'first pips'],
                [17, 'pipped', [], 'hatching'], [1, 'out', ['count' => '5'], null],
            ] as [$days, $kind, $more, $next]
        ) {
            $this->travel($days)->days();
            $this->post(
                "/clutches/{$clutch->id}/events", ['kind' => $kind, 'from' => 'today', 'form_token' => (string) Str::uuid()] + $more,
            )->assertRedirect('/today')->assertSessionHasNoErrors();
            $next === null ? $this->get('/today')->assertOk() : $this->get('/today')->assertSee($next);
        }
        $this->get('/today')->assertDontSee('Next: hatching', false); // all six eggs have come to something
        $clutch = Clutch::query()->sole();
        $this->assertSame(['hatched', 5, 6, 1], [$clutch->stage(), $clutch->hatched, $clutch->eggs_good, $clutch->eggs_infertile]);
        $this->get("/clutches/{$clutch->id}")->assertSeeInOrder(['What happened', 'locked', 'dam washed', 'discarded', 'out of the egg, 5']);
    }

    public function test_a_double_tap_logs_once_and_an_undo_takes_it_back(): void
    {
        $clutch = $this->pair();
        $tap = ['kind' => 'lock', 'from' => 'today', 'form_token' => (string) Str::uuid()];
        $this->post("/clutches/{$clutch->id}/events", $tap);
        $this->post("/clutches/{$clutch->id}/events", $tap)->assertRedirect('/today');
        $this->assertSame(1, ClutchEvent::query()->count());
        $undo = (string) parse_url((string) session('undo'), PHP_URL_PATH);
        $this->get('/today')->assertSee('Undo');
        $this->delete($undo)->assertRedirect();
        $this->assertSame(0, ClutchEvent::query()->count());

        $animal = Animal::query()->where('name', 'Tender')->sole();
        $this->post("/animals/{$animal->id}/tap", ['what' => 'fed'])->assertRedirect('/today');
        $this->post("/animals/{$animal->id}/tap", ['what' => 'fed']);
        $this->assertSame(1, $animal->care()->count());
        $this->post("/animals/{$animal->id}/tap", ['what' => 'walked'])->assertSessionHasErrors('what');
    }

    /** @return iterable<string, array{list<array<string, string>>, string}> */
    public static function unusual(): iterable
    {
        $ago = fn (int $days): string => now()->subDays($days)->format('Y-m-d');
        yield 'hatched before laid' => [
            [['kind' => 'laid', 'on' => $ago(10), 'count' => '5'], ['kind' => 'pipped', 'on' => $ago(20)]], 'before the eggs were laid',
        ];
        yield 'hatched too soon' => [
            [['kind' => 'laid', 'on' => $ago(10), 'count' => '5'], ['kind' => 'out', 'on' => $ago(2)]], '8 days after laying',
        ];
        yield 'more out than laid' => [
            [['kind' => 'laid', 'on' => $ago(60), 'count' => '3'], ['kind' => 'out', 'on' => $ago(1), 'count' => '4']],
            'more young and bad eggs than good eggs',
        ];
        yield 'eggs that nobody laid' => [[['kind' => 'egg-bad', 'on' => $ago(1)]], 'No eggs of this clutch are logged as laid'];
        yield 'ovulation after laying' => [
            [['kind' => 'laid', 'on' => $ago(20), 'count' => '5'], ['kind' => 'ovulation', 'on' => $ago(5)]], 'Is the order right?',
        ];
    }

    /** @param list<array<string, string>> $events */
    #[DataProvider('unusual')]
    public function test_what_is_unusual_is_kept_and_asked_about(array $events, string $asks): void
    {
        $clutch = $this->pair();
        foreach ($events as $event) {
            $this->post("/clutches/{$clutch->id}/events", $event)->assertSessionHasNoErrors();
        }
        $this->assertStringContainsString($asks, (string) session('said'));
        $this->assertSame(count($events), ClutchEvent::query()->count(), 'nothing is refused');
    }

    public function test_two_clutches_of_one_pair_in_a_year_have_two_names(): void
    {
        $first = $this->pair();
        $form = [
            'dam_id' => $first->dam_id, 'sires' => $first->sires->pluck('animal_id')->all(), 'paired_on' => $first->paired_on?->format('Y-m-d'),
            'laid_on' => $first->laid_on?->format('Y-m-d'),
        ];
        foreach ([2, 3] as $number) {
            $this->post('/clutches', $form + ['form_token' => (string) Str::uuid()])->assertSessionHasNoErrors();
            $this->assertSame("{$first->title()}, clutch {$number}", Clutch::query()->latest('id')->first()?->title());
        }
        $this->post('/clutches', ['label' => 'Late one', 'form_token' => (string) Str::uuid()] + $form)->assertSessionHasNoErrors();
        $this->assertSame('Late one', Clutch::query()->latest('id')->first()?->title());
    }

    public function test_a_meal_by_hand_is_a_meal_and_asks_for_a_vet(): void
    {
        $animal = $this->made(['name' => 'Wren', 'genotype' => 'Normal']);
        $feed = fn (string $outcome, int $days) => $animal->care()->create([
            'kind' => 'feed', 'outcome' => $outcome, 'on' => now()->subDays($days)->format('Y-m-d'),
        ]);
        $feed('taken', 60);
        $feed('assisted', 20);
        $feed('assisted', 6);
        $standing = fn (): Standing => (new Standings($animal->keeper, now()->startOfDay()))->of($animal->id);
        $this->assertSame([6, 2, 0], [$standing()->daysWithoutFood(), $standing()->assisted(), $standing()->mealsInARow()]);
        $this->get('/today')->assertSee('assist-fed 2 times and no meal of its own since: a reptile veterinarian can say why');
        $feed('taken', 1);
        $this->assertSame([1, 0, 1], [$standing()->daysWithoutFood(), $standing()->assisted(), $standing()->mealsInARow()]);
        $this->get('/today')->assertDontSee('assist-fed');
    }

    public function test_what_cannot_be_is_refused_at_its_place(): void
    {
        $clutch = $this->pair();
        foreach (['kind' => 'counted', 'on' => now()->addDay()->format('Y-m-d'), 'count' => '-1', 'infertile' => '99', 'note' => str_repeat('x', 201)] as $field => $value) {
            $this->post("/clutches/{$clutch->id}/events", [$field => $value] + ['kind' => 'laid'])->assertSessionHasErrors($field);
        }
        $this->assertSame(0, ClutchEvent::query()->count());
    }

    public function test_records_of_her_own_narrow_the_window(): void
    {
        $clutch = $this->pair();
        foreach ([[900, 961], [500, 561]] as [$laid, $hatched]) {
            $this->keeper()->clutches()->create([
                'dam_id' => $clutch->dam_id, 'laid_on' => now()->subDays($hatched)->format('Y-m-d'),
                'hatched_on' => now()->subDays($laid)->format('Y-m-d'), 'hatched' => 4,
            ]);
        }
        $this->post("/clutches/{$clutch->id}/events", ['kind' => 'laid', 'on' => now()->subDays(50)->format('Y-m-d'), 'count' => '5']);
        $this->get('/today')->assertSee('Usual range 53 to 62 days. Her 2 clutches and 0 others here:');
    }

    public function test_a_private_link_gives_the_calendar_and_nothing_else_until_it_is_revoked(): void
    {
        $clutch = $this->pair();
        $this->post("/clutches/{$clutch->id}/events", ['kind' => 'ovulation', 'from' => 'today', 'form_token' => (string) Str::uuid()]);
        $this->post('/account/calendar')->assertRedirect('/account');
        $link = (string) session('calendar');
        $this->get('/account')->assertOk()->assertSee($link)->assertSee('calendar, made');
        $this->app['auth']->forgetGuards();
        $this->flushSession();
        $token = $this->keeper()->tokens()->sole();
        $this->get($link)->assertOk()->assertHeader('Content-Type', 'text/calendar; charset=utf-8')->assertSee('ovulation');
        $this->assertNotNull($token->fresh()?->last_used_at);
        $secret = basename((string) parse_url($link, PHP_URL_PATH), '.ics');
        $this->getJson('/api/v1/animals', ['Authorization' => "Bearer {$secret}"])->assertForbidden();
        $reader = Str::after($this->keeper()->createToken('scale', ['read', 'log'])->plainTextToken, '|');
        $this->get(str_replace($secret, $reader, $link))->assertNotFound();
        $token->delete();
        $this->get($link)->assertNotFound();
    }

    public function test_the_ribbon_lays_the_phases_of_a_season_end_to_end(): void
    {
        $this->travelTo('2026-03-02');
        $clutch = $this->pair();
        $log = fn (string $kind, string $on, string $count = '') => $this->post(
            "/clutches/{$clutch->id}/events", ['kind' => $kind, 'on' => $on, 'count' => $count, 'form_token' => (string) Str::uuid()],
        )->assertSessionHasNoErrors();
        $ribbon = fn (): Ribbon => new Ribbon(
            Clutch::query()->with('dam', 'sires.animal')->get(), Due::among($this->keeper(), Carbon::today()), Carbon::today(),
        );
        $this->assertSame([], $ribbon()->bands, 'what has no day has no place');
        $this->get('/season/2026')->assertOk()->assertDontSee('Over the months');
        $log('introduced', '2026-01-01');
        $log('lock', '2026-01-05');
        $log('ovulation', '2026-02-10');
        $band = $ribbon()->bands[0];
        $this->assertSame(['paired', 'gravid', 'expected'], array_column($band['spans'], 'phase'));
        $this->assertSame(['paired, 40 days', 'gravid, 20 days'], array_slice(array_column($band['spans'], 'words'), 0, 2));
        $this->assertSame(
            [0.0, $band['spans'][0]['to']], [$band['spans'][0]['from'], $band['spans'][1]['from']], 'one begins where the other ends',
        );
        $this->assertSame($ribbon()->now, $band['spans'][1]['to'], 'what goes on goes on to today');
        $this->assertCount(3, $band['marks']);
        $log('laid', '2026-03-01', '6');
        $this->travelTo('2026-05-01');
        $log('out', '2026-04-28', '6');
        $this->assertSame(['paired', 'gravid', 'eggs'], array_column($ribbon()->bands[0]['spans'], 'phase'));
        $this->get('/season/2026')->assertOk()->assertSeeInOrder(['Over the months', 'Skiff × Tender', 'gravid, 19 days', 'eggs, 58 days']);
    }

    public function test_a_male_whose_females_have_not_laid_is_not_let_go_without_a_word(): void
    {
        $clutch = $this->pair();
        $sire = Animal::query()->where('name', 'Skiff')->sole();
        $goes = fn (Animal $animal, string $status) => $this->post(
            "/animals/{$animal->id}/status", ['status' => $status, 'on' => Carbon::today()->format('Y-m-d'), 'reason' => 'full house'],
        )->assertSessionHasNoErrors();
        $log = fn (string $kind) => $this->post(
            "/clutches/{$clutch->id}/events", ['kind' => $kind, 'from' => 'today', 'form_token' => (string) Str::uuid(), 'count' => '5'],
        )->assertSessionHasNoErrors();
        $goes($sire, 'for sale');
        $this->assertStringNotContainsString('not laid', (string) session('said'), 'a plan binds nobody');
        $log('introduced');
        $goes($sire, 'reserved');
        $this->assertStringContainsString('Tender has not laid yet', (string) session('said'));
        $this->delete((string) parse_url((string) session('undo'), PHP_URL_PATH))->assertRedirect();
        $this->assertSame('for sale', $sire->refresh()->status()->value);
        $goes($sire, 'breeder');
        $this->assertStringNotContainsString('not laid', (string) session('said'));
        $goes($clutch->dam, 'sold');
        $this->assertStringContainsString('may get the eggs', (string) session('said'));
        $goes($clutch->dam, 'breeder');
        $log('laid');
        $goes($sire->refresh(), 'sold');
        $this->assertStringNotContainsString('not laid', (string) session('said'));
    }

    public function test_the_bench_moves_the_odds_of_all_siblings(): void
    {
        $clutch = $this->pair();
        $this->post("/clutches/{$clutch->id}/events", ['kind' => 'hatched', 'count' => '2', 'on' => now()->subDays(20)->format('Y-m-d')]);
        $young = [];
        foreach (['One', 'Two'] as $name) {
            $this->post(
                "/clutches/{$clutch->id}/hatchlings", ['form_token' => (string) Str::uuid(), 'name' => $name, 'sex' => 'unknown'],
            )->assertSessionHasNoErrors();
            $young[] = Animal::query()->where('name', $name)->sole();
        }
        $bench = "/clutches/{$clutch->id}/bench";
        $this->get($bench)->assertOk()->assertSeeInOrder(['Gene by gene', 'Pastel', '50', 'What to look at', 'look here first']);
        $this->post($bench, ['animal' => $young[0]->id, 'cue' => 'head-stamp', 'state' => 'faint'])->assertRedirect();
        $this->get($bench)->assertSee('aria-pressed="true"', false);
        $this->assertSame('faint', $young[0]->sightings()->sole()->state);
        $this->post($bench, ['animal' => $young[0]->id, 'cue' => 'head-stamp', 'state' => 'full']);
        $this->assertSame('full', $young[0]->sightings()->sole()->state, 'another state stands in its place');
        foreach (['a tap on what is shown takes it back', 'and one that arrives twice does no more'] as $says) {
            $this->post($bench, ['animal' => $young[0]->id, 'cue' => 'head-stamp', 'state' => 'full', 'was' => 'full']);
            $this->assertSame(0, $young[0]->sightings()->count(), $says);
        }

        $this->post($bench, ['animal' => $young[0]->id, 'cue' => 'head-stamp', 'state' => 'absent', 'who' => 'A friend']);
        $this->get($bench)->assertSee('as A friend sees it');
        $this->post(
            "/clutches/{$clutch->id}/alike", ['target' => 'Enchi', 'animals' => [$young[0]->id, $young[1]->id]],
        )->assertSessionHasNoErrors();
        $this->get($bench)->assertSee('One, Two for Enchi');
        foreach ([['animal' => 999], ['cue' => 'nothing'], ['state' => 'purple']] as $wrong) {
            $this->post(
                $bench, $wrong + ['animal' => $young[0]->id, 'cue' => 'head-stamp', 'state' => 'full'],
            )->assertSessionHasErrors(array_key_first($wrong) === 'cue' ? 'cue' : array_key_first($wrong));
        }
        $this->post(
            "/clutches/{$clutch->id}/alike", ['target' => 'Enchii', 'animals' => [$young[0]->id, $young[1]->id]],
        )->assertSessionHasErrors('target');
        $this->post(
            "/clutches/{$clutch->id}/alike", ['target' => 'Enchi', 'animals' => [$young[0]->id]],
        )->assertSessionHasErrors('animals');
        $tie = fn (string $target): TestResponse => $this->post(
            "/clutches/{$clutch->id}/alike", ['target' => $target, 'animals' => [$young[0]->id, $young[1]->id]],
        );
        $tie('Enchi')->assertSessionHasNoErrors(); // the same again ties nothing more
        foreach (['Pastel', 'Clown', 'Mojave', 'Piebald', 'Spider', 'Banana', 'Fire', 'Pinstripe', 'Leopard'] as $target) {
            $tie($target)->assertSessionHasNoErrors();
        }
        $this->get($bench)->assertOk()->assertSee('One, Two for Fire')->assertSee('One, Two for Leopard')->assertSee('Gene by gene');
    }

    public function test_counted_siblings_count_whatever_cannot_be_read_before_them(): void
    {
        $sire = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Pastel (50% two copies)', 'hatched_on' => '2021-07-01']);
        $dam = $this->made(['name' => 'Tender', 'genotype' => 'Normal', 'hatched_on' => '2020-07-01']);
        $odds = function (array $counts) use ($sire, $dam): array {
            $clutch = $this->keeper()->clutches()->create(['dam_id' => $dam->id, 'hatched' => 8]);
            $clutch->sires()->create(['animal_id' => $sire->id]);
            $young = $this->made(['name' => 'One', 'clutch_id' => $clutch->id, 'dam_id' => $dam->id, 'sire_id' => $sire->id, 'genotype' => null]);
            foreach ($counts as [$saw, $count]) {
                $clutch->counts()->create(['saw' => $saw, 'count' => $count]);
            }
            $bench = app(Doorway::class)->within($this->keeper(), fn (Opened $opened): Bench => new Bench($clutch->refresh(), $opened));
            $clutch->delete();

            return array_map(fn (array $row): mixed => [$row['name'], round((float) $row['shares'][$young->id], 9)], $bench->genes());
        };
        // Four Pastel young: 2 copies : 1 copy as 1 : 1/16, so the next is Pastel with (16 + 1/2) / 17.
        $this->assertSame([['Pastel', round(16.5 / 17, 9)]], $odds([['Pastel', 4]]));
        $this->assertSame([['Pastel', round(16.5 / 17, 9)]], $odds([['Zorblatt', 3], ['Pastel', 4]]));
        $this->assertSame([['Pastel', round(16.5 / 17, 9)]], $odds([['Pastel', 4], ['Zorblatt', 3]]));
    }

    public function test_a_stated_look_counts_once_on_the_bench(): void
    {
        // 66 % het × visual: one young stated Clown makes the father het; the other is then Clown with 1/2, not more.
        $sire = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => '66% het Clown', 'hatched_on' => '2021-07-01']);
        $dam = $this->made(['name' => 'Tender', 'genotype' => 'Clown', 'hatched_on' => '2020-07-01']);
        $this->post(
            '/clutches',
            [
                'dam_id' => $dam->id, 'sires' => [$sire->id], 'laid_on' => '2026-04-01', 'eggs_good' => '2', 'hatched_on' => '2026-06-01',
                'hatched' => '2',
            ],
        );
        $clutch = Clutch::query()->sole();
        $this->post(
            "/clutches/{$clutch->id}/hatchlings",
            ['form_token' => (string) Str::uuid(), 'name' => 'One', 'sex' => 'male', 'genotype' => 'Clown'],
        )->assertSessionHasNoErrors();
        $this->post("/clutches/{$clutch->id}/hatchlings", ['form_token' => (string) Str::uuid(), 'name' => 'Two', 'sex' => 'female']);
        $bench = new \App\Clutch\Bench($clutch->fresh(), app(\App\Collection\Doorway::class)->open($this->keeper()));
        $two = (string) Animal::query()->where('name', 'Two')->value('id');
        $visual = array_values(array_filter($bench->found->genotypes($two, 5)[0], fn (array $one): bool => $one['label'] === 'Clown'))[0];
        $this->assertEqualsWithDelta(.5, $visual['decimal'], 1e-12);
    }

    public function test_the_bench_says_what_the_pages_of_the_hatchlings_say(): void
    {
        $male = fn (string $name, string $genotype): Animal => $this->made(['name' => $name, 'sex' => 'male', 'genotype' => $genotype, 'hatched_on' => '2021-07-01']);
        $dam = $this->made(['name' => 'Tender', 'genotype' => 'Pastel Mojave 66% het Piebald', 'hatched_on' => '2020-07-01']);
        $clutch = $this->keeper()->clutches()->create(['dam_id' => $dam->id, 'laid_on' => '2026-04-01', 'hatched' => 6]);
        foreach ([$male('Skiff', 'Banana 50% het Piebald'), $male('Ketch', 'Enchi Yellow Belly het Piebald')] as $sire) {
            $clutch->sires()->create(['animal_id' => $sire->id]);
        }
        $young = [];
        foreach (['One' => 'Banana', 'Two' => null, 'Three' => null, 'Four' => null] as $name => $stated) {
            $young[$name] = $this->made([
                'name' => $name, 'sex' => 'male', 'clutch_id' => $clutch->id, 'dam_id' => $dam->id, 'genotype' => $stated, 'hatched_on' => '2026-06-01',
            ]);
        }
        $young['Three']->statements()->create(['text' => 'Piebald', 'source' => 'own', 'certainty' => 75, 'names_all' => false, 'on' => '2026-06-02']);
        foreach ([['Two', 'head-stamp', 'full'], ['Two', 'back-blush', 'heavy'], ['Four', 'head-stamp', 'absent'], ['Four', 'back-band', 'wide']] as [$name, $cue, $state]) {
            $this->post("/clutches/{$clutch->id}/bench", ['animal' => $young[$name]->id, 'cue' => $cue, 'state' => $state]);
        }
        $clutch->alikeSets()->create(['target' => 'Pastel', 'animals' => [$young['Two']->id, $young['Three']->id]]);
        $clutch->counts()->create(['saw' => 'not Piebald', 'count' => 1]);
        $opened = app(\App\Collection\Doorway::class)->open($this->keeper());
        $bench = new \App\Clutch\Bench($clutch->fresh(), $opened);
        $this->assertNull($bench->why);
        $compared = 0;
        foreach ($young as $one) {
            $this->assertSame($opened->beliefs()->text($one->id), $bench->label($one), $one->name);
            $believed = \App\Clutch\GeneShares::of($opened->beliefs()->belief($one->id), $opened->shelf->catalogue());
            foreach ($bench->found?->genes((string) $one->id) ?? [] as $gene) {
                $this->assertEqualsWithDelta($believed[$gene['allele']->key] ?? 0.0, $gene['decimal'], 1e-6, "{$gene['allele']->name} of {$one->name}");
                $compared++;
            }
        }
        $this->assertGreaterThan(12, $compared);
        $names = array_column($bench->genes(), 'name');
        $this->assertContains('Piebald, het or visual', $names, 'a share of carriers does not read as one of visuals');
        $this->assertContains('Pastel', $names);
        $shares = array_column($bench->genes(), 'shares', 'name');
        $this->assertSame(0.0, $shares['Mojave'][$young['One']->id], 'a Banana that names all that shows is no Mojave');
    }

    public function test_a_clutch_without_a_sire_here_says_what_is_missing(): void
    {
        $dam = $this->made(['name' => 'Tender', 'genotype' => 'Clown', 'hatched_on' => '2020-07-01']);
        $clutch = $this->keeper()->clutches()
            ->create(['dam_id' => $dam->id, 'laid_on' => '2026-04-01', 'hatched_on' => '2026-06-01', 'hatched' => 1]);
        $this->get("/clutches/{$clutch->id}/bench")->assertOk()->assertSee('No hatchlings yet.');
        $this->made(['name' => 'One', 'clutch_id' => $clutch->id, 'dam_id' => $dam->id]);
        $this->get("/clutches/{$clutch->id}/bench")->assertOk()->assertSee('Name a possible sire.');
    }
}
