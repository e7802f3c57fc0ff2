<?php

// Small projects of every kind against exact play: how much chance the keepers and the answer give away, in points.

use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Policy\BuildUp;
use Destino\Planning\Policy\Law;
use Destino\Planning\Policy\LookAhead;
use Destino\Planning\Policy\Play;
use Destino\Planning\Policy\Policy;
use Destino\Planning\Weigh\UpperBound;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\Planning\ExactPlay;
use Tests\Core\Planning\SmallProjects;
use Tests\Support\Shelf;

require __DIR__.'/../vendor/autoload.php';

const RUNS = 2000;

$cases = [...iterator_to_array(SmallProjects::small()), ...iterator_to_array(
    SmallProjects::drawn(new Randomizer(new Mt19937((int) ($argv[2] ?? 1))), (int) ($argv[1] ?? 30)),
)];
$lost = $above = [];
foreach ($cases as $name => [$wanted, $animals, $rules]) {
    $best = ExactPlay::of($wanted, $animals, $rules);
    if ($best < 1e-6 || $best > 1 - 1e-6) {
        continue;
    }
    $project = SmallProjects::of($wanted, $animals, $rules);
    $law = new Law(new Space(Shelf::catalogue(), $project));
    $answer = (new Policy(Shelf::catalogue(), $project))->answer(RUNS, 1);
    $reached = [
        'looking ahead' => (new Play($law, new LookAhead($law)))->run(RUNS, 1)->by($rules['horizon']),
        'building up' => (new Play($law, new BuildUp($law)))->run(RUNS, 1)->by($rules['horizon']),
        'the answer' => $answer->outcome->by($rules['horizon']),
    ];
    $above[] = 100 * ((new UpperBound($law->space))->chance(1) - $best);
    $gaps = array_map(static fn (float $one): float => 100 * ($best - $one), $reached);
    if (max($gaps) > 2.0) {
        printf("%5.1f %%  %s  %s\n", 100 * $best, implode('  ', array_map(
            static fn (string $who, float $gap): string => sprintf('%s %+.1f', $who, -$gap), array_keys($gaps), $gaps,
        )), mb_substr($name, 0, 140));
    }
    foreach ($gaps as $who => $gap) {
        $lost[$who][] = $gap;
    }
}
foreach ($lost as $who => $gaps) {
    $error = sqrt(.25 / RUNS) * 100;
    printf(
        "%s: %d projects, %.2f points given away on average (goal 0.5), %.1f at worst (goal 2), %d above exact play by three errors\n",
        $who, count($gaps), array_sum($gaps) / count($gaps), max($gaps),
        count(array_filter($gaps, static fn (float $gap): bool => $gap < -3 * $error)),
    );
}
sort($above);
printf(
    "upper bound: %.1f points above exact play in the median, %.1f at most, %d below it\n", $above[intdiv(count($above), 2)], max($above),
    count(array_filter($above, static fn (float $one): bool => $one < 0.0)),
);
