<?php

namespace Tests\Feature;

use App\Collection\Doorway;
use App\Models\Plan;
use App\Models\Project;
use App\Projects\ProjectPage;
use App\Projects\River;
use App\Projects\Workshop;
use Illuminate\Foundation\Testing\RefreshDatabase;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** How a plan is drawn and told: rivers whose parts fit together, curves that rise, ways held against each other. */
class ProjectDrawingTest extends TestCase
{
    use RefreshDatabase;

    public function test_a_river_has_a_place_for_each_animal_and_lines_that_meet_them(): void
    {
        $page = $this->planned();
        $this->assertNotSame([], $page->routes());
        foreach ($page->routes() as $route) {
            $river = $page->river($route);
            $at = array_map(fn (array $node): string => "{$node['x']} {$node['y']}", $river->nodes());
            $this->assertSame($at, array_unique($at), 'no two lie on each other');
            $kinds = array_count_values(array_column($river->nodes(), 'kind'));
            $this->assertSame([1, count($route['steps']) - 1], [$kinds['target'], $kinds['young'] ?? 0]);
            $half = River::NODE_HEIGHT / 2;
            foreach ($river->lines as $line) {
                $this->assertContains(
                    ($line['from'][0] - River::NODE_WIDTH).' '.($line['from'][1] - $half),
                    array_map(fn (string $place): string => implode(' ', array_map(floatval(...), explode(' ', $place))), $at),
                );
                $this->assertContains(
                    $line['to'][0].' '.($line['to'][1] - $half),
                    array_map(fn (string $place): string => implode(' ', array_map(floatval(...), explode(' ', $place))), $at),
                );
                $this->assertLessThan($line['to'][0], $line['from'][0], 'water runs to the right');
                $this->assertGreaterThan(0, $line['wide']);
            }
            foreach ($river->nodes() as $node) {
                $this->assertLessThanOrEqual($river->width(), $node['x'] + River::NODE_WIDTH);
                $this->assertLessThanOrEqual($river->height(), $node['y'] + River::NODE_HEIGHT);
                $this->assertLessThanOrEqual(2, count($node['title']));
                $this->assertStringContainsString($node['kind'] === 'founder' ? 'male' : 'from', $node['full'].' from');
            }
        }
    }

    public function test_a_founder_that_hatched_here_has_its_clutch_upstream(): void
    {
        $page = $this->planned();
        $sire = $this->keeper()->animals()->where('name', 'Skiff')->sole();
        $dam = $this->keeper()->animals()->where('name', 'Mother')->sole();
        $clutch = $this->keeper()->clutches()->create([
            'dam_id' => $dam->id, 'hatched_on' => '2022-07-01', 'hatched' => 5, 'eggs_good' => 6,
        ]);
        $clutch->sires()->create(['animal_id' => $this->keeper()->animals()->where('name', 'Father')->sole()->id]);
        $sire->update(['clutch_id' => $clutch->id]);
        $page = new ProjectPage($page->project->fresh(['latestPlan', 'keeper']), new Workshop(app(Doorway::class)->open($this->keeper())));
        $past = array_values(array_filter($page->river($page->routes()[0])->nodes(), fn (array $node): bool => $node['kind'] === 'past'));
        $this->assertCount(1, $past);
        $this->assertStringContainsString('6 eggs, 5 hatched; kept Skiff', $past[0]['full']);
        $this->assertSame(
            [true],
            array_values(
                array_unique(
                    array_map(
                        fn (array $line): bool => $line['from'][0] === $past[0]['x'] + River::NODE_WIDTH,
                        array_filter($page->river($page->routes()[0])->lines, fn (array $line): bool => $line['isPast']),
                    ),
                ),
            ),
        );
    }

    public function test_chances_never_fall_with_the_years_and_stay_in_their_band(): void
    {
        foreach ($this->planned()->routes() as $route) {
            $last = 0.0;
            foreach ($route['probability_by_season'] as $at) {
                $this->assertGreaterThanOrEqual($last, $at['decimal']);
                $this->assertTrue($at['low'] <= $at['decimal'] && $at['decimal'] <= $at['high']);
                $last = $at['decimal'];
            }
            $money = array_column($route['money_by_season'], 'money');
            $sorted = $money;
            sort($sorted);
            $this->assertSame($sorted, $money, 'money that is spent stays spent');
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> what is other in the second way, how it is told */
    public static function others(): iterable
    {
        yield 'the same' => [[], 'in the same year on average'];
        yield 'later and dearer' => [
            ['season' => ['median' => 7, 'p10' => 4, 'p90' => null], 'money' => 900.0], '2 years later on average, costs more',
        ];
        yield 'sooner' => [['season' => ['median' => 4, 'p10' => 3, 'p90' => 6]], '1 year sooner on average'];
        yield 'never' => [['season' => ['median' => null, 'p10' => null, 'p90' => null]], 'most get there after the time looked at'];
        yield 'closer relatives' => [['inbreeding' => '1/4'], 'in the same year on average, its offspring are more inbred'];
        yield 'fewer in the end' => [
            ['probability_by_season' => [['season' => 1, 'decimal' => 0.0], ['season' => 2, 'decimal' => .5]]],
            'in the same year on average, chance by 2028 30 points lower',
        ];
        yield 'earlier at best' => [
            ['probability_by_season' => [['season' => 1, 'decimal' => .1], ['season' => 2, 'decimal' => .8]]],
            'in the same year on average, the first can come earlier',
        ];
        yield 'one cross more' => [['steps' => [[], []]], 'in the same year on average, one generation or pairing more'];
    }

    /** @param array<string, mixed> $other */
    #[DataProvider('others')]
    public function test_a_way_is_held_against_the_first(array $other, string $words): void
    {
        $this->travelTo('2026-11-25');
        $one = [
            'season' => ['median' => 5, 'p10' => 3, 'p90' => 8],
            'probability_by_season' => [['season' => 1, 'decimal' => 0.0], ['season' => 2, 'decimal' => .8]], 'money' => 0.0,
            'inbreeding' => '0', 'steps' => [[]],
        ];
        $project = $this->keeper()->projects()->create(['name' => 'Two', 'target' => 'Clown', 'horizon' => 2]);
        $project->plans()->create(['state' => 'done', 'seed' => 1, 'input' => 'x', 'result' => ['routes' => [$one, $other + $one]]]);
        $this->assertSame(
            $words,
            (
                new ProjectPage($project->fresh(['latestPlan', 'keeper']), new Workshop(app(Doorway::class)->open($this->keeper())))
            )->against(1),
        );
    }

    private function planned(): ProjectPage
    {
        $this->made(['name' => 'Father', 'sex' => 'male', 'genotype' => 'Clown', 'hatched_on' => '2015-07-01']);
        $this->made(['name' => 'Mother', 'genotype' => 'het Clown het Piebald', 'hatched_on' => '2015-07-01']);
        $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Clown het Piebald', 'hatched_on' => '2022-07-01']);
        $this->made(['name' => 'Tender', 'genotype' => 'Piebald', 'hatched_on' => '2021-07-01']);
        $project = $this->keeper()->projects()->create([
            'name' => 'Two recessives', 'target' => 'Clown + Piebald', 'horizon' => 8,
            'offers' => [['genes' => 'Clown Piebald', 'sex' => 'female', 'age' => 40, 'price' => 2500]],
        ]);
        $workshop = new Workshop(app(Doorway::class)->open($this->keeper()));
        $plan = $project->plans()->create($workshop->begin($project->refresh()));
        $workshop->work(Plan::query()->with('project.keeper')->findOrFail($plan->id));

        return new ProjectPage(Project::query()->with('latestPlan', 'keeper')->findOrFail($project->id), $workshop);
    }
}
