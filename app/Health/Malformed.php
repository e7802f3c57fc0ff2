<?php

declare(strict_types=1);

namespace App\Health;

use App\Collection\AnimalCard;
use App\Collection\Opened;
use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Enums\Grade;
use App\Models\Observation;
use Destino\Husbandry\Cause;

/** Young of one or several clutches that were seen malformed or ailing, and what their pattern speaks for. */
class Malformed
{
    /** Fewer young make no pattern. */
    private const FEWEST = 4;

    /** @var list<Animal> all young that are recorded, with their observations */
    private readonly array $young;

    /** @param iterable<Clutch> $clutches with hatchlings.observations */
    public function __construct(iterable $clutches, private readonly Opened $opened)
    {
        $young = [];
        foreach ($clutches as $clutch) {
            $young = [...$young, ...$clutch->hatchlings->all()];
        }
        $this->young = $young;
    }

    /** Whether something was seen that the last look did not take back. */
    private static function isAffected(Animal $animal): bool
    {
        return self::latest($animal) !== [];
    }

    /** @return list<Observation> the last of each condition, where it is not “none” */
    public static function latest(Animal $animal): array
    {
        $last = [];
        foreach ($animal->observations->sortBy([['on', 'asc'], ['id', 'asc']]) as $seen) {
            $last[mb_strtolower($seen->condition)] = $seen;
        }

        return array_values(array_filter($last, fn (Observation $seen): bool => $seen->grade !== Grade::None));
    }

    /** @return list<Animal> */
    public function affected(): array
    {
        return array_values(array_filter($this->young, self::isAffected(...)));
    }

    /** "2 of 6 young kept." */
    public function words(): string
    {
        $all = count($this->young);

        return count($this->affected())." of {$all} young that are recorded";
    }

    /**
     * The two-copy form whose young stand out most, and what the pattern speaks for.
     *
     * @return array{form: string|null, affected: int, of: int, others: int, rest: int, cause: Cause}|null null where none is affected,
     *     or where too few young are recorded to make a pattern
     */
    public function pattern(): ?array
    {
        if ($this->affected() === [] || count($this->young) < self::FEWEST) {
            return null;
        }
        $best = $this->split(null, fn (Animal $animal): bool => false);
        foreach ($this->twoCopies() as $name => $ids) {
            $split = $this->split($name, fn (Animal $animal): bool => in_array($animal->id, $ids, true));
            $best = $split['cause']->genes->compareTo($best['cause']->genes) > 0 ? $split : $best;
        }

        return $best;
    }

    /**
     * @param callable(Animal): bool $isOf
     * @return array{form: string|null, affected: int, of: int, others: int, rest: int, cause: Cause}
     */
    private function split(?string $form, callable $isOf): array
    {
        $of = array_filter($this->young, $isOf);
        $affected = count(array_filter($of, self::isAffected(...)));
        $others = count($this->affected()) - $affected;
        $rest = count($this->young) - count($of);

        return [
            'form' => $form, 'affected' => $affected, 'of' => count($of), 'others' => $others, 'rest' => $rest,
            'cause' => Cause::weigh($affected, count($of), $others, $rest),
        ];
    }

    /** @return array<string, list<int>> young that surely have two copies, by the name of the gene */
    private function twoCopies(): array
    {
        $ids = [];
        foreach ($this->young as $animal) {
            $card = new AnimalCard($animal, $this->opened->beliefs(), $this->opened->shelf->catalogue());
            foreach ($animal->hasOpenGenes() ? [] : $card->passesOn() as [$allele, $chance]) {
                if ($chance->isOne()) {
                    $ids[$allele->name][] = $animal->id;
                }
            }
        }

        return $ids;
    }
}
