<?php

// Loci that tell of each other through sires and cues: messages between them against the whole graph, and what large families cost.

use App\Catalogue\CatalogueShelf;
use Destino\Genome\Sex;
use Destino\Identification\CueChances;
use Destino\Identification\CuePenetrance;
use Destino\Identification\CuesRead;
use Destino\Inference\Conclusions\Kindred;
use Destino\Inference\Descent\Descent;
use Destino\Inference\Evidence\Hearing;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Evidence\Penetrance;
use Destino\Inference\Evidence\Source;
use Destino\Inference\Evidence\Testimony;
use Destino\Inference\Family\BetweenLoci;
use Destino\Inference\Family\Bundles;
use Destino\Inference\Family\Context;
use Destino\Inference\Family\Family;
use Destino\Inference\Family\FamilySolver;
use Destino\Inference\Family\Hypothesis;
use Destino\Inference\Family\TiedGroups;
use Destino\Inference\Faults\ErrorRates;
use Destino\Inference\Inheritance\GenotypeSpace;
use Destino\Probability\Probability;
use Destino\Probability\Rational;
use Random\Engine\Mt19937;
use Random\Randomizer;

require __DIR__.'/../vendor/autoload.php';

$shelf = new CatalogueShelf(dirname(__DIR__).'/catalogue');
$catalogue = $shelf->catalogue();
$chances = new CueChances($catalogue, $shelf->looks());
$shown = ['pastel', 'enchi', 'fire', 'yellow-belly', 'leopard', 'pinstripe', 'mojave', 'banana', 'orange-dream'];
$hidden = ['clown', 'piebald', 'albino'];
$processor = function (): float {
    $usage = getrusage() ?: [];

    return $usage['ru_utime.tv_sec'] + $usage['ru_stime.tv_sec'] + ($usage['ru_utime.tv_usec'] + $usage['ru_stime.tv_usec']) / 1e6;
};

/** What everybody can see of copies by gene, in the words of a statement. */
$words = function (array $copies) use ($catalogue, $shown, $hidden): string {
    $words = [];
    foreach (array_filter($copies) as $gene => $count) {
        $allele = $catalogue->alleles[$gene];
        $form = $catalogue->form($allele->locus, $count > 1 ? $gene : '+', $gene);
        in_array($gene, $shown, true) || ($count > 1 && in_array($gene, $hidden, true)) ? $words[] = $form->text : null;
    }

    return $words === [] ? 'Normal' : implode(' + ', $words);
};

/**
 * A collection as it is kept: founders of whom looks and some percentages are stated, young of whom the look is stated, a quarter of the
 * clutches of either of two males, and the last ones read on the bench.
 *
 * @return list<Individual>
 */
$collection = function (int $animals, int $read, int $seed) use ($shelf, $catalogue, $chances, $shown, $hidden, $words): array {
    $chance = new Randomizer(new Mt19937($seed));
    $all = $copies = $males = $females = [];
    $said = fn (string $id, Sex $sex, string $text): Testimony => new Testimony(
        $id, $shelf->reader()->read($text, $sex)->beliefOrFail(), Source::Own, Probability::one(), true,
    );
    for ($n = 0, $clutch = 0, $sires = [], $sire = $dam = ''; $n < $animals; $n++) {
        $sex = $n % 3 === 0 ? Sex::Male : Sex::Female;
        $id = "a{$n}";
        $own = [];
        if ($n < 14) {
            $percent = [];
            foreach ($shown as $gene) {
                $own[$gene] = $chance->getInt(0, 5) === 0 ? 1 : 0;
            }
            foreach ($hidden as $gene) {
                $name = $catalogue->alleles[$gene]->name;
                [$own[$gene], $text] = match ($draw = $chance->getInt(0, 9)) {
                    0 => [2, ''], 1, 2 => [1, "het {$name}"], 3, 4 => [$chance->getInt(0, 2) > 0 ? 1 : 0, "66% het {$name}"], default => [0, ''],
                };
                $text === '' ?: $percent[] = $text;
            }
            $all[] = new Individual($id, $sex, null, null, [$said($id, $sex, implode(' ', [$words($own), ...$percent]))]);
        } else {
            if (($n - 14) % 6 === 0) {
                $clutch++;
                $dam = $females[$chance->getInt(max(0, count($females) - max(14, intdiv(count($females), 3))), count($females) - 1)];
                $sire = $males[$chance->getInt(max(0, count($males) - max(7, intdiv(count($males), 3))), count($males) - 1)];
                $other = $males[$chance->getInt(0, count($males) - 1)];
                $sires = $clutch % 4 === 0 && $other !== $sire ? [$sire, $other] : [];
            }
            foreach ([...$shown, ...$hidden] as $gene) {
                $own[$gene] = ($chance->getInt(1, 2) <= $copies[$sire][$gene] ? 1 : 0) + ($chance->getInt(1, 2) <= $copies[$dam][$gene] ? 1 : 0);
            }
            $isRead = $n >= $animals - $read;
            $young = new Individual(
                $id, $sex, $sires === [] ? $sire : null, $dam, $isRead ? [] : [$said($id, $sex, $words($own))], null, $sires, [], "c{$clutch}",
            );
            $all[] = $isRead ? $young->seenSo(readings($shelf, $chances, $own, $chance)) : $young;
        }
        $copies[$id] = $own;
        if ($n < 14 || ($n < $animals - $read && $chance->getInt(0, 2) === 0)) {
            $sex === Sex::Male ? $males[] = $id : $females[] = $id;
        }
    }

    return $all;
};

/**
 * Five cues as they would be read, each once.
 *
 * @param array<string, int> $copies by gene
 * @return list<Penetrance>
 */
function readings(CatalogueShelf $shelf, CueChances $chances, array $copies, Randomizer $chance): array
{
    $forms = [];
    foreach ($copies as $gene => $count) {
        $locus = $shelf->catalogue()->alleles[$gene]->locus;
        $forms[$locus] ??= $shelf->catalogue()->form($locus, $count > 0 ? $gene : '+', $count > 1 ? $gene : '+');
    }
    $read = [];
    foreach ($chance->pickArrayKeys($shelf->cues(), 5) as $key) {
        $cue = $shelf->cues()[$key];
        $draw = $chance->getInt(0, 999_999) / 1e6;
        $state = 0;
        foreach ($chances->floats($cue, $forms, 30) as $state => $p) {
            $draw -= $p;
            if ($draw <= 0) {
                break;
            }
        }
        $read[$key] = ['cue' => $cue, 'state' => $state, 'days' => 30];
    }

    return CuesRead::observed($chances, $read, Rational::of(1, CuePenetrance::MISREAD));
}

$trials = (int) ($argv[1] ?? 40);
$exact = $within = 0;
$off = [];
for ($trial = 1; $trial <= $trials; $trial++) {
    $all = $collection(60 + $trial % 3 * 30, 18 + $trial % 2 * 18, $trial);
    $byId = array_column(array_map(fn (Individual $one): array => [$one->id, $one], $all), 1, 0);
    $context = new Context($catalogue, new Hearing($catalogue), new Descent($catalogue, $byId), ErrorRates::assumed(), static fn (): array => []);
    $given = Hypothesis::of(Family::of($all, []), [], $catalogue);
    $spaces = array_map(fn (array $groups): GenotypeSpace => new GenotypeSpace($catalogue, $groups), TiedGroups::of($catalogue, $given->family, []));
    $bundles = Bundles::of($context, $given, $spaces);
    foreach ($bundles->all as $bundle) {
        [$apart, $together] = [$bundles->model($context, $given, $bundle), $bundles->model($context, $given, $bundle)];
        $together->parts = [];
        [$apart, $together] = [FamilySolver::divided($apart), FamilySolver::solve($together, 20_000_000)];
        if ($apart === null || ! $together->isExact) {
            continue;
        }
        $most = 0.0;
        foreach ($together->of as $i => $members) {
            foreach ($members as $id => $chances) {
                foreach ($chances as $number => $p) {
                    $most = max($most, abs($p->toFloat() - $apart->of[$i][$id][$number]->toFloat()));
                }
            }
        }
        if ($apart->isExact) {
            $exact++;
            $most < 1e-8 || printf("said to be exact and is not: %.2g\n", $most);
        } else {
            $off[] = $most;
            $within += $most <= BetweenLoci::ERROR ? 1 : 0;
        }
    }
}
sort($off);
$at = fn (float $share): float => $off[(int) min(count($off) - 1, floor($share * count($off)))] ?? 0.0;
printf(
    'Loci apart against the whole graph, %d families: %d exact; %d around in circles, the worst animal of each off by %.4f in the median, %.3f in '
    ."95 of 100, %.3f at the most; within the stated %.2f: %d\n", $trials, $exact, count($off), $at(.5), $at(.95), $at(1), BetweenLoci::ERROR, $within,
);
foreach ([[100, 20], [300, 0], [300, 40], [500, 40], [1000, 40]] as [$animals, $read]) {
    $all = $collection($animals, $read, 5);
    $before = $processor();
    $kindred = new Kindred($catalogue, array_column(array_map(fn (Individual $one): array => [$one->id, $one], $all), 1, 0));
    $error = 0.0;
    foreach (array_keys($kindred->families()) as $family) {
        foreach ($kindred->groupSetsOf($family) as $groups) {
            $error = max($error, $kindred->plain($family, $groups)->error);
        }
    }
    printf(
        "%5d animals, a quarter of the clutches of two males, %d read on the bench: %6.2f s, error %.3f, %d MB\n", $animals, $read,
        $processor() - $before, $error, memory_get_peak_usage() >> 20,
    );
}
