<?php

namespace App\Collection;

use App\Catalogue\CatalogueShelf;
use App\House\House;
use App\Models\Enums\EventKind;
use Destino\DestinoError;
use Destino\Genome\Belief;
use Destino\Genome\JointBelief;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Genome\State;
use Destino\Identification\Glimpsing;
use Destino\Inference\Conclusions\Kindred;
use Destino\Inference\Evidence\Brood;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Evidence\Tally;
use Destino\Inference\Family\FamilyPosterior;
use Destino\Inference\Faults\Contradiction;
use Destino\Inference\Faults\ErrorRates;
use Destino\Inference\Faults\Fault;
use Destino\Inference\Faults\FaultKind;
use Destino\Notation\Target;
use Destino\Probability\Distribution;
use Destino\Probability\Probability;
use Destino\Probability\Rational;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * What the whole collection says of each animal: parents, young, counted siblings, cousins. Each family is worked out at
 * each set of linkage groups by itself and kept under its content, so that a new egg works out only what it touches.
 *
 * @phpstan-type Part array{of: array<string, string>, contradictions: list<Contradiction>, unlikely: list<Contradiction>, exact: bool, error: float, disputed: bool}
 */
class Kin
{
    /** Digits of a denominator that can still be read. */
    private const DIGITS = 8;

    private ?Kindred $kindred = null;

    /** @var array{fingerprint: string, keys: array<string, string>, parts: array<string, list<string>>, all: list<string>}|null */
    private ?array $index = null;

    /** @var array<string, Part> */
    private array $parts = [];

    /** @var list<string> parts that only tell that their family is disputed */
    private array $plainParts = [];

    /**
     * @param array<string, mixed> $records rows that the answers follow from
     * @param \Closure(): array<string, Individual> $individuals by id, with what was stated of them
     */
    public function __construct(
        private readonly int $keeper,
        private readonly array $records,
        private readonly \Closure $individuals,
        private readonly CatalogueShelf $shelf,
        private readonly House $house,
        private readonly Kept $kept,
    ) {}

    /** @return array{clutches: list<array<string, mixed>>, counts: list<array<string, mixed>>, decisions: list<array<string, mixed>>} */
    public static function rows(int $keeper): array
    {
        $clutches = [];
        foreach (DB::table('clutches')->where('user_id', $keeper)->whereNull('deleted_at')->orderBy('id')->get(['id', 'dam_id']) as $row) {
            $clutches[$row->id] = ['id' => $row->id, 'dam' => $row->dam_id, 'hatched' => null, 'sires' => [], 'kept' => []];
        }
        $events = DB::table('clutch_events')->whereIn('clutch_id', array_keys($clutches))->whereNull('deleted_at')->orderBy('id');
        foreach ((clone $events)->where('kind', EventKind::Hatched->value)->get(['clutch_id', 'count']) as $row) {
            $clutches[$row->clutch_id]['hatched'] = $row->count;
        }
        foreach (
            DB::table('clutch_sires')->whereIn('clutch_id', array_keys($clutches))->orderBy('id')->get(['clutch_id', 'animal_id', 'kept']) as $row
        ) {
            $clutches[$row->clutch_id]['sires'][] = $row->animal_id;
            $clutches[$row->clutch_id]['kept'][] = $row->kept;
        }
        $counts = $events->where('kind', EventKind::Counted->value)->get(['id', 'clutch_id', 'saw', 'count', 'dead']);
        $decisions = DB::table('decisions')->where('user_id', $keeper)
            ->whereNull('deleted_at')
            ->orderBy('id')
            ->get(['id', 'animal_id', 'count_id', 'kind', 'alleles', 'instead']);

        return [
            'clutches' => array_values($clutches), 'counts' => array_values($counts->map(fn (object $row): array => (array) $row)->all()),
            'decisions' => array_values($decisions->map(fn (object $row): array => (array) $row)->all()),
            'sightings' => self::sightings($keeper),
        ];
    }

    /**
     * The latest reading of each cue by the keeper, with the age at it; what others saw counts for nothing.
     *
     * @return array<int, array<string, array{string, int|null}>> state and days by animal and cue
     */
    private static function sightings(int $keeper): array
    {
        $seen = [];
        $rows = DB::table('sightings')->join('animals', 'animals.id', '=', 'sightings.animal_id')->where('sightings.user_id', $keeper)
            ->whereNull('sightings.deleted_at')->whereNull('animals.deleted_at')->whereNull('who')->orderBy('sightings.id')
            ->get(['animal_id', 'cue', 'state', 'sightings.on', 'hatched_on']);
        foreach ($rows as $row) {
            $days = $row->hatched_on === null ? null : max(0, (int) Carbon::parse($row->hatched_on)->diffInDays(Carbon::parse($row->on), false));
            $seen[(int) $row->animal_id][$row->cue] = [$row->state, $days];
        }

        return $seen;
    }

    /** Equal as long as what the relatives say of an animal is the same. */
    public function keyOf(int $id): string
    {
        return $this->index()['keys']["a{$id}"] ?? '';
    }

    /** @return list<array{list<string>, Distribution<State>}> what is believed of an animal, by set of groups */
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

    /** @return list<Contradiction> what is possible and hardly so */
    public function unlikely(): array
    {
        return array_merge([], ...array_map(fn (string $hash): array => $this->part($hash)['unlikely'], $this->index()['all']));
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
        $parents = new ClutchParents($this->records);
        $individuals = [];
        foreach (($this->individuals)() as $id => $one) {
            $row = $this->records['animals'][(int) substr($id, 1)];
            $isLeftOut = in_array($row['clutch_id'], $clutches, true);
            $testimonies = array_values(
                array_filter($one->testimonies, fn ($testimony): bool => ! $isLeftOut && ! in_array($testimony->id, $statements, true)),
            );
            [$possible, $clutch] = $parents->of($row, $one->sire);
            $individuals[$id] = new Individual(
                $id, $one->sex, count($possible) === 1 ? $possible[0] : null, $one->dam, $testimonies, null,
                count($possible) > 1 ? $possible : [], $parents->weights((int) $row['clutch_id'], $possible), $clutch,
            );
        }

        $broods = $this->broods($parents, $individuals, $clutches);
        $of = fn (array $individuals): Kindred => new Kindred(
            $this->shelf->catalogue(), $individuals, $broods, self::rates($this->house), $this->decided(),
        );
        $without = $of($individuals);
        $seen = $this->glimpses($without, $individuals, $clutches);

        return $seen === [] ? $without : $of(array_replace($individuals, $seen));
    }

    /**
     * Animals of which cues were read, each with what these say: judged by what is believed of it without any cue.
     *
     * @param array<string, Individual> $individuals
     * @param list<int> $clutches that are left out, their young's cues with them
     * @return array<string, Individual>
     */
    private function glimpses(Kindred $without, array $individuals, array $clutches): array
    {
        $glimpsing = new Glimpsing($this->shelf->catalogue());
        $found = [];
        foreach ($this->records['sightings'] ?? [] as $id => $read) {
            $one = $individuals["a{$id}"] ?? null;
            if ($one === null || in_array($this->records['animals'][$id]['clutch_id'], $clutches, true)) {
                continue;
            }
            $seen = $days = [];
            foreach ($read as $key => [$state, $age]) {
                $cue = $this->shelf->cues()[$key] ?? null;
                if ($cue !== null && in_array($state, $cue->states, true)) {
                    [$seen[$key], $days[$key]] = [$cue->state($state), $age];
                }
            }
            $belief = $seen === [] ? null : $this->beliefWithin($without, $one);
            $glimpses = $belief === null ? null : $glimpsing->of($this->shelf->cues(), $seen, $belief, $days);
            $glimpses === null ?: $found["a{$id}"] = $one->seenSo($glimpses);
        }

        return $found;
    }

    private function beliefWithin(Kindred $kindred, Individual $one): ?Belief
    {
        $family = $kindred->familyOf($one->id);
        $factors = [];
        foreach ($family === null ? [] : $kindred->groupSetsOf($family) as $groups) {
            $states = $kindred->posterior($family, $groups)->of[$one->id] ?? null;
            if ($states !== null) {
                $factors[] = new JointBelief(
                    array_map(fn (LinkageGroup $group): string => $group->key, $groups), self::readableStates($states),
                );
            }
        }

        return $factors === [] ? null : new Belief($one->sex ?? Sex::Female, $factors);
    }

    /**
     * What was counted, each hatchling once: one that was kept as an animal and counted as well speaks as the animal.
     *
     * @param  array<string, Individual>  $individuals
     * @param  list<int>  $without  clutches that are left out
     * @return list<Brood>
     */
    private function broods(ClutchParents $parents, array $individuals, array $without): array
    {
        $broods = [];
        foreach ($this->records['clutches'] as $clutch) {
            if (in_array($clutch['id'], $without, true) || ! isset($individuals["a{$clutch['dam']}"])) {
                continue;
            }
            $counts = $this->readable($clutch['id']);
            $left = $parents->tally(
                $clutch, array_values(array_filter($counts, fn (array $count): bool => ! $count['dead'])), $individuals,
                $this->shelf->catalogue(),
            )->counts;
            $living = 0;
            foreach ($counts as $count) {
                $number = $count['dead'] ? $count['count'] : $left[$living++];
                if ($number > 0) {
                    $broods[] = new Brood(
                        "c{$count['id']}", $parents->sires($clutch['id']), "a{$clutch['dam']}", $count['saw'], $number,
                        $count['dead'], $parents->weights($clutch['id'], $parents->sires($clutch['id'])), "k{$clutch['id']}",
                    );
                }
            }
        }

        return $broods;
    }

    /**
     * @return list<array{id: int, saw: Target, count: int, dead: bool}> counts of a clutch; a name that the catalogue no
     *     longer has is told on the clutch's own page
     */
    private function readable(int $clutch): array
    {
        $counts = [];
        foreach ($this->records['counts'] as $row) {
            if ($row['clutch_id'] === $clutch) {
                try {
                    $counts[] = [
                        'id' => $row['id'], 'saw' => $this->shelf->targets()->read($row['saw']), 'count' => (int) $row['count'],
                        'dead' => (bool) $row['dead'],
                    ];
                } catch (DestinoError) {
                    continue;
                }
            }
        }

        return $counts;
    }

    /** Which hatchlings of a clutch were kept and counted as well. */
    public function tallyOf(int $clutch): Tally
    {
        foreach ($this->records['clutches'] as $row) {
            if ($row['id'] === $clutch) {
                return (new ClutchParents($this->records))->tally(
                    $row, array_values(array_filter($this->readable($clutch), fn (array $count): bool => ! $count['dead'])),
                    ($this->individuals)(), $this->shelf->catalogue(),
                );
            }
        }

        return Tally::of(null, [], [], $this->shelf->catalogue());
    }

    public static function rates(House $house): ErrorRates
    {
        $share = fn (string $key, int $of): Probability => Probability::ratio($house->number($key), $of);

        return new ErrorRates(
            $share('error_unrecorded', 1000), $share('error_misidentified', 1000), $share('error_sire', 1000),
            $share('error_misnamed', 1000), $share('error_mutation', 10_000_000), $share('error_dead', 100),
            $share('error_masked', 1000), $share('error_mixed', 1000),
        );
    }

    /** @return list<Fault> */
    private function decided(): array
    {
        $faults = [];
        foreach ($this->records['decisions'] as $row) {
            $alleles = array_values(
                array_filter(
                    (array) json_decode($row['alleles'], true),
                    fn (mixed $allele): bool => is_string($allele) && isset($this->shelf->catalogue()->alleles[$allele]),
                ),
            );
            $faults[] = new Fault(
                FaultKind::from($row['kind']), $row['animal_id'] !== null ? "a{$row['animal_id']}" : "c{$row['count_id']}",
                $alleles, isset($this->shelf->catalogue()->alleles[$row['instead'] ?? '']) ? $row['instead'] : null,
            );
        }

        return $faults;
    }

    /** @return array{fingerprint: string, keys: array<string, string>, parts: array<string, list<string>>, all: list<string>} */
    private function index(): array
    {
        if ($this->index !== null) {
            return $this->index;
        }
        $rates = self::rates($this->house);
        $about = hash('xxh128', $this->shelf->fingerprint().serialize($rates));
        $fingerprint = hash('xxh128', $about.serialize($this->records));
        $kept = $this->kept->get("kin:{$this->keeper}");

        return $this->index = is_array($kept) && $kept['fingerprint'] === $fingerprint ? $kept : $this->work($fingerprint, $about);
    }

    /** @return array{fingerprint: string, keys: array<string, string>, parts: array<string, list<string>>, all: list<string>} */
    private function work(string $fingerprint, string $about): array
    {
        $limit = (int) ini_get('max_execution_time'); // 0: none, on the command line
        $limit === 0 || set_time_limit(max(120, $limit)); // a large collection for the first time
        $kindred = $this->kindred();
        $before = (array) ($this->kept->get("kin:{$this->keeper}")['all'] ?? []);
        $keys = $parts = $all = [];
        foreach (array_keys($kindred->families()) as $family) {
            foreach ($this->ofFamily($kindred, $family, $about) as $hash => $part) {
                $all[] = (string) $hash;
                foreach ($part['of'] as $id => $states) {
                    $parts[$id][] = (string) $hash;
                    $keys[$id] = hash('xxh128', ($keys[$id] ?? '').$states);
                }
            }
        }
        $index = ['fingerprint' => $fingerprint, 'keys' => $keys, 'parts' => $parts, 'all' => $all];
        $this->kept->put("kin:{$this->keeper}", $index);
        foreach (array_diff($before, $all, $this->plainParts) as $old) {
            $this->kept->forget("kin:part:{$old}");
        }

        return $index;
    }

    /**
     * The parts of one family: each by itself, or, where something in it is wrong, each with all others.
     *
     * @return array<string, Part> by hash
     */
    private function ofFamily(Kindred $kindred, int $family, string $about): array
    {
        $parts = [];
        $isDisputed = false;
        $sets = $kindred->groupSetsOf($family);
        $name = fn (array $groups): string => implode(',', array_map(fn (LinkageGroup $group): string => $group->key, $groups));
        foreach ($sets as $groups) {
            $hash = hash('xxh128', $about.$name($groups).$kindred->contentOf($family, $groups));
            $parts[$hash] = $this->keptPart($hash) ?? $this->solved($hash, $kindred->plain($family, $groups), $groups);
            $isDisputed = $isDisputed || $parts[$hash]['disputed'];
        }
        if (! $isDisputed) {
            return $parts;
        }
        $whole = $kindred->wholeContentOf($family);
        array_push($this->plainParts, ...array_map(strval(...), array_keys($parts)));
        $parts = [];
        foreach ($sets as $groups) {
            $hash = hash('xxh128', "{$about}all {$name($groups)}{$whole}");
            $parts[$hash] = $this->keptPart($hash) ?? $this->solved($hash, $kindred->posterior($family, $groups), $groups);
        }

        return $parts;
    }

    /**
     * @param list<LinkageGroup> $groups
     * @return Part
     */
    private function solved(string $hash, FamilyPosterior $posterior, array $groups): array
    {
        $keys = array_map(fn (LinkageGroup $group): string => $group->key, $groups);
        $part = [
            'of' => array_map(fn (Distribution $states): string => serialize([$keys, self::readableStates($states)]), $posterior->of),
            'contradictions' => $posterior->contradictions, 'unlikely' => $posterior->unlikely,
            'exact' => $posterior->isExact, 'error' => $posterior->error, 'disputed' => $posterior->isDisputed,
        ];
        $this->kept->put("kin:part:{$hash}", $part);

        return $this->parts[$hash] = $part;
    }

    /**
     * Fractions that no longer can be read give way to the simplest within a ten-millionth of their value: what is kept of
     * a belief is for pairings and pages, and every conclusion starts from the records again.
     *
     * @param  Distribution<State>  $states
     * @return Distribution<State>
     */
    private static function readableStates(Distribution $states): Distribution
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
        return $this->parts[$hash] ??= $this->kept->get("kin:part:{$hash}");
    }

    /** @return Part */
    private function part(string $hash): array
    {
        $part = $this->keptPart($hash);
        if ($part !== null) {
            return $part;
        }
        $this->kept->forget("kin:{$this->keeper}"); // a part was lost: everything is worked out once more
        $this->index = null;
        $this->index();

        return $this->parts[$hash]
            ?? ['of' => [], 'contradictions' => [], 'unlikely' => [], 'exact' => true, 'error' => 0.0, 'disputed' => false];
    }
}
