<?php

namespace Tests\Feature;

use App\Models\PlanResult;
use App\Models\Project;
use App\Projects\PlanNotes;
use App\Projects\PlanSentence;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** A plan as it was kept, and what it says in a sentence. */
class PlanResultTest extends TestCase
{
    public function test_nothing_kept_is_nothing_in_it(): void
    {
        $result = PlanResult::of(null);

        $this->assertNull($result->policy);
        $this->assertNull($result->tubs);
        $this->assertNull($result->animals);
        $this->assertSame([[], [], [], [], []], [$result->routes, $result->names, $result->possible, $result->tried, $result->dilemmas]);
        $this->assertSame([null, null, null, false], [$result->error(), $result->already(), $result->unreachable(), $result->isCut()]);
    }

    public function test_what_is_kept_is_what_is_read(): void
    {
        $result = PlanResult::of([
            'search_complete' => false, 'unreachable' => ['why' => 'Nobody carries it.'], 'names' => ['a1' => 'Skiff'],
            'possible' => [['sire' => 'a1', 'dam' => 'a2', 'target_an_egg' => .1, 'hazard' => .2]], 'animals' => [],
            'tubs' => ['chances' => [2 => .3, 4 => .5], 'advised' => 4], 'something that comes later' => 1,
        ]);

        $this->assertTrue($result->isCut());
        $this->assertSame('Nobody carries it.', $result->unreachable());
        $this->assertSame(.2, $result->possible[0]['hazard']);
        $this->assertSame([], $result->animals, 'worked out, and nobody is worth anything');
        $this->assertSame(4, $result->tubs['advised'] ?? null);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> result, risk, sentence */
    public static function sentences(): iterable
    {
        $course = fn (array $chances, array $more = []): array => ['policy' => [
            'probability_by_season' => array_map(
                fn (float $chance, int $i): array => ['season' => $i + 1, 'decimal' => $chance, 'low' => $chance * .9, 'high' => min(1, $chance * 1.1)],
                $chances, array_keys($chances),
            ),
            'season' => ['median' => 2, 'p10' => 1, 'p90' => 3],
        ] + $more];
        yield 'nothing yet' => [[], 'even', 'No plan yet: plan again to make one.'];
        yield 'no target' => [['error' => '“Clwn” is no name.'], 'even', '“Clwn” is no name.'];
        yield 'no way' => [['unreachable' => ['why' => 'Nobody carries Clown.']], 'even', 'Nobody carries Clown.'];
        yield 'one already' => [['already' => 'a7', 'names' => ['a7' => 'Skiff']], 'even', 'Skiff is one already: Clown.'];
        yield 'half of them' => [$course([.2, .55, .93]), 'even', "Chance by year 3: 93\u{a0}%. 50\u{a0}% chance by year 2."];
        yield 'careful' => [$course([.2, .55, .93]), 'careful', "Chance by year 3: 93\u{a0}%. 90\u{a0}% chance by year 3."];
        yield 'bold' => [$course([.26, .55, .93]), 'bold', "Chance by year 3: 93\u{a0}%. 25\u{a0}% chance by year 1."];
        yield 'later' => [$course([.1, .2, .3]), 'even', "Chance by year 3: 30\u{a0}%. A 50\u{a0}% chance takes longer."];
        yield 'all of them' => [$course([.2, .9, 1.0]), 'even', "Chance by year 3: over 90 %. 50\u{a0}% chance by year 2."];
        yield 'a few keepers' => [$course([.2, .55, .93], ['runs' => 8]), 'careful', "Chance by year 3: 93\u{a0}% (first estimate)."];
    }

    /** @param array<string, mixed> $stored */
    #[DataProvider('sentences')]
    public function test_the_answer_is_one_sentence(array $stored, string $risk, string $said): void
    {
        $project = new Project(['name' => 'Ours', 'target' => 'Clown', 'horizon' => 3]);
        $year = fn (int $season): string => "year {$season}";

        $this->assertSame($said, (new PlanSentence(PlanResult::of($stored), $project, $risk, $year))->answer());
    }

    public function test_a_choice_that_changes_nothing_is_said_to(): void
    {
        $choice = fn (string $words, ?int $median, float $money): array => [
            'question' => '', 'choice' => $words, 'median' => $median, 'by_horizon' => .5, 'money' => $money,
        ];
        $result = PlanResult::of(['dilemmas' => [
            $choice('as planned', 3, 10.0), $choice('prove first', 3, 10.0), $choice('without buying', 4, 10.0), $choice('buy all', 3, 500.0),
        ]]);
        $notes = new PlanNotes($result, new Project(['name' => 'Ours', 'target' => 'Clown']), fn (int $season): string => (string) $season);

        $this->assertSame([false, true, false, false], array_column($notes->dilemmas(), 'same'), 'the plan itself is what the others are held against');
    }

    public function test_what_a_plan_rests_on_says_where_it_is_from(): void
    {
        $project = new Project(['name' => 'Ours', 'target' => 'Clown']);
        $project->assumptions = ['lay_rate' => .5];
        $notes = new PlanNotes(PlanResult::of(['assumptions' => ['lay_rate' => .5, 'female_months' => 40]]), $project, fn (int $season): string => '');
        $sources = array_column($notes->assumptions(), 'source', 'name');

        $this->assertSame(['edited here', 'house rules', 'default'], [$sources['lay_rate'], $sources['female_months'], $sources['clutch_mean']]);
        $this->assertNotContains('', array_column($notes->assumptions(), 'label'));
    }
}
