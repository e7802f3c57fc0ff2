<?php

// What inference costs: a large collection with loops, one locus and all of them, one new clutch; and whether its odds hold.

use App\Catalogue\CatalogueShelf;
use Bench\Stopwatch;
use Destino\Genome\Sex;
use Destino\Inference\Conclusions\Kindred;
use Destino\Inference\Evidence\Brood;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Evidence\Source;
use Destino\Inference\Evidence\Testimony;
use Destino\Probability\Probability;
use Random\Engine\Mt19937;
use Random\Randomizer;

require __DIR__.'/../vendor/autoload.php';

$shelf = new CatalogueShelf(dirname(__DIR__).'/catalogue');
$catalogue = $shelf->catalogue();
$says = fn (string $id, string $text, Sex $sex): Testimony => new Testimony(
    $id, $shelf->reader()->read($text, $sex)->beliefOrFail(), Source::Own, Probability::one(), false,
);

/**
 * Ten generations: each has young of a few sires with many dams of the two before; a tenth of them from relatives.
 *
 * @param list<string> $stated what founders are said to be, in turn
 * @param list<string> $saw what is seen of a third of the young
 * @return array<string, Individual>
 */
$collection = function (int $animals, array $stated, array $saw, int $seed = 1, int $seen = 3) use ($shelf, $says): array {
    $chance = new Randomizer(new Mt19937($seed));
    $all = $males = $females = [];
    $size = intdiv($animals, 10);
    for ($i = 0; $i < $animals; $i++) {
        $generation = intdiv($i, $size);
        $sex = $i % 3 === 0 ? Sex::Male : Sex::Female;
        $isFounder = $generation === 0 || $chance->getInt(0, 2) === 0;
        $testimonies = [];
        if ($isFounder) {
            $testimonies[] = $says("s{$i}", $stated[$i % count($stated)], $sex);
            $all["a{$i}"] = new Individual("a{$i}", $sex, null, null, $testimonies);
        } else {
            $sires = array_slice($males[$generation - 1], 0, 4); // few males serve many females
            $dams = [...$females[$generation - 1], ...$females[max(0, $generation - 2)]];
            $all["a{$i}"] = new Individual(
                "a{$i}", $sex, $sires[$chance->getInt(0, count($sires) - 1)],
                $dams[$chance->getInt(0, min(14, count($dams) - 1))], [],
                $i % $seen === $seen - 1 ? $shelf->targets()->read($saw[$i % count($saw)]) : null,
            );
        }
        $sex === Sex::Male ? $males[$generation][] = "a{$i}" : $females[$generation][] = "a{$i}";
    }

    return $all;
};
$line = fn (string $what, float $milliseconds, ?float $limit = null) => printf(
    "%-76s %9.0f ms%s\n", $what, $milliseconds,
    $limit === null ? '' : sprintf('  %.2f of the limit of %g ms', $milliseconds / $limit, $limit),
);
$solve = function (Kindred $kindred): array {
    $isExact = true;
    $tables = 0;
    foreach (array_keys($kindred->families()) as $family) {
        foreach ($kindred->groupSetsOf($family) as $groups) {
            if ($kindred->contentOf($family, $groups) !== '') {
                $isExact = $kindred->posterior($family, $groups)->isExact && $isExact;
                $tables++;
            }
        }
    }

    return [$isExact, $tables];
};

memory_reset_peak_usage();
foreach ([125, 250, 500] as $animals) {
    $four = $collection($animals, ['50% het Clown', 'Normal', '66% het Clown', 'Normal', 'Clown'], ['not Clown']);
    $answer = null;
    $line("one locus, recessive, {$animals} animals in 10 generations", Stopwatch::milliseconds(function () use ($catalogue, $four, $solve, &$answer): void {
        $answer = $solve(new Kindred($catalogue, $four));
    }, 1), $animals === 500 ? 1000 : null);
    echo $answer[0] ? "  exact\n" : "  sampled\n";
}
// A recessive series: three alleles beside the wild type, of which one copy never shows; every look is known.
$series = array_map(
    fn (string $allele): string => $catalogue->allele($allele)->name,
    array_slice($catalogue->locus($catalogue->allele('albino')->locus)->alleles, 0, 3),
);
$hets = array_map(fn (string $name): string => "het {$name}", $series);
$four = $collection(
    500, [$hets[0], 'Normal', "66% {$hets[1]}", 'Normal', "50% {$hets[2]}", 'Normal', $series[0], 'Normal'],
    ['not '.implode(', not ', $series)], seen: 1,
);
foreach ([1, 2] as $try) {
    $line('one locus with four alleles, 500 animals', Stopwatch::milliseconds(function () use ($catalogue, $four, $solve, &$answer): void {
        $answer = $solve(new Kindred($catalogue, $four));
    }, 1), 1000);
}
echo $answer[0] ? "  exact\n" : "  sampled\n";

$genes = array_values(
    array_filter(
        array_map(
            fn ($allele): string => $allele->inheritance->showsInOneCopy() ? $allele->name : "het {$allele->name}",
            array_values($catalogue->alleles),
        ),
        fn (string $text): bool => $shelf->reader()->read($text, Sex::Female)->belief !== null,
    ),
);
$stated = array_map(
    fn (int $i): string => "{$genes[$i % count($genes)]} ".(
        str_starts_with($genes[($i * 7 + 3) % count($genes)], 'het ') ? '50% '.$genes[($i * 7 + 3) % count($genes)] : ''
    ),
    range(0, 79),
);
$stated = array_values(array_filter($stated, fn (string $text): bool => $shelf->reader()->read(trim($text), Sex::Female)->belief !== null));
$wide = $collection(500, $stated, ['not Clown', 'not Piebald', 'not Albino']);
$line('all loci cold, 500 animals', Stopwatch::milliseconds(function () use ($catalogue, $wide, $solve, &$answer): void {
    $answer = $solve(new Kindred($catalogue, $wide));
}, 1), 15_000);
echo "  {$answer[1]} families and loci, ".($answer[0] ? "all exact\n" : "some sampled\n");

$before = [];
$kindred = new Kindred($catalogue, $wide);
foreach (array_keys($kindred->families()) as $family) {
    foreach ($kindred->groupSetsOf($family) as $groups) {
        $before[$kindred->contentOf($family, $groups)] = true;
    }
}
$dam = array_key_first(array_filter($wide, fn (Individual $one): bool => $one->sex === Sex::Female && $one->dam !== null));
$line('one new clutch: only what it touches', Stopwatch::milliseconds(function () use ($catalogue, $wide, $before, $dam, $shelf, &$answer): void {
    $kindred = new Kindred($catalogue, $wide, [new Brood('b', [$wide[$dam]->sire], $dam, $shelf->targets()->read('not Clown'), 5)]);
    $answer = 0;
    foreach (array_keys($kindred->families()) as $family) {
        foreach ($kindred->groupSetsOf($family) as $groups) {
            $content = $kindred->contentOf($family, $groups);
            if ($content !== '' && ! isset($before[$content])) { // as a collection does it, which keeps the rest
                $kindred->plain($family, $groups);
                $answer++;
            }
        }
    }
}, 1), 300);
echo "  {$answer} worked out anew\n";
printf(
    "%-76s %9.0f MB  %.2f of the limit of 256 MB\n", 'memory at the most', memory_get_peak_usage() / 1e6,
    memory_get_peak_usage() / 256e6,
);

// Calibration: collections drawn from the model itself, inferred from what a keeper sees of them.
$chance = new Randomizer(new Mt19937(11));
$flip = fn (float $p): bool => $chance->getInt(0, 999_999) < 1_000_000 * $p;
$priors = ['50% het Clown' => .5, '66% het Clown' => 2 / 3, 'Clown' => 1.0, 'het Clown' => 1.0, 'Normal' => 0.0];
$group = [$catalogue->groupOf('clown')];
$buckets = [];
for ($round = 0; $round < 200; $round++) {
    $all = $copies = $bySex = [];
    for ($i = 0; $i < 14; $i++) {
        $sex = $i % 2 === 0 ? Sex::Male : Sex::Female;
        if ($i < 4) {
            $text = array_keys($priors)[$chance->getInt(0, 4)];
            $copies["a{$i}"] = $text === 'Clown' ? 2 : ($flip($priors[$text]) ? 1 : 0);
            $all["a{$i}"] = new Individual("a{$i}", $sex, null, null, [$says("s{$i}", $text, $sex)]);
        } else {
            [$sire, $dam] = [
                $bySex['male'][$chance->getInt(0, count($bySex['male']) - 1)],
                $bySex['female'][$chance->getInt(0, count($bySex['female']) - 1)],
            ];
            $copies["a{$i}"] = ($flip($copies[$sire] / 2) ? 1 : 0) + ($flip($copies[$dam] / 2) ? 1 : 0);
            $all["a{$i}"] = new Individual(
                "a{$i}", $sex, $sire, $dam, [], $shelf->targets()->read($copies["a{$i}"] === 2 ? 'Clown' : 'not Clown'),
            );
        }
        $bySex[$sex->value][] = "a{$i}";
    }
    $kindred = new Kindred($catalogue, $all);
    foreach (array_keys($kindred->families()) as $family) {
        foreach ($kindred->contentOf($family, $group) === '' ? [] : $kindred->posterior($family, $group)->of as $id => $states) {
            $carries = 0.0;
            foreach ($states->entries() as [$state, $p]) {
                $carries += $state->diplotypes['clown']->key === '+~+' ? 0.0 : $p->toFloat();
            }
            if ($carries > 0.0 && $carries < 1.0) {
                $bucket = (int) floor(10 * $carries);
                $buckets[$bucket] = [
                    ($buckets[$bucket][0] ?? 0) + 1, ($buckets[$bucket][1] ?? 0.0) + $carries,
                    ($buckets[$bucket][2] ?? 0) + ($copies[$id] > 0 ? 1 : 0),
                ];
            }
        }
    }
}
ksort($buckets);
echo "Calibration: 200 collections drawn from the model; P(carries) as inferred, and how often it was so\n";
foreach ($buckets as [$count, $sum, $true]) {
    printf(
        "  %5d animals given %4.1f %% on average: %4.1f %% carried it (standard error %.1f)\n", $count, 100 * $sum / $count,
        100 * $true / $count, 100 * sqrt($sum / $count * (1 - $sum / $count) / $count),
    );
}
