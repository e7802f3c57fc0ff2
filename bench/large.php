<?php

// Collections of hundreds and thousands: what they cost in processor time, and whether the errors that are stated hold.

use App\Catalogue\CatalogueShelf;
use Destino\Genome\Sex;
use Destino\Inference\Conclusions\Kindred;
use Destino\Inference\Descent\Descent;
use Destino\Inference\Evidence\Hearing;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Evidence\Source;
use Destino\Inference\Evidence\Testimony;
use Destino\Inference\Family\Context;
use Destino\Inference\Family\Family;
use Destino\Inference\Family\Hypothesis;
use Destino\Inference\Family\Modelling;
use Destino\Inference\Family\Network;
use Destino\Inference\Faults\ErrorRates;
use Destino\Inference\Graph\Doubles;
use Destino\Inference\Graph\Elimination;
use Destino\Inference\Graph\Factor;
use Destino\Inference\Graph\Order;
use Destino\Inference\Graph\Sampler;
use Destino\Inference\Graph\TooWide;
use Destino\Inference\Inheritance\GenotypeSpace;
use Destino\Notation\Target;
use Destino\Probability\Probability;
use Random\Engine\Mt19937;
use Random\Randomizer;

require __DIR__.'/../vendor/autoload.php';

$shelf = new CatalogueShelf(dirname(__DIR__).'/catalogue');
$catalogue = $shelf->catalogue();
$processor = function (): float {
    $usage = getrusage() ?: [];

    return $usage['ru_utime.tv_sec'] + $usage['ru_stime.tv_sec'] + ($usage['ru_utime.tv_usec'] + $usage['ru_stime.tv_usec']) / 1e6;
};
$founder = fn (string $id, Sex $sex, string $text): Individual => new Individual($id, $sex, null, null, [
    new Testimony("said of {$id}", $shelf->reader()->read($text, $sex)->beliefOrFail(), Source::Own, Probability::one(), false),
]);

/**
 * Ten generations; a few sires have young of many dams of the two generations before, a third of all are founders.
 *
 * Alleles are drawn as they are inherited, so that what is recorded can be.
 *
 * @param list<array{string, int, float}> $stated what founders are said to be, in turn: the text, an allele's number, its
 *     chance (2: both are of it)
 * @param int $seen of 100 young whose look is known
 * @return array<string, Individual>
 */
$collection = function (int $animals, array $stated, Target $saw, int $seed, int $seen) use ($founder): array {
    $chance = new Randomizer(new Mt19937($seed));
    $all = $males = $females = $pairs = [];
    $size = intdiv($animals, 10);
    $flip = fn (float $p): bool => $chance->getInt(0, 999_999) < 1_000_000 * $p;
    for ($i = 0; $i < $animals; $i++) {
        $generation = intdiv($i, $size);
        $sex = $i % 3 === 0 ? Sex::Male : Sex::Female;
        if ($generation === 0 || $chance->getInt(0, 2) === 0) {
            [$text, $allele, $p] = $stated[$i % count($stated)];
            $pairs["a{$i}"] = [$flip(min(1.0, $p)) ? $allele : 0, $p > 1.0 ? $allele : 0];
            $all["a{$i}"] = $founder("a{$i}", $sex, $text);
        } else {
            $sires = array_slice($males[$generation - 1], 0, 4 + intdiv($size, 100));
            $dams = [...$females[$generation - 1], ...$females[max(0, $generation - 2)]];
            [$sire, $dam] = [
                $sires[$chance->getInt(0, count($sires) - 1)],
                $dams[$chance->getInt(0, min(14 + intdiv($size, 20), count($dams) - 1))],
            ];
            $pairs["a{$i}"] = [$pairs[$sire][$chance->getInt(0, 1)], $pairs[$dam][$chance->getInt(0, 1)]];
            $all["a{$i}"] = new Individual(
                "a{$i}", $sex, $sire, $dam, [], $chance->getInt(1, 100) <= $seen && min($pairs["a{$i}"]) === 0 ? $saw : null,
            );
        }
        $sex === Sex::Male ? $males[$generation][] = "a{$i}" : $females[$generation][] = "a{$i}";
    }

    return $all;
};

$series = array_map(
    fn (string $allele): string => $catalogue->allele($allele)->name,
    array_slice($catalogue->locus($catalogue->allele('albino')->locus)->alleles, 0, 3),
);
$normal = ['Normal', 0, 0.0];
$four = [
    ["het {$series[0]}", 1, 1.0], $normal, ["66% het {$series[1]}", 2, 2 / 3], $normal, ["50% het {$series[2]}", 3, .5], $normal,
    [$series[0], 1, 2.0], $normal,
];
$two = [['50% het Clown', 1, .5], $normal, ['66% het Clown', 1, 2 / 3], $normal, ['Clown', 1, 2.0], $normal];
$noneOfFour = $shelf->targets()->read('not '.implode(', not ', $series));
$noClown = $shelf->targets()->read('not Clown');
$cases = [
    ['500 animals, four alleles, a fifth of the young seen', 500, $four, $noneOfFour, 'albino', 20, [1, 2, 3, 4, 5], 6],
    ['2,000 animals, two alleles, half of the young seen', 2000, $two, $noClown, 'clown', 50, [1, 2, 3], null],
    ['5,000 animals, two alleles, half of the young seen', 5000, $two, $noClown, 'clown', 50, [1], 15],
];
foreach ($cases as [$what, $animals, $stated, $saw, $allele, $seen, $seeds, $limit]) {
    foreach ($seeds as $seed) {
        $all = $collection($animals, $stated, $saw, $seed, $seen);
        $group = $catalogue->groupOf($catalogue->allele($allele)->locus);
        $start = $processor();
        $kindred = new Kindred($catalogue, $all);
        $error = 0.0;
        $doubtful = 0;
        foreach (array_keys($kindred->families()) as $family) {
            $answer = $kindred->plain($family, [$group]);
            $error = max($error, $answer->isDisputed ? NAN : $answer->error);
            $doubtful += count(array_filter($answer->errors, fn (float $one): bool => $one > .05));
        }
        $seconds = $processor() - $start;
        printf(
            "%-56s seed %d %6.2f s of processor time%s  %s\n", $what, $seed, $seconds,
            $limit === null ? '' : sprintf(', %.2f of the limit', $seconds / $limit),
            $error === 0.0 ? 'exact' : sprintf('within %.3f, %d of %d animals within .05', $error, $animals - $doubtful, $animals),
        );
    }
}

// Sampled against exact, where both can be had: the error that is stated is to hold in 95 of 100.
$trials = (int) ($argv[1] ?? 100);
$chance = new Randomizer(new Mt19937(5));
$flip = fn (float $p): bool => $chance->getInt(0, 999_999) < 1_000_000 * $p;
$space = new GenotypeSpace($catalogue, [$catalogue->groupOf('clown')]);
$held = 0;
$errors = $farthest = $buckets = [];
for ($trial = 1; count($errors) < $trials; $trial++) {
    $all = $copies = $males = $females = [];
    for ($i = 0; $i < 110; $i++) { // drawn from the model itself, so that its odds can be held against what is so
        $sex = $i % 3 === 0 ? Sex::Male : Sex::Female;
        $generation = intdiv($i, 20);
        if ($generation === 0 || $i % 5 === 0) {
            [$text, $p] = [['50% het Clown', .5], ['Normal', 0.0], ['66% het Clown', .66]][$i % 3];
            $copies["a{$i}"] = $flip($p) ? 1 : 0;
            $all["a{$i}"] = $founder("a{$i}", $sex, $text);
        } else {
            $sires = array_slice($males[$generation - 1], 0, 3);
            [$sire, $dam] = [
                $sires[$chance->getInt(0, count($sires) - 1)],
                $females[$generation - 1][$chance->getInt(0, count($females[$generation - 1]) - 1)],
            ];
            $copies["a{$i}"] = ($flip($copies[$sire] / 2) ? 1 : 0) + ($flip($copies[$dam] / 2) ? 1 : 0);
            $all["a{$i}"] = new Individual(
                "a{$i}", $sex, $sire, $dam, [], $copies["a{$i}"] === 2 ? $shelf->targets()->read('Clown') : $noClown,
            );
        }
        $sex === Sex::Male ? $males[$generation][] = "a{$i}" : $females[$generation][] = "a{$i}";
    }
    $context = new Context(
        $catalogue, new Hearing($catalogue), new Descent($catalogue, $all), ErrorRates::assumed(), static fn (): array => [],
    );
    $model = Modelling::of($context, Hypothesis::of(Family::of(array_values($all), []), [], $catalogue), [$space]);
    $network = Network::of($model);
    try {
        $truth = (
            new Elimination(
                $network->sizes, $network->factors,
                Order::of($network->sizes, array_map(fn (Factor $factor): array => $factor->scope, $network->factors)),
                new Doubles, 2_000_000,
            )
        )->run();
    } catch (TooWide) {
        continue;
    }
    $sampled = (new Sampler($network->sizes, $network->factors, 4e6, $trial, 60.0))->run();
    $most = 0.0;
    foreach ($truth->of as $variable => $shares) {
        foreach ($shares as $value => $share) {
            $most = max($most, abs($share->toFloat() - $sampled->of[$variable][$value]->toFloat()));
        }
    }
    $held += $most <= $sampled->error ? 1 : 0;
    [$errors[], $farthest[]] = [$sampled->error, $most];
    foreach (array_keys($all) as $id) {
        $variable = $network->variableOf(0, $id);
        if ($variable === null) {
            continue;
        }
        foreach ([$sampled, $truth] as $which => $answer) {
            $carries = 0.0;
            foreach (array_keys($model->domains[0][$id]) as $value => $number) {
                $carries += $space->state($number)->diplotypes['clown']->key === '+~+' ? 0.0 : $answer->of[$variable][$value]->toFloat();
            }
            $bucket = min(9, (int) floor(10 * $carries));
            $old = $buckets[$bucket][$which] ?? [0, 0.0, 0];
            $buckets[$bucket][$which] = [$old[0] + 1, $old[1] + $carries, $old[2] + ($copies[$id] > 0 ? 1 : 0)];
        }
    }
}
sort($errors);
sort($farthest);
printf(
    "\nSampled against exact: the stated error held in %d of %d; stated %.3f and really %.3f in the median\n", $held, $trials,
    $errors[intdiv($trials, 2)], $farthest[intdiv($trials, 2)],
);
ksort($buckets);
echo "Calibration, sampled and exact: P(carries) as given, and how often it was so (animals of a collection hang together)\n";
foreach ($buckets as $both) {
    foreach (['sampled', 'exact'] as $which => $name) {
        [$count, $sum, $true] = $both[$which] ?? [0, 0.0, 0];
        if ($count > 0) {
            printf(
                "  %-8s %5d animals given %4.1f %% on average: %4.1f %% carried it (standard error %.1f)\n", $name, $count,
                100 * $sum / $count, 100 * $true / $count, 100 * sqrt($sum / $count * (1 - $sum / $count) / $count),
            );
        }
    }
}
