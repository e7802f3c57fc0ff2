<?php

declare(strict_types=1);

namespace App\Collection;

use App\Catalogue\CatalogueShelf;
use App\House\House;
use Destino\Genome\State;
use Destino\Inference\Conclusions\Kindred;
use Destino\Inference\Evidence\InferenceError;
use Destino\Inference\Evidence\Tally;
use Destino\Inference\Faults\Contradiction;
use Destino\Probability\Distribution;
use Destino\Probability\Rational;

/**
 * What the whole collection says of each animal: parents, young, counted siblings, cousins. Each family is worked out at
 * each set of linkage groups by itself and kept under its content, so that a new egg works out only what it touches.
 *
 * @phpstan-import-type Part from FamilyParts
 * @phpstan-type Index array{
 *     fingerprint: string, about: string, keys: array<string, string>, parts: array<string, list<string>>, all: list<string>,
 *     faults: list<string>,
 * }
 */
final class Kin
{
    private readonly Families $families;

    private ?Kindred $kindred = null;

    /** @var Index|null */
    private ?array $index = null;

    private readonly FamilyParts $parts;

    public function __construct(
        private readonly int $keeper,
        private readonly Records $records,
        Individuals $individuals,
        private readonly CatalogueShelf $shelf,
        private readonly House $house,
        private readonly Kept $kept,
        private readonly ?Patience $patience = null,
    ) {
        $this->parts = new FamilyParts($kept);
        $this->families = new Families($records, $individuals, $shelf, $house);
    }

    /** Equal as long as what the relatives say of an animal is the same. */
    public function keyOf(int $id): string
    {
        return $this->index()['keys'][CoreId::of($id)] ?? '';
    }

    /** @return list<array{list<string>, Distribution<State>}> what is believed of an animal, by set of groups */
    public function statesOf(int $id): array
    {
        $states = [];
        foreach ($this->index()['parts'][CoreId::of($id)] ?? [] as $hash) {
            $kept = $this->part($hash)['of'][CoreId::of($id)] ?? null;
            if ($kept !== null) {
                $states[] = unserialize($kept);
            }
        }

        return $states;
    }

    /** @return list<Contradiction> young that the records exclude, in the collection */
    public function contradictions(): array
    {
        return array_merge([], ...array_map(fn (string $hash): array => $this->part($hash)['contradictions'], $this->index()['all']));
    }

    /** Whether the records exclude an animal as it is. */
    public function isExcluded(int $id): bool
    {
        foreach ($this->contradictions() as $contradiction) {
            if ($contradiction->subject === CoreId::of($id) || in_array(CoreId::of($id), $contradiction->others, true)) {
                return true;
            }
        }

        return false;
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

    /** Below which the chances of an animal are off; 0 where they are exact, or all draws agree. */
    public function errorOf(int $id): float
    {
        return max([0.0, ...array_map(
            fn (string $hash): float => $this->part($hash)['errors'][CoreId::of($id)] ?? 0.0, $this->index()['parts'][CoreId::of($id)]
                ?? [],
        )]);
    }

    /** @return list<string> what is wrong with the records of a family, which is left out; animals as “a” and their id */
    public function faults(): array
    {
        return $this->index()['faults'];
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
        return $this->families->without($clutches, $statements);
    }

    /** Which hatchlings of a clutch were kept and counted as well. */
    public function tallyOf(int $clutch): Tally
    {
        return $this->families->tallyOf($clutch);
    }

    /** @return list<array{string|null, Rational}> the males of a clutch, null for one from outside, with how likely each was beforehand */
    public function siresOf(int $clutch): array
    {
        return $this->families->siresOf($clutch);
    }

    /** Whether what is kept is of the records as they are. */
    public function isCurrent(): bool
    {
        $kept = $this->keptIndex();

        return $kept !== null && $kept['fingerprint'] === $this->fingerprint($this->about());
    }

    /** What follows from the records as they are, whatever was known before. */
    public function catchUp(): void
    {
        $this->patience?->waits();
        $this->index = null;
        $this->index();
    }

    /** Equal as long as the gene facts and the rates of error in use are the same. */
    public function about(): string
    {
        return hash('xxh128', $this->shelf->fingerprint().serialize(Families::rates($this->house)));
    }

    private function fingerprint(string $about): string
    {
        return hash('xxh128', $about.$this->records->mark());
    }

    /** @return Index|null */
    private function keptIndex(): ?array
    {
        $kept = $this->kept->get("kin:{$this->keeper}");

        return is_array($kept) ? $kept : null;
    }

    /** @return Index */
    private function index(): array
    {
        if ($this->index !== null) {
            return $this->index;
        }
        $about = $this->about();
        $fingerprint = $this->fingerprint($about);
        $kept = $this->keptIndex();
        $isOfThese = $kept !== null && $kept['about'] === $about; // names that are no longer facts are never shown
        if ($isOfThese && ($kept['fingerprint'] === $fingerprint || ($this->patience?->isOver() ?? false))) {
            return $this->index = $kept;
        }

        return $this->index = $this->work($fingerprint, $about);
    }

    /** @return Index */
    private function work(string $fingerprint, string $about): array
    {
        $limit = (int) ini_get('max_execution_time'); // 0: none, on the command line
        $limit === 0 || set_time_limit(max(120, $limit)); // a large collection for the first time
        $kindred = $this->kindred();
        $before = $this->keptIndex()['all'] ?? [];
        $keys = $parts = $all = [];
        foreach (array_keys($kindred->families()) as $family) {
            foreach ($this->parts->ofFamily($kindred, $family, $about) as $hash => $part) {
                $all[] = (string) $hash;
                foreach ($part['of'] as $id => $states) {
                    $parts[$id][] = (string) $hash;
                    $keys[$id] = hash('xxh128', ($keys[$id] ?? '').$states);
                }
            }
        }
        $index = [
            'fingerprint' => $fingerprint, 'about' => $about, 'keys' => $keys, 'parts' => $parts, 'all' => $all,
            'faults' => array_map(fn (InferenceError $fault): string => $fault->getMessage(), $kindred->faults),
        ];
        $this->kept->put("kin:{$this->keeper}", $index);
        foreach (array_diff($before, $all, $this->parts->plain) as $old) {
            $this->kept->forget("kin:part:{$old}");
        }

        return $index;
    }

    /** @return Part */
    private function part(string $hash): array
    {
        $part = $this->parts->keptPart($hash);
        if ($part !== null) {
            return $part;
        }
        $this->kept->forget("kin:{$this->keeper}"); // a part was lost: everything is worked out once more
        $this->catchUp();

        return $this->parts->keptPart($hash) ?? FamilyParts::NOTHING;
    }
}
