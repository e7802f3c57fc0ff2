<?php

namespace Tests\Feature;

use App\Collection\Doorway;
use App\Models\Clutch;
use App\Models\HouseRules;
use App\Projects\Board;
use App\Projects\SeasonGrid;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Tests\TestCase;

/** The season board: who goes to whom, and what stands in the way. */
class BoardTest extends TestCase
{
    use RefreshDatabase;

    private function board(): Board
    {
        return new Board(app(Doorway::class)->open($this->keeper()->fresh()));
    }

    private function adult(string $name, string $sex, string $genes, int $grams = 1900): int
    {
        $animal = $this->made(['name' => $name, 'sex' => $sex, 'genotype' => $genes, 'hatched_on' => '2019-07-01']);
        $animal->care()->create(['kind' => 'weight', 'on' => Carbon::today()->subDay()->format('Y-m-d'), 'grams' => $grams]);

        return $animal->id;
    }

    private function plan(int $sire, int $dam): Clutch
    {
        $clutch = $this->keeper()->clutches()->create(['dam_id' => $dam, 'target' => 'Clown']);
        $clutch->sires()->create(['animal_id' => $sire]);

        return $clutch;
    }

    public function test_a_male_outside_the_records_breaks_no_page(): void
    {
        $dam = $this->made(['name' => 'Tender']);
        $clutch = $this->keeper()->clutches()->create(['dam_id' => $dam->id, 'paired_on' => now()->subDays(10)->format('Y-m-d')]);
        $clutch->sires()->create(['name' => 'a loan']);
        $young = $this->made(['name' => 'Young', 'clutch_id' => $clutch->id]); // without a dam of its own
        foreach (['/season', "/clutches/{$clutch->id}", "/clutches/{$clutch->id}/bench", "/animals/{$young->id}", '/projects'] as $page) {
            $this->get($page)->assertOk();
        }
    }

    public function test_pairings_stand_with_their_male_and_say_what_they_give(): void
    {
        $this->get('/season')->assertOk()->assertSee('No pairings yet.');
        $sire = $this->adult('Skiff', 'male', 'Clown');
        $clutch = $this->plan($sire, $this->adult('Tender', 'female', 'het Clown'));
        $this->plan($sire, $this->adult('Light', 'female', 'het Clown', 900));
        $this->adult('Free', 'female', 'Pastel');
        [$male] = $this->board()->males;
        $this->assertSame(['Skiff', 2], [$male['sire']->name, $male['serves']]);
        $this->assertSame(
            [['Tender', 'planned', '1/2', true], ['Light', 'planned', '1/2', false]],
            array_map(
                fn (array $place): array => [$place['dam']->name, $place['stage'], $place['egg']?->toString(), $place['isReady']],
                $male['places'],
            ),
        );
        $this->assertSame(['Free'], array_map(fn ($dam): string => $dam->name, $this->board()->free));
        $this->get('/season')->assertSeeInOrder(
            ['Tender', 'Clown: 1 in 2 per egg', 'introduced', 'Light', 'Too light', 'Ready but not paired', 'Free'],
        );

        $this->post(
            "/clutches/{$clutch->id}/events", ['kind' => 'introduced', 'form_token' => (string) Str::uuid()],
        )->assertSessionHasNoErrors();
        $this->assertSame('paired', $this->board()->males[0]['places'][0]['stage']);
        $clutch->events()->create(['kind' => 'laid', 'on' => Carbon::today()->format('Y-m-d'), 'count' => 5]);
        $this->assertCount(1, $this->board()->males[0]['places'], 'what is laid is no longer of the board');
        $this->assertSame(['Free'], array_map(fn ($dam): string => $dam->name, $this->board()->free), 'she who has just laid is not free');
    }

    public function test_a_male_with_too_many_females_is_told_so(): void
    {
        HouseRules::query()->forceCreate(['user_id' => $this->keeper()->id, 'choices' => ['females_per_male' => 1], 'version' => 1]);
        $sire = $this->adult('Skiff', 'male', 'Clown');
        $this->plan($sire, $this->adult('A', 'female', 'het Clown'));
        $this->plan($sire, $this->adult('B', 'female', 'het Clown'));
        $this->assertSame(
            ['B is one too many, and no other male that is ready does as much with her: let her wait a season'],
            $this->board()->males[0]['instead'],
        );
        $other = $this->adult('Other', 'male', 'het Clown');
        $project = $this->keeper()->projects()->create(['name' => 'One', 'target' => 'Clown', 'horizon' => 5]);
        $b = $this->keeper()->animals()->where('name', 'B')->sole()->id;
        $project->plans()->create(['state' => 'done', 'seed' => 1, 'input' => '', 'result' => [
            'names' => ["a{$sire}" => 'Skiff', "a{$other}" => 'Other', "a{$b}" => 'B'],
            'policy' => ['probability_by_season' => [['season' => 5, 'decimal' => .5]]],
            'possible' => [['sire' => "a{$other}", 'dam' => "a{$b}", 'target_an_egg' => .25, 'hazard' => .5]],
        ]]);
        $this->keeper()->clutches()->where('dam_id', $b)->delete();
        $grants = $this->board()->season->grants;
        $this->assertSame([["a{$other}", "a{$b}"]], array_map(fn (array $one): array => [$one['sire'], $one['dam']], $grants));
        $this->get('/season')->assertOk()->assertSee('Plan this pairing');
    }

    public function test_the_grid_has_each_pair_once_and_shows_the_one_that_is_asked_for(): void
    {
        [$skiff, $punt] = [$this->adult('Skiff', 'male', 'Clown'), $this->adult('Punt', 'male', 'Pastel')];
        [$tender, $light] = [$this->adult('Tender', 'female', 'het Clown'), $this->adult('Light', 'female', 'het Clown', 900)];
        $this->adult('Free', 'female', 'Pastel');
        foreach ([[$skiff, $tender], [$skiff, $light], [$punt, $light]] as [$sire, $dam]) {
            $this->plan($sire, $dam);
        }
        $grid = fn (int $sire = 0, int $dam = 0): SeasonGrid => new SeasonGrid(
            $this->board(), app(Doorway::class)->open($this->keeper()->fresh()), $sire, $dam,
        );
        $this->assertSame(['Skiff', 'Punt'], array_map(fn (array $male): string => $male['sire']->name, $grid()->males));
        $this->assertSame(
            [['Light', [true, true]], ['Tender', [true, false]], ['Free', [false, false]]],
            array_map(
                fn (array $row): array => [$row['dam']->name, array_map(fn (?array $cell): bool => $cell !== null, $row['cells'])],
                $grid()->rows,
            ),
        );
        $this->assertTrue($grid()->isWhole());
        $chosen = fn (SeasonGrid $of): string => "{$of->chosen['male']['sire']->name} {$of->chosen['place']['dam']->name}";
        $this->assertSame('Punt Light', $chosen($grid($punt, $light)));
        $this->assertSame('Skiff Tender', $chosen($grid($punt, $tender)), 'who stands nowhere together: the first pair');
        $this->assertSame([['Clown', true, '1/2'], ['het Clown', false, '1/2']], array_map(
            fn (array $look): array => [$look['outcome']->label, $look['isHit'], $look['outcome']->probability->toString()],
            $grid($skiff, $tender)->looks(),
        ));
        $this->get("/season?sire={$punt}&dam={$light}")->assertOk()->assertSeeInOrder(['2 of at most', 'Punt × Light', 'Too light']);
        $this->get('/season?sire=x&dam=99999999')->assertOk()->assertSee('Skiff × Tender');
    }
}
