<?php

namespace App\Prove;

use App\Catalogue\CatalogueShelf;
use App\House\House;
use Destino\DestinoError;
use Destino\Genome\Diplotype;
use Destino\Genome\LinkageGroup;
use Destino\Inference\Brood;
use Destino\Inference\Contradiction;
use Destino\Inference\ErrorRates;
use Destino\Inference\Fault;
use Destino\Inference\FaultKind;
use Destino\Inference\Individual;
use Destino\Inference\Kindred;
use Destino\Probability\Distribution;
use Destino\Probability\Rational;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * What the whole collection says of each animal: parents, young, counted siblings, cousins. Each family is worked out at
 * each set of linkage groups by itself and kept under its content, so that a new egg works out only what it touches.
 *
 * @phpstan-type Part array{of: array<string, string>, contradictions: list<Contradiction>, exact: bool, error: float}
 */
class Kin
{
    /** Rises whenever what is kept changes its form or the way it is worked out. */
    private const FORM = '4:';

    /** Digits of a denominator that can still be read. */
    private const DIGITS = 8;

    private ?Kindred $kindred = null;

    /** @var array{fingerprint: string, keys: array<string, string>, parts: array<string, list<string>>, all: list<string>}|null */
    private ?array $index = null;

    /** @var array<string, Part> */
    private array $parts = [];

    /**
     * @param array<string, mixed> $records rows that the answers follow from
     * @param \Closure(): array<string, Individual> $individuals by id, with what was stated of them
     */
    public function __construct(private readonly int $keeper, private readonly array $records, private readonly \Closure $individuals, private readonly CatalogueShelf $shelf) {}

    /** @return array{clutches: list<array<string, mixed>>, counts: list<array<string, mixed>>, decisions: list<array<string, mixed>>} */
    public static function rows(int $keeper): array
    {
        $clutches = [];
        foreach (DB::table('clutches')->where('user_id', $keeper)->whereNull('deleted_at')->orderBy('id')->get(['id', 'dam_id']) as $row) {
            $clutches[$row->id] = ['id' => $row->id, 'dam' => $row->dam_id, 'sires' => []];
        }
        foreach (DB::table('clutch_sires')->whereIn('clutch_id', array_keys($clutches))->orderBy('id')->get(['clutch_id', 'animal_id']) as $row) {
            $clutches[$row->clutch_id]['sires'][] = $row->animal_id;
        }
        $counts = DB::table('clutch_counts')->whereIn('clutch_id', array_keys($clutches))->whereNull('deleted_at')->orderBy('id')->get(['id', 'clutch_id', 'saw', 'count', 'dead']);
        $decisions = DB::table('decisions')->where('user_id', $keeper)->whereNull('deleted_at')->orderBy('id')->get(['id', 'animal_id', 'clutch_count_id', 'kind', 'alleles']);

        return [
            'clutches' => array_values($clutches), 'counts' => array_values($counts->map(fn (object $row): array => (array) $row)->all()),
            'decisions' => array_values($decisions->map(fn (object $row): array => (array) $row)->all()),
        ];
    }

    /** Equal as long as what the relatives say of an animal is the same. */
    public function keyOf(int $id): string
    {
        return $this->index()['keys']["a{$id}"] ?? '';
    }

    /** @return list<array{list<string>, Distribution<array<string, Diplotype>>}> what is believed of an animal, by set of groups */
    public function statesOf(int $id): array
    {
        $states = [];
        foreach ($this->index()['parts']["a{$id}"] ?? [] as $hash) {
            $kept = $this->part($hash)['of']["a{$id}"] ?? null;
            if ($kept !== null) {
                $states[] = unserialize($kept);
            }
        }

        return $states;
    }

    /** @return list<Contradiction> young that the records exclude, in the collection */
    public function contradictions(): array
    {
        $all = [];
        foreach ($this->index()['all'] as $hash) {
            array_push($all, ...$this->part($hash)['contradictions']);
        }

        return $all;
    }

    /** The largest error of a sampled answer; 0 where all are exact. */
    public function error(): float
    {
        return max([0.0, ...array_map(fn (string $hash): float => $this->part($hash)['error'], $this->index()['all'])]);
    }

    /** The families themselves, for questions that go further. */
    public function kindred(): Kindred
    {
        return $this->kindred ??= $this->without([]);
    }

    /**
     * The same collection as if some clutches, their young's looks included, had not been seen, or some statements not made.
     *
     * @param list<int> $clutches
     * @param list<string> $statements
     */
    public function without(array $clutches, array $statements = []): Kindred
    {
        $individuals = [];
        $sires = $damOf = [];
        foreach ($this->records['clutches'] as $row) {
            $sires[$row['id']] = array_map(fn (?int $sire): ?string => $sire === null || ! isset($this->records['animals'][$sire]) ? null : "a{$sire}", $row['sires']);
            $damOf[$row['id']] = "a{$row['dam']}";
        }
        foreach (($this->individuals)() as $id => $one) {
            $row = $this->records['animals'][(int) substr($id, 1)];
            $isLeftOut = in_array($row['clutch_id'], $clutches, true);
            $testimonies = array_values(array_filter($one->testimonies, fn ($testimony): bool => ! $isLeftOut && ! in_array($testimony->id, $statements, true)));
            $possible = $one->sire === null && $row['sire_name'] === null && $row['clutch_id'] !== null ? ($sires[$row['clutch_id']] ?? []) : [];
            // Several males of the collection may be the sire; one outside it may have carried anything, so he is left open.
            $isOpen = count($possible) > 1 && ! in_array(null, $possible, true);
            $individuals[$id] = new Individual($id, $one->sex, $one->sire, $one->dam, $testimonies, null, $isOpen ? $possible : []);
        }
        $broods = [];
        foreach ($this->records['counts'] as $row) {
            $of = $sires[$row['clutch_id']] ?? [];
            if ($of === [] || in_array(null, $of, true) || in_array($row['clutch_id'], $clutches, true) || ! isset($individuals[$damOf[$row['clutch_id']] ?? ''])) {
                continue; // a sire of whom nothing is known can have given anything
            }
            try {
                $broods[] = new Brood("c{$row['id']}", $of, $damOf[$row['clutch_id']], $this->shelf->targets()->read($row['saw']), (int) $row['count'], (bool) $row['dead']);
            } catch (DestinoError) {
                continue; // a name that the catalogue no longer has: the clutch's own page says so
            }
        }

        return new Kindred($this->shelf->catalogue(), $individuals, $broods, self::rates(app(House::class)), $this->decided());
    }

    public static function rates(House $house): ErrorRates
    {
        $share = fn (string $key, int $of): Rational => Rational::of($house->number($key), $of);

        return new ErrorRates($share('error_unrecorded', 1000), $share('error_misidentified', 1000), $share('error_sire', 1000), $share('error_misnamed', 1000), $share('error_mutation', 10_000_000), $share('error_dead', 100));
    }

    /** @return list<Fault> */
    private function decided(): array
    {
        $faults = [];
        foreach ($this->records['decisions'] as $row) {
            $alleles = array_values(array_filter((array) json_decode($row['alleles'], true), fn (mixed $allele): bool => is_string($allele) && isset($this->shelf->catalogue()->alleles[$allele])));
            $faults[] = new Fault(FaultKind::from($row['kind']), $row['animal_id'] !== null ? "a{$row['animal_id']}" : "c{$row['clutch_count_id']}", $alleles);
        }

        return $faults;
    }

    /** @return array{fingerprint: string, keys: array<string, string>, parts: array<string, list<string>>, all: list<string>} */
    private function index(): array
    {
        if ($this->index !== null) {
            return $this->index;
        }
        $rates = self::rates(app(House::class));
        $about = hash('xxh128', self::FORM.$this->shelf->fingerprint().serialize($rates));
        $fingerprint = hash('xxh128', $about.serialize($this->records));
        $kept = Cache::get("kin:{$this->keeper}");

        return $this->index = is_array($kept) && $kept['fingerprint'] === $fingerprint ? $kept : $this->work($fingerprint, $about);
    }

    /** @return array{fingerprint: string, keys: array<string, string>, parts: array<string, list<string>>, all: list<string>} */
    private function work(string $fingerprint, string $about): array
    {
        set_time_limit(max(120, (int) ini_get('max_execution_time'))); // a large collection for the first time
        $kindred = $this->kindred();
        $before = (array) (Cache::get("kin:{$this->keeper}")['all'] ?? []);
        $keys = $parts = $all = [];
        foreach ($kindred->families() as $family => $ids) {
            foreach ($kindred->groupSets() as $groups) {
                $content = $kindred->contentOf($family, $groups);
                if ($content === '') {
                    continue;
                }
                $hash = hash('xxh128', $about.implode(',', array_map(fn (LinkageGroup $group): string => $group->key, $groups)).$content);
                $part = $this->keptPart($hash) ?? $this->solved($hash, $kindred, $family, $groups);
                $all[] = $hash;
                foreach ($part['of'] as $id => $states) {
                    $parts[$id][] = $hash;
                    $keys[$id] = hash('xxh128', ($keys[$id] ?? '').$states);
                }
            }
        }
        $index = ['fingerprint' => $fingerprint, 'keys' => $keys, 'parts' => $parts, 'all' => $all];
        Cache::put("kin:{$this->keeper}", $index, now()->addMonth());
        foreach (array_diff($before, $all) as $old) {
            Cache::forget("kin:part:{$old}");
        }

        return $index;
    }

    /**
     * @param list<LinkageGroup> $groups
     * @return Part
     */
    private function solved(string $hash, Kindred $kindred, int $family, array $groups): array
    {
        $posterior = $kindred->posterior($family, $groups);
        $keys = array_map(fn (LinkageGroup $group): string => $group->key, $groups);
        $part = ['of' => array_map(fn (Distribution $states): string => serialize([$keys, self::readable($states)]), $posterior->of), 'contradictions' => $posterior->contradictions, 'exact' => $posterior->isExact, 'error' => $posterior->error];
        Cache::put("kin:part:{$hash}", $part, now()->addMonth());

        return $this->parts[$hash] = $part;
    }

    /**
     * Fractions that no longer can be read give way to the simplest within a ten-millionth of their value: what is kept of
     * a belief is for pairings and pages, and every conclusion starts from the records again.
     *
     * @param  Distribution<array<string, Diplotype>>  $states
     * @return Distribution<array<string, Diplotype>>
     */
    private static function readable(Distribution $states): Distribution
    {
        $entries = $states->entries();
        $longest = max([0, ...array_map(fn (array $entry): int => strlen((string) $entry[1]->denominator()), $entries)]);
        if ($longest <= self::DIGITS) {
            return $states;
        }
        uasort($entries, fn (array $a, array $b): int => $b[1]->compareTo($a[1]));
        $weighted = [];
        $others = Rational::zero();
        foreach (array_slice($entries, 1, null, true) as $key => [$state, $chance]) {
            $simple = Rational::nearest($chance->toFloat(), 1e-7 * $chance->toFloat());
            $others = $others->plus($simple);
            $weighted[] = [(string) $key, $state, $simple];
        }
        $largest = (string) array_key_first($entries);

        return Distribution::ofWeighted([[$largest, $entries[$largest][0], $others->complement()], ...$weighted]);
    }

    /** @return Part|null */
    private function keptPart(string $hash): ?array
    {
        return $this->parts[$hash] ??= Cache::get("kin:part:{$hash}");
    }

    /** @return Part */
    private function part(string $hash): array
    {
        $part = $this->keptPart($hash);
        if ($part !== null) {
            return $part;
        }
        Cache::forget("kin:{$this->keeper}"); // a part was lost: everything is worked out once more
        $this->index = null;
        $this->index();

        return $this->parts[$hash] ?? ['of' => [], 'contradictions' => [], 'exact' => true, 'error' => 0.0];
    }
}
