<?php

declare(strict_types=1);

namespace App\Prove;

use App\Catalogue\CatalogueShelf;
use App\Collection\Opened;
use App\Models\GeneChange;
use App\Words\OddsWords;
use Destino\Documents\CrossReader;
use Destino\Genome\Belief;
use Destino\Genome\Claim;
use Destino\Genome\GenotypePattern;
use Destino\Genome\Sex;
use Destino\Inference\Experiments\ClaimEvidence;

/**
 * What the young of the collection, and those that friends counted, say of the facts that keepers dispute.
 *
 * @phpstan-import-type CrossEntry from CrossReader
 * @phpstan-type Told array{claim: Claim, evidence: ClaimEvidence}
 */
final class DisputedFacts
{
    /** Where a fraction may be any number, it is tried in steps of one in so many. */
    private const STEPS = 50;

    /** @var list<array{float, list<CrossEntry>}> weight and animals: the keeper's own first, then those of friends */
    private readonly array $crosses;

    /** @var array<array-key, array{string, ClaimEvidence|null}>|null by claim: what it follows from, and what is told */
    private ?array $told = null;

    /** What an answer follows from. */
    private readonly string $from;

    public function __construct(private readonly Opened $opened)
    {
        $friends = $opened->keeper()->geneChanges()->where('kind', 'counts')->orderBy('id')->get();
        $given = $friends->map(fn (GeneChange $one): array => [(float) ($one->data['weight'] ?? 0), $one->data['animals'] ?? []])->all();
        $this->crosses = [[1.0, $this->own()], ...array_values($given)];
        $this->from = hash('xxh128', serialize([$opened->shelf->fingerprint(), $this->crosses]));
    }

    /** @return list<CrossEntry> */
    public function own(): array
    {
        $from = $this->opened->beliefs()->records->mark().' '.$this->opened->shelf->fingerprint();
        $name = "disputed:{$this->opened->keeper()->id}:crosses";
        $kept = $this->opened->kept->get($name);
        if ((! is_array($kept) || $kept[0] !== $from) && ! $this->opened->beliefs()->goesOnWithWhatWasKnown()) {
            $kept = [$from, (new OwnCrosses($this->opened))->all()];
            $this->opened->kept->put($name, $kept);
        }

        return $kept[1] ?? [];
    }

    /** @return list<Told> of which young tell something, the clearest first */
    public function all(): array
    {
        $all = [];
        foreach ($this->opened->shelf->catalogue()->claims as $claim) {
            $evidence = $this->about($claim);
            $evidence === null ?: $all[] = ['claim' => $claim, 'evidence' => $evidence];
        }
        usort($all, fn (array $a, array $b): int => max($b['evidence']->shares) <=> max($a['evidence']->shares));

        return $all;
    }

    /**
     * Null where no young tells anything, or where what they tell is not worked out yet; in a large collection whose page does not
     * wait it is what was known before.
     */
    public function about(Claim $claim): ?ClaimEvidence
    {
        $name = "disputed:{$this->opened->keeper()->id}";
        $this->told ??= (array) $this->opened->kept->get($name);
        $told = $this->told[$claim->key] ?? null;
        $isOld = $claim->isOfHeredity() && ($told === null || $told[0] !== $this->from);
        if ($isOld && ! $this->opened->beliefs()->goesOnWithWhatWasKnown()) {
            $told = $this->told[$claim->key] = [$this->from, $this->workedOut($claim)];
            $this->opened->kept->put($name, $this->told);
        }

        return $told[1] ?? null;
    }

    /** "Separate locus 97 %, cinnamon-series allele 3 %": the choices by what the young make of them. */
    public static function words(Claim $claim, ClaimEvidence $evidence): string
    {
        $shares = $evidence->shares;
        arsort($shares);

        return implode(', ', array_map(
            fn (string $school, float $share): string => $claim->schools[$school]->name.' '.OddsWords::share($share),
            array_keys($shares), $shares,
        ));
    }

    /** Which fractions fit, where the fact is one. */
    public static function fraction(ClaimEvidence $evidence): string
    {
        [$low, $likeliest, $high] = array_map(fn (float $one): string => OddsWords::share($one), $evidence->fraction ?? [0.0, 0.0, 0.0]);

        return $evidence->fraction === null ? '' : "They fit {$likeliest} best; 95 % of what is likely lies between {$low} and {$high}.";
    }

    private function workedOut(Claim $claim): ?ClaimEvidence
    {
        if (array_filter($this->crosses, fn (array $one): bool => $this->bearing($one[1], $claim, []) !== []) === []) {
            return null;
        }
        $shelves = array_map(fn (string $school): CatalogueShelf => $this->shelf($claim, $school), array_keys($claim->schools));
        $shelves = array_combine(array_keys($claim->schools), $shelves);
        $bearing = array_map(fn (array $one): array => [$one[0], $this->bearing($one[1], $claim, $shelves)], $this->crosses);
        $young = array_sum(array_map(fn (array $one): int => count(array_filter($one[1], self::isYoung(...))), $bearing));
        if ($young === 0) {
            return null;
        }
        $logs = $byFraction = [];
        foreach ($shelves as $school => $shelf) {
            $logs[$school] = self::log($bearing, $claim, $shelf);
        }
        for ($i = 0; $claim->freeFraction !== null && 2 * $i <= self::STEPS; $i++) {
            $byFraction[(string) ($i / self::STEPS)] = self::log($bearing, $claim, $this->shelf($claim, $i.'/'.self::STEPS));
        }

        return $logs === [] ? null : ClaimEvidence::of($logs, $young, $byFraction);
    }

    private function shelf(Claim $claim, string $school): CatalogueShelf
    {
        return $this->opened->shelf->withSchools([$claim->key => $school]);
    }

    /** @param list<array{float, list<CrossEntry>}> $bearing */
    private static function log(array $bearing, Claim $claim, CatalogueShelf $shelf): float
    {
        $reader = new CrossReader($shelf);
        $log = 0.0;
        foreach ($bearing as [$weight, $animals]) {
            $log += $animals === [] ? 0.0 : $weight * $reader->read($animals, $claim)->logLikelihood();
        }

        return $log;
    }

    /**
     * Young whose ancestors have an allele of which the claim speaks, with these; none that descends from an animal whose genes
     * make no sense to some school.
     *
     * @param list<CrossEntry> $animals parents before their young
     * @param array<string, CatalogueShelf> $shelves by school
     * @return list<CrossEntry>
     */
    private function bearing(array $animals, Claim $claim, array $shelves): array
    {
        $has = $unread = $bearing = [];
        foreach ($animals as $animal) {
            $id = $animal['id'];
            $parents = self::isYoung($animal) ? [$animal['sire'], $animal['dam']] : [];
            $isFounder = $parents === [];
            $has[$id] = ($isFounder && $this->names($animal, $claim))
                || array_filter($parents, fn (?int $parent): bool => $has[$parent] ?? false) !== [];
            $isCut = array_filter($parents, fn (?int $parent): bool => $unread[$parent] ?? true) !== [];
            $unread[$id] = $isCut || in_array(null, array_map(fn (CatalogueShelf $one): ?Belief => self::belief($one, $animal), $shelves), true);
            if (! $isFounder && $has[$id] && ! $isCut) {
                $bearing += [$id => true, (int) $animal['sire'] => true, (int) $animal['dam'] => true];
            }
        }
        // A parent whose own parents are of no matter begins a line, with what it shows.
        return array_values(array_map(
            fn (array $animal): array => isset($bearing[$animal['sire']], $bearing[$animal['dam']])
                ? $animal : ['sire' => null, 'dam' => null] + $animal,
            array_filter($animals, fn (array $animal): bool => isset($bearing[$animal['id']])),
        ));
    }

    /** @param CrossEntry $animal */
    private function names(array $animal, Claim $claim): bool
    {
        $catalogue = $this->opened->shelf->catalogue();
        $belief = self::belief($this->opened->shelf, $animal);
        foreach ($belief === null ? [] : $claim->alleles() as $key) {
            if (isset($catalogue->alleles[$key]) && ! $belief->chanceOf(new GenotypePattern([$key => 1]), $catalogue)->isZero()) {
                return true;
            }
        }

        return false;
    }

    /** @param CrossEntry $animal */
    private static function belief(CatalogueShelf $shelf, array $animal): ?Belief
    {
        return $shelf->reader()->read($animal['genes'], $animal['sex'] === null ? Sex::Female : Sex::from($animal['sex']))->belief;
    }

    /** @param CrossEntry $animal */
    private static function isYoung(array $animal): bool
    {
        return $animal['sire'] !== null && $animal['dam'] !== null;
    }
}
