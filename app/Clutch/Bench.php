<?php

declare(strict_types=1);

namespace App\Clutch;

use App\Collection\CoreId;
use App\Collection\Families;
use App\Collection\Opened;
use App\Models\AlikeSet;
use App\Models\Animal;
use App\Models\Clutch as ClutchRecord;
use App\Models\Sighting;
use Destino\DestinoError;
use Destino\Genome\Belief;
use Destino\Identification\Clutch;
use Destino\Identification\Cue;
use Destino\Identification\Identification;

/**
 * Siblings side by side: what was seen of each, and what that makes of them. The parents come in with all that is known of
 * them except by this clutch, so that nothing counts twice.
 */
class Bench
{
    /** A cue that tells less than this is not worth a look. */
    public const LEAST_BITS = .01;

    public readonly ?Identification $found;

    /** Why nothing can be said. */
    public readonly ?string $why;

    /** @var array<string, Cue> */
    public readonly array $cues;

    /** @var array<int, Animal> */
    public readonly array $hatchlings;

    public function __construct(public readonly ClutchRecord $clutch, private readonly Opened $opened)
    {
        $clutch->load('dam', 'sires.animal', 'hatchlings.sightings', 'hatchlings.statements', 'hatchlings.latestPhoto', 'alikeSets');
        $hatchlings = [];
        foreach ($clutch->hatchlings as $animal) {
            $hatchlings[$animal->id] = $animal;
        }
        $this->hatchlings = $hatchlings;
        $this->cues = $opened->shelf->cues();
        [$found, $why] = [null, null];
        try {
            $given = new GivenClutch($clutch, $hatchlings, $this->cues, $opened);
            $found = new Identification(
                $opened->shelf->catalogue(), $opened->shelf->looks(), $given->clutch(), $this->cues, false, Families::rates($opened->house),
            );
        } catch (DestinoError $error) {
            $why = $error->getMessage();
        }
        [$this->found, $this->why] = [$found, $why];
    }

    public function days(Animal $animal): ?int
    {
        return $animal->daysOld($this->clutch);
    }

    public function isImpossible(Animal $animal): bool
    {
        return in_array((string) $animal->id, $this->found->impossible ?? [], true);
    }

    /** What its own page says of it. */
    public function label(Animal $animal): string
    {
        return match (true) {
            $this->found === null || $this->isImpossible($animal) => 'Normal',
            $this->isBehind() => $this->found->label((string) $animal->id) ?: 'Normal',
            default => $this->opened->beliefs()->text($animal->id),
        };
    }

    /** Whether the pages of the hatchlings say what was known before the last tap: then the clutch by itself answers. */
    private function isBehind(): bool
    {
        foreach (array_keys($this->hatchlings) as $id) {
            $this->opened->beliefs()->text($id);
        }

        return $this->opened->beliefs()->isBehind();
    }

    /** What it is by now, in a keeper's words; null where these parents cannot have it. */
    public function known(Animal $animal): ?KnownSoFar
    {
        if ($this->found === null || $this->isImpossible($animal)) {
            return null;
        }
        $catalogue = $this->opened->shelf->catalogue();
        $forms = $this->isBehind()
            ? $this->found->forms((string) $animal->id) : KnownSoFar::formsOf($this->belief($animal), $catalogue);

        return new KnownSoFar($forms, $catalogue, $this->days($animal));
    }

    public function belief(Animal $animal): Belief
    {
        return $this->opened->beliefs()->belief($animal->id);
    }

    /**
     * Odds of genes that are not the same for all, one row each, as they are believed on the pages of the hatchlings.
     *
     * @return list<array{name: string, shares: array<int, float|null>}> by hatchling; null where these parents cannot have it
     */
    public function genes(): array
    {
        $catalogue = $this->opened->shelf->catalogue();
        $shares = [];
        foreach ($this->found === null ? [] : $this->hatchlings as $id => $animal) {
            foreach ($this->isImpossible($animal) ? [] : $this->sharesOf($animal) as $allele => $share) {
                $shares[$allele][$id] = $share;
            }
        }
        $rows = [];
        foreach (array_intersect_key($catalogue->alleles, $shares) as $key => $allele) {
            $share = fn (Animal $animal): ?float => $this->isImpossible($animal) ? null : $shares[$key][$animal->id] ?? 0.0;
            $row = array_map($share, $this->hatchlings);
            if (array_filter($row, fn (?float $share): bool => $share !== null && $share < 1.0) !== []) {
                $rows[] = ['name' => GeneShares::name($allele, $catalogue), 'shares' => $row];
            }
        }

        return $rows;
    }

    /** @return array<string, float> P(at least one copy) by allele */
    private function sharesOf(Animal $animal): array
    {
        if (! $this->isBehind()) {
            return GeneShares::of($this->belief($animal), $this->opened->shelf->catalogue());
        }
        $shares = [];
        foreach ($this->found?->genes((string) $animal->id) ?? [] as $gene) {
            $shares[$gene['allele']->key] = $gene['decimal'];
        }

        return $shares;
    }

    /**
     * The cues that are worth a look, those that tell most of all siblings together first, and those that were read.
     *
     * @return list<array{cue: Cue, bits: float, separates: string, seen: array<int, string|null>, tells: array<int, float>}>
     */
    public function rows(): array
    {
        $rows = [];
        foreach ($this->found === null ? [] : $this->hatchlings as $id => $animal) {
            foreach ($this->isImpossible($animal) ? [] : $this->found->cues((string) $id)['next'] as $next) {
                $key = $next['cue']->key;
                $rows[$key] ??= ['cue' => $next['cue'], 'bits' => 0.0, 'separates' => '', 'seen' => [], 'tells' => []];
                $rows[$key]['bits'] += $next['bits'];
                $rows[$key]['tells'][$id] = $next['bits'];
                $rows[$key]['separates'] = $rows[$key]['separates'] ?: $next['separates'];
            }
        }
        foreach ($this->cues as $key => $cue) {
            $seen = array_map(
                fn (Animal $animal): ?string => $cue->shown($animal->sightings->filter(
                    fn (Sighting $one): bool => $one->cue === $key && $one->who === null,
                )->last()?->state),
                $this->hatchlings,
            );
            if (array_filter($seen) !== []) {
                $rows[$key] ??= ['cue' => $cue, 'bits' => 0.0, 'separates' => '', 'seen' => [], 'tells' => []];
            }
            if (isset($rows[$key])) {
                $rows[$key]['seen'] = $seen;
            }
        }
        $worth = array_filter($rows, fn (array $row): bool => $row['bits'] >= self::LEAST_BITS || array_filter($row['seen']) !== []);
        usort($worth, fn (array $a, array $b): int => $b['bits'] <=> $a['bits']);

        return $worth;
    }

    /** @return array<string, float> bits that cues would still tell of a hatchling, those that are worth a look */
    public function worth(int $id): array
    {
        $worth = [];
        $isOpen = isset($this->hatchlings[$id]) && ! $this->isImpossible($this->hatchlings[$id]);
        foreach ($isOpen ? $this->found?->cues((string) $id)['next'] ?? [] : [] as $next) {
            if ($next['bits'] >= self::LEAST_BITS) {
                $worth[$next['cue']->key] = $next['bits'];
            }
        }

        return $worth;
    }

    /** @return list<array{cue: Cue, animals: list<string>}> cues that can be read at a later age */
    public function later(): array
    {
        $later = [];
        foreach ($this->found === null ? [] : $this->hatchlings as $id => $animal) {
            foreach ($this->isImpossible($animal) ? [] : $this->found->cues((string) $id)['later'] as $cue) {
                $later[$cue->key] ??= ['cue' => $cue, 'animals' => []];
                $later[$cue->key]['animals'][] = $animal->name;
            }
        }

        return array_values($later);
    }

    /** @return list<array{name: string, share: float}> which male it was */
    public function sires(): array
    {
        $names = [];
        foreach ($this->clutch->sires->whereNotNull('animal_id') as $sire) {
            $names[CoreId::of($sire->animal_id)] = (string) $sire->animal?->name;
        }

        return array_map(
            fn (array $sire): array => [
                'name' => (string) ($names[$sire['id']] ?? 'a male outside the records'), 'share' => $sire['decimal'],
            ],
            $this->found?->sires() ?? [],
        );
    }

    /** @return list<Sighting> what others said of a hatchling */
    public function opinions(Animal $animal): array
    {
        return array_values($animal->sightings->filter(fn (Sighting $one): bool => $one->who !== null)->all());
    }

    /** @return list<AlikeSet> */
    public function sets(): array
    {
        return array_values($this->clutch->alikeSets->all());
    }

    /** @return list<array{Animal, Sighting}> what others said, hatchling by hatchling */
    public function allOpinions(): array
    {
        $all = [];
        foreach ($this->hatchlings as $animal) {
            foreach ($this->opinions($animal) as $one) {
                $all[] = [$animal, $one];
            }
        }

        return $all;
    }
}
