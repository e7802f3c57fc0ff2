<?php

declare(strict_types=1);

namespace App\Projects;

use App\Collection\AnimalCard;
use App\Collection\Opened;
use App\Models\Animal;
use Destino\DestinoError;
use Destino\Pairing\Cross;
use Destino\Pairing\Looks;
use Destino\Pairing\Outcome;
use Destino\Pairing\TargetOdds;

/**
 * The board of a season as a grid, males across and females down, with one pair of it in full.
 *
 * @phpstan-import-type Place from Board
 * @phpstan-type Male array{sire: Animal, places: list<Place>, serves: int, most: int, instead: list<string>}
 * @phpstan-type Row array{dam: Animal, isFree: bool, cells: list<Place|null>}
 * @phpstan-type Chosen array{male: Male, place: Place, isAboveMost: bool}
 */
class SeasonGrid
{
    /** Males that a desk has room for. */
    private const ACROSS = 7;

    private const DOWN = 30;

    /** Looks of the pair in full. */
    private const LOOKS = 4;

    /** @var list<Male> */
    public readonly array $males;

    /** @var list<Row> */
    public readonly array $rows;

    /** @var Chosen|null */
    public readonly ?array $chosen;

    /** @var array<int, AnimalCard> */
    private array $cards = [];

    public function __construct(private readonly Board $board, private readonly Opened $opened, int $sire = 0, int $dam = 0)
    {
        $this->males = array_slice($board->males, 0, self::ACROSS);
        $dams = $free = [];
        foreach ($this->males as $male) {
            foreach ($male['places'] as $place) {
                $dams[$place['dam']->id] = $place['dam'];
            }
        }
        foreach ($board->free as $one) {
            $free[$one->id] = $one;
        }
        uasort($dams, fn (Animal $a, Animal $b): int => strnatcasecmp($a->name, $b->name));
        $this->rows = array_map(
            fn (Animal $one): array => [
                'dam' => $one, 'isFree' => ! isset($dams[$one->id]),
                'cells' => array_map(fn (array $male): ?array => $this->placeOf($male, $one), $this->males),
            ],
            array_slice([...array_values($dams), ...array_values(array_diff_key($free, $dams))], 0, self::DOWN),
        );
        $this->chosen = $this->choose($sire, $dam);
    }

    /**
     * @param  Male  $male
     * @return Place|null
     */
    private function placeOf(array $male, Animal $dam): ?array
    {
        foreach ($male['places'] as $place) {
            if ($place['dam']->id === $dam->id) {
                return $place;
            }
        }

        return null;
    }

    /**
     * The pair that was asked for, or else the first that is still to be planned or paired.
     *
     * @return Chosen|null
     */
    private function choose(int $sire, int $dam): ?array
    {
        $first = null;
        foreach ($this->board->males as $male) {
            foreach ($male['places'] as $i => $place) {
                $one = ['male' => $male, 'place' => $place, 'isAboveMost' => $i >= $male['most']];
                if ($male['sire']->id === $sire && $place['dam']->id === $dam) {
                    return $one;
                }
                $isOpen = in_array($place['stage'], ['planned', 'suggested'], true);
                $first = $first === null || ($isOpen && ! in_array($first['place']['stage'], ['planned', 'suggested'], true)) ? $one : $first;
            }
        }

        return $first;
    }

    /**
     * @param  int  $male  place among the males
     * @param  Place  $place
     */
    public function isChosen(int $male, array $place): bool
    {
        return $this->chosen !== null && $this->chosen['male']['sire']->id === $this->males[$male]['sire']->id
            && $this->chosen['place']['dam']->id === $place['dam']->id;
    }

    /** Whether all pairs of the board stand in the grid. */
    public function isWhole(): bool
    {
        return count($this->males) === count($this->board->males)
            && count(array_filter($this->rows, fn (array $row): bool => ! $row['isFree'])) < self::DOWN;
    }

    public function card(Animal $animal): AnimalCard
    {
        return $this->cards[$animal->id] ??= new AnimalCard($animal, $this->opened->beliefs(), $this->opened->shelf->catalogue());
    }

    /** @return list<array{outcome: Outcome, isHit: bool}> what the pair in full gives, hits first; empty where it cannot be worked out */
    public function looks(): array
    {
        if ($this->chosen === null) {
            return [];
        }
        try {
            $beliefs = $this->opened->beliefs();
            $cross = Cross::of(
                $this->opened->shelf->catalogue(), $beliefs->belief($this->chosen['male']['sire']->id),
                $beliefs->belief($this->chosen['place']['dam']->id),
            );
            $hope = (string) $this->chosen['place']['hope'];
            $odds = $hope === '' ? null : TargetOdds::of($cross, $this->opened->shelf->targetsWithChoices()->read($hope));
            $looks = array_map(
                fn (Outcome $outcome): array => ['outcome' => $outcome, 'isHit' => $odds?->shareOfHits($outcome)->isZero() === false],
                Looks::of($cross)->top(60),
            );
        } catch (DestinoError) {
            return []; // the page of the pairing says why
        }
        usort($looks, fn (array $a, array $b): int => $b['isHit'] <=> $a['isHit']); // stable: the likeliest first among equals

        return array_slice($looks, 0, self::LOOKS);
    }
}
