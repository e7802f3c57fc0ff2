<?php

namespace Tests\Feature;

use App\Clutch\EggLine;
use App\Clutch\EggTray;
use App\Clutch\StillToCome;
use App\Collection\Doorway;
use App\Exchange\Archive\Archive;
use App\Models\Clutch;
use App\Models\ClutchEvent;
use App\Models\Egg;
use App\Models\Enums\EggState;
use App\Models\HouseRules;
use App\Models\User;
use App\Photos\Darkroom;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** The box of a clutch: eggs with their places and histories. */
class EggsTest extends TestCase
{
    use RefreshDatabase;

    private function clutch(int $daysAgo = 57, int $good = 6, int $slugs = 1): Clutch
    {
        $sire = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Pastel het Clown', 'hatched_on' => '2021-07-01']);
        $dam = $this->made(['name' => 'Tender', 'genotype' => 'het Clown', 'hatched_on' => '2020-07-01']);
        $clutch = $this->keeper()->clutches()->create(['dam_id' => $dam->id, 'target' => 'Clown']);
        $clutch->sires()->create(['animal_id' => $sire->id]);
        $clutch->events()->create(
            ['kind' => 'laid', 'on' => Carbon::today()->subDays($daysAgo)->format('Y-m-d'), 'count' => $good, 'infertile' => $slugs],
        );

        return $clutch->fresh();
    }

    /** @return array<int, Egg> by number */
    private function laidOut(Clutch $clutch): array
    {
        $this->post("/clutches/{$clutch->id}/eggs")->assertSessionHasNoErrors();

        return $clutch->eggs()->get()->keyBy('number')->all();
    }

    /** @param array<string, mixed> $more */
    private function log(Egg $egg, string $kind, array $more = []): \Illuminate\Testing\TestResponse
    {
        return $this->post(
            "/clutches/{$egg->clutch_id}/events", ['kind' => $kind, 'egg' => $egg->id, 'form_token' => (string) Str::uuid()] + $more,
        );
    }

    public function test_as_many_eggs_as_were_laid_lie_in_the_box_once(): void
    {
        $clutch = $this->clutch();
        $this->get("/clutches/{$clutch->id}/eggs")->assertOk()->assertSee('6 good eggs and 1 slugs were laid');
        $eggs = $this->laidOut($clutch);
        $this->laidOut($clutch); // a second tap
        $this->assertSame([7, 7, 1], [Egg::query()->count(), count($eggs), $clutch->eggs()->where('slug', true)->count()]);
        $this->get("/clutches/{$clutch->id}/eggs")->assertOk()->assertSee('6 good, 1 slug');

        $clutch->update(['eggs_good' => 8]);
        $this->get("/clutches/{$clutch->id}/eggs")->assertSee('The laying counts 9 eggs, the box shows 7.');
        $this->laidOut($clutch->fresh());
        $this->assertSame(range(1, 9), $clutch->eggs()->pluck('number')->all());

        $eggs[3]->delete();
        $this->laidOut($clutch->fresh());
        $this->assertSame(
            [1, 2, 4, 5, 6, 7, 8, 9, 10], $clutch->eggs()->pluck('number')->all(), 'the number on a shell is not given twice',
        );
    }

    public function test_the_history_of_an_egg_says_how_it_stands(): void
    {
        $eggs = $this->laidOut($this->clutch());
        foreach ([
            [1, ['veins', 'dented', 'pipped', 'out'], EggState::Out], [2, ['no-veins'], EggState::NoVeins],
            [3, ['veins', 'egg-bad', 'veins'], EggState::GivenUp],
            [4, [], EggState::Good], [5, ['dead-in-egg'], EggState::Dead], [6, ['mould', 'sweating'], EggState::Good],
            [7, [], EggState::Slug],
        ] as [$number, $kinds, $state]) {
            foreach ($kinds as $kind) {
                $this->log($eggs[$number], $kind)->assertSessionHasNoErrors()->assertRedirect(
                    route('eggs', [$eggs[$number]->clutch_id, 'egg' => $eggs[$number]->id]),
                );
            }
            $this->assertSame($state, $eggs[$number]->fresh()->state(), "egg {$number}");
        }
        $this->assertSame(
            'Egg 6: good, mould, sweating',
            (new EggTray(Clutch::query()->sole(), app(Doorway::class)->nobodys()->house))->words($eggs[6]->fresh()),
        );
    }

    public function test_an_egg_counts_once_whatever_is_logged_of_it(): void
    {
        $clutch = $this->clutch();
        $eggs = $this->laidOut($clutch);
        $this->log($eggs[1], 'out');
        $this->log($eggs[1], 'out'); // in another window
        $this->log($eggs[2], 'egg-bad');
        $this->log($eggs[2], 'dead-in-egg');
        $this->post("/clutches/{$clutch->id}/events", ['kind' => 'egg-bad']); // from Today, without a number
        $clutch = $clutch->fresh();
        $this->assertSame([3, 1, false], [$clutch->eggsGone(), $clutch->hatched, $clutch->isOut()]);
        $this->get("/clutches/{$clutch->id}/eggs")->assertOk()->assertSee('1 more is logged as out, given up or dead without a number');
        foreach ([3, 4, 5, 6] as $number) {
            $this->log($eggs[$number], 'out');
        }
        $this->assertTrue($clutch->fresh()->isOut());
    }

    /** @return iterable<string, array{array<string, mixed>, int, bool, bool}> house, day, whether one has pipped, whether it is asked about */
    public static function houses(): iterable
    {
        yield 'never' => [['opening' => 'never'], 60, true, true];
        yield 'after the first pip' => [[], 57, true, false];
        yield 'before the first pip' => [[], 57, false, true];
        yield 'before the chosen day' => [['opening' => 'from-day', 'opening_day' => 56], 55, true, true];
        yield 'on the chosen day' => [['opening' => 'from-day', 'opening_day' => 55], 55, false, false];
    }

    /** @param array<string, mixed> $house */
    #[DataProvider('houses')]
    public function test_opening_before_the_house_would_is_told_first_and_logged_if_the_keeper_says_so(
        array $house, int $day, bool $pipped, bool $isAsked,
    ): void {
        HouseRules::query()->forceCreate(['user_id' => $this->keeper()->id, 'choices' => $house, 'version' => 1]);
        $eggs = $this->laidOut($this->clutch($day));
        $pipped && $this->log($eggs[2], 'pipped');
        $opened = ['who' => 'Sam', 'saw' => 'Pastel?', 'note' => 'weak, a little slit'];
        $answer = $this->log($eggs[1], 'opened', $opened);
        if ($isAsked) {
            $answer->assertSessionHasErrors('sure');
            $this->assertSame(0, ClutchEvent::query()->where('kind', 'opened')->count());
            $this->log($eggs[1], 'opened', $opened + ['sure' => '1'])->assertSessionHasNoErrors();
        } else {
            $answer->assertSessionHasNoErrors();
        }
        $event = ClutchEvent::query()->where('kind', 'opened')->sole();
        $this->assertSame(['Sam', 'Pastel?', 'weak, a little slit'], [$event->who, $event->saw, $event->note]);
        $this->get(
            route('eggs', [$event->clutch_id, 'egg' => $eggs[1]->id]),
        )->assertSeeInOrder(['egg opened by Sam', 'first guess: Pastel?']);
    }

    public function test_a_place_is_kept_and_what_is_not_sent_stays(): void
    {
        $egg = $this->laidOut($this->clutch())[1];
        $this->put("/eggs/{$egg->id}", ['grams' => '88', 'clump' => '2', 'marked' => '1', 'apart' => '0'])->assertSessionHasNoErrors();
        $this->putJson("/eggs/{$egg->id}", ['across' => 40, 'down' => 61])->assertOk()->assertExactJson(['across' => 40, 'down' => 61]);
        $egg = $egg->fresh();
        $this->assertSame([40, 61, 88, 2, true, false], [$egg->across, $egg->down, $egg->grams, $egg->clump, $egg->marked, $egg->apart]);
        $this->putJson("/eggs/{$egg->id}", ['across' => 400])->assertUnprocessable();
        $this->put("/eggs/{$egg->id}", ['grams' => '2000'])->assertSessionHasErrors(
            ['grams' => 'An egg weighs 5 to 250 g, as a whole number.'],
        );
        $other = $this->keeper()->clutches()->create(['dam_id' => $egg->clutch->dam_id]);
        $this->post(
            "/clutches/{$other->id}/events", ['kind' => 'out', 'egg' => $egg->id],
        )->assertSessionHasErrors(['egg' => 'That egg is not in this clutch.']);
    }

    public function test_the_rest_of_the_eggs_still_gives_what_the_cross_says(): void
    {
        $clutch = $this->clutch(57, 6, 0);
        $eggs = $this->laidOut($clutch);
        $still = fn (): StillToCome => new StillToCome($clutch->fresh(), '', app(Doorway::class)->open($this->keeper()));
        [$odds] = $still()->bySire();
        $this->assertSame(['Clown', 6, '1/4', '3367/4096', '3367/4096'], [
            $still()->asked, $still()->left(), $odds['egg']->toString(), $odds['still']->toString(), $odds['clutch']->toString(),
        ]);
        $this->log($eggs[1], 'out');
        $this->log($eggs[2], 'egg-bad');
        $this->post(
            "/clutches/{$clutch->id}/hatchlings", ['name' => 'One', 'genotype' => 'Clown', 'form_token' => (string) Str::uuid()],
        )->assertSessionHasNoErrors();
        [$odds] = $still()->bySire();
        $this->assertSame([4, '175/256', '3367/4096'], [$still()->left(), $odds['still']->toString(), $odds['clutch']->toString()]);
        $this->assertSame(['known' => 1, 'hits' => 1, 'open' => 0], $still()->soFar());
        $this->get("/clutches/{$clutch->id}")->assertOk()->assertSee('1 hit among 1 kept; 4 eggs are left.', false);
        $this->get("/clutches/{$clutch->id}/eggs?target=Clwn")->assertOk()->assertSee('Clwn');
    }

    public function test_each_possible_sire_has_odds_of_his_own(): void
    {
        $clutch = $this->clutch(20, 5, 0);
        $clutch->sires()->create(
            ['animal_id' => $this->made(['name' => 'Barge', 'sex' => 'male', 'genotype' => 'Clown', 'hatched_on' => '2021-07-01'])->id],
        );
        $clutch->sires()->create(['name' => 'a loan']);
        $odds = (new StillToCome($clutch->fresh(), '', app(Doorway::class)->open($this->keeper())))->bySire();
        $this->assertSame(['1/4', '1/2', null], array_map(fn (array $one): ?string => $one['egg']?->toString(), $odds));
        $this->get("/clutches/{$clutch->id}")->assertSeeInOrder(
            ['If Skiff is the sire:', 'If Barge is the sire:', 'his genes are not in the collection'],
        );
    }

    public function test_eggs_are_in_the_archive_and_come_back_from_it(): void
    {
        $eggs = $this->laidOut($this->clutch());
        $this->put("/eggs/{$eggs[2]->id}", ['across' => '31', 'grams' => '90']);
        $this->log($eggs[2], 'opened', ['who' => 'Sam', 'saw' => 'dark head', 'sure' => '1']);
        $eggs[4]->delete();
        $darkroom = app(Darkroom::class);
        $document = json_decode(Archive::json((new Archive($this->keeper(), $darkroom))->document()), true);
        $other = User::factory()->create();
        (new Archive($other, $darkroom))->take($document, []);
        $this->assertSame(
            $document['clutches'], json_decode(Archive::json((new Archive($other, $darkroom))->document()), true)['clutches'],
        );
        $egg = $other->clutches()->sole()->eggs()->where('number', 2)->sole();
        $this->assertSame([31, 90, 'dark head'], [$egg->across, $egg->grams, $egg->events()->sole()->saw]);
    }

    public function test_an_archive_of_before_there_were_eggs_still_comes_in(): void
    {
        $this->clutch();
        $document = json_decode(Archive::json((new Archive($this->keeper(), app(Darkroom::class)))->document()), true);
        foreach ($document['clutches'] as &$clutch) {
            unset($clutch['eggs'], $clutch['target']);
        }
        unset($document['drills']);
        $path = (string) tempnam(sys_get_temp_dir(), 'old');
        file_put_contents($path, json_encode($document));
        [$read] = Archive::open($path);
        unlink($path);
        $this->assertSame(2, (new Archive(User::factory()->create(), app(Darkroom::class)))->take($read, []));
    }

    public function test_eggs_are_weighed_one_after_another_and_a_bad_row_holds_back_no_other(): void
    {
        $clutch = $this->clutch();
        $eggs = $this->laidOut($clutch);
        $this->get("/clutches/{$clutch->id}/eggs")->assertOk()->assertSee('0 of 7 weighed');
        $rows = [$eggs[1]->id => '84', $eggs[2]->id => '9999', $eggs[3]->id => ' 77 ', 987654 => '80'];
        $this->postJson("/clutches/{$clutch->id}/eggs/weights", ['rows' => $rows])->assertOk()
            ->assertJsonPath("rows.{$eggs[1]->id}.state", 'kept')->assertJsonPath("rows.{$eggs[2]->id}.state", 'refused')
            ->assertJsonPath("rows.{$eggs[3]->id}.state", 'kept')->assertJsonPath('rows.987654.state', 'gone');
        $this->assertSame([84, null, 77], array_map(fn (Egg $egg): ?int => $egg->fresh()->grams, [$eggs[1], $eggs[2], $eggs[3]]));
        $this->postJson("/clutches/{$clutch->id}/eggs/weights", ['rows' => [$eggs[1]->id => '']])
            ->assertJsonPath("rows.{$eggs[1]->id}.state", 'kept');
        $this->assertNull($eggs[1]->fresh()->grams); // a field that was emptied is emptied
        $this->post("/clutches/{$clutch->id}/eggs/weights", ['rows' => [$eggs[1]->id => '81', $eggs[3]->id => '']])
            ->assertSessionHas('said', '1 egg weight saved.');
        $this->assertSame([81, 77], [$eggs[1]->fresh()->grams, $eggs[3]->fresh()->grams]); // rows left empty in a whole form are left alone
        $this->post("/clutches/{$clutch->id}/eggs/weights", ['rows' => [$eggs[1]->id => '3']])
            ->assertSessionHasErrors(["rows.{$eggs[1]->id}" => 'An egg weighs 5 to 250 g, as a whole number.']);
    }

    public function test_all_eggs_are_candled_at_once_but_for_those_that_are_named(): void
    {
        $clutch = $this->clutch();
        $eggs = $this->laidOut($clutch);
        $this->log($eggs[6], 'egg-bad');
        $form = ['none' => [$eggs[3]->id], 'form_token' => (string) Str::uuid()];
        $this->post("/clutches/{$clutch->id}/eggs/candled", $form)->assertSessionHas('said', 'Candled: veins in 4 of 5.');
        $this->post("/clutches/{$clutch->id}/eggs/candled", $form)->assertSessionHas('said', 'This candling is saved already.');
        $state = fn (int $number): EggState => $eggs[$number]->fresh()->state();
        $this->assertSame(
            [EggState::Veins, EggState::Veins, EggState::NoVeins, EggState::GivenUp, EggState::Slug],
            [$state(1), $state(2), $state(3), $state(6), $state(7)],
        );
        $this->assertSame(6, $clutch->events()->whereNotNull('egg_id')->count());
        $this->post("/clutches/{$clutch->id}/eggs/candled/undo")->assertSessionHas('said', 'The candling is undone.');
        $this->post("/clutches/{$clutch->id}/eggs/candled/undo")->assertSessionHas('said', 'There is nothing left to undo.');
        $this->assertSame([1, EggState::Good], [$clutch->events()->whereNotNull('egg_id')->count(), $state(3)]);
    }

    public function test_a_clutch_without_open_eggs_is_not_candled(): void
    {
        $clutch = $this->clutch(good: 1, slugs: 0);
        $this->log($this->laidOut($clutch)[1], 'egg-bad');
        $this->post("/clutches/{$clutch->id}/eggs/candled", ['form_token' => (string) Str::uuid()])
            ->assertSessionHasErrorsIn('candling', ['none' => 'No egg of this clutch is left to candle.']);
    }

    public function test_laying_takes_the_weight_of_the_clutch_and_of_the_dam(): void
    {
        $clutch = $this->clutch();
        $clutch->events()->delete();
        $form = ['kind' => 'laid', 'on' => '20 Nov 2026', 'count' => '6', 'grams' => '520', 'dam_grams' => '1480',
            'form_token' => (string) Str::uuid()];
        Carbon::setTestNow('2026-12-01 10:00');
        $this->post("/clutches/{$clutch->id}/events", ['dam_grams' => '0'] + $form)->assertSessionHasErrors('dam_grams');
        $this->post("/clutches/{$clutch->id}/events", $form)->assertSessionHasNoErrors();
        $this->post("/clutches/{$clutch->id}/events", $form)->assertSessionHasNoErrors();
        $this->get("/clutches/{$clutch->id}")->assertSee('laid, 6 good, 520 g on 20 Nov 2026');
        $weight = $clutch->dam->care()->sole();
        $this->assertSame([1480, '2026-11-20'], [$weight->grams, $weight->on->format('Y-m-d')]);
    }

    public function test_hatchlings_of_two_clutches_of_a_dam_in_one_year_have_names_of_their_own(): void
    {
        $clutches = [$this->clutch(120), $this->clutch(40)];
        $clutches[1]->update(['dam_id' => $clutches[0]->dam_id]);
        foreach ($clutches as $clutch) {
            $clutch->events()->create(['kind' => 'hatched', 'on' => '2025-06-01', 'count' => 2]);
            $this->post("/clutches/{$clutch->id}/hatchlings/all", ['how_many' => 2, 'form_token' => (string) Str::uuid()]);
        }
        $names = $this->keeper()->animals()->whereNotNull('clutch_id')->orderBy('id')->pluck('name')->all();
        $this->assertSame(['Tender 2025-1', 'Tender 2025-2', 'Tender 2025b-1', 'Tender 2025b-2'], $names);
    }

    public function test_the_row_of_eggs_says_of_each_how_it_stands_also_where_only_numbers_are_logged(): void
    {
        $line = fn (Clutch $clutch): EggLine => new EggLine($clutch->fresh()->load('eggs', 'counts', 'hatchlings'));
        $clutch = $this->clutch();
        $this->assertSame('6 good, 1 slug', $line($clutch)->words());
        $clutch->events()->create(['kind' => 'pipped', 'on' => now()->format('Y-m-d'), 'count' => 2]);
        $this->assertSame('4 good, 1 slug, 2 pipped', $line($clutch)->words());
        $clutch->events()->create(['kind' => 'egg-bad', 'on' => now()->format('Y-m-d'), 'count' => 1]);
        $clutch->events()->create(['kind' => 'out', 'on' => now()->format('Y-m-d'), 'count' => 3]);
        $this->assertSame('2 good, 1 slug, 1 given up, 3 out', $line($clutch)->words());
        $this->assertCount(7, $line($clutch)->shells);

        $boxed = $this->clutch(good: 3, slugs: 0);
        $eggs = $this->laidOut($boxed);
        $this->log($eggs[2], 'out');
        $this->log($eggs[1], 'veins');
        $this->assertSame('1 good, 1 veins seen, 1 out', $line($boxed)->words());
        $this->post("/clutches/{$boxed->id}/hatchlings/all", ['how_many' => 2, 'form_token' => (string) Str::uuid()]);
        $shells = $line($boxed)->shells;
        $this->assertCount(3, $shells);
        $this->assertSame(2, count(array_filter($shells, fn (array $shell): bool => $shell['animal'] !== null)), 'two are out, each of an egg');
        $this->assertSame([1, 2, 3], array_column($shells, 'number'));
        $this->get("/clutches/{$boxed->id}")->assertOk()->assertSee('half-shell')->assertSee($shells[1]['animal']->name);
        $this->get('/clutches')->assertOk()->assertSee('1 good, 2 out')->assertSee('2 kept as animals');
    }

    public function test_more_hatchlings_than_eggs_lose_nobody(): void
    {
        $clutch = $this->clutch(good: 1, slugs: 0);
        $this->post("/clutches/{$clutch->id}/hatchlings/all", ['how_many' => 3, 'form_token' => (string) Str::uuid()]);
        $line = new EggLine($clutch->fresh()->load('eggs', 'counts', 'hatchlings'));
        $this->assertCount(3, array_filter($line->shells, fn (array $shell): bool => $shell['animal'] !== null));
    }
}
