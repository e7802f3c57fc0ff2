<?php

declare(strict_types=1);

namespace App\Prove;

use App\Catalogue\CatalogueShelf;
use App\Models\OddTrait;
use App\Models\TraitEntry;
use Destino\Inference\Experiments\TraitAnimal;
use Destino\Inference\Experiments\TraitHypothesis;
use Destino\Inference\Experiments\TraitNotebook;

/** What the notebook of an unknown trait says: the hypotheses over time, and which cross would tell most. */
class TraitPage
{
    /** @var list<TraitEntry> */
    public readonly array $entries;

    public function __construct(public readonly OddTrait $trait, private readonly CatalogueShelf $shelf)
    {
        $this->entries = array_values($trait->entries->all());
    }

    public function geneName(): string
    {
        return $this->trait->gene === null
            ? 'the other gene'
            : ($this->shelf->catalogue()->alleles[$this->trait->gene]->name ?? $this->trait->gene);
    }

    /**
     * @return list<array{on: string, what: string, shares: array<string, float>}> the hypotheses after each day on which
     *     something was added; first before anything was bred
     */
    public function history(): array
    {
        $history = $days = [];
        foreach ($this->entries as $entry) {
            $days[$entry->on->format('Y-m-d')][] = $entry;
        }
        $so = [];
        foreach ($days as $day => $entries) {
            $so = [...$so, ...$entries];
            $history[] = [
                'on' => $entries[0]->on->format('j M Y'),
                'what' => implode('; ', array_map(fn (TraitEntry $entry): string => $entry->sentence(), $entries)),
                'shares' => $this->named($this->notebook($so)->posterior()),
            ];
        }

        return $history;
    }

    /**
     * @return list<array{sire: string, dam: string, bits: float, curve: list<float>}> the crosses that tell most, with P(told
     *     apart at 95 %) after 2, 4, 6 … eggs
     */
    public function nextCrosses(): array
    {
        if ($this->entries === []) {
            return [];
        }
        $names = [];
        foreach ($this->entries as $entry) {
            $names["e{$entry->id}"] = $entry->name;
        }
        $told = [];
        foreach (array_slice($this->notebook($this->entries)->nextCrosses(), 0, 4) as $cross) {
            if ($cross['bits'] > .005) {
                $told[] = [
                    'sire' => $names[$cross['sire']] ?? $cross['sire'], 'dam' => $names[$cross['dam']] ?? $cross['dam'],
                    'bits' => $cross['bits'],
                    'curve' => array_map(fn (int $eggs): float => $cross['separation']->toldApart($eggs, .95), [4, 6, 8, 12]),
                ];
            }
        }

        return $told;
    }

    /** @param  list<TraitEntry>  $entries */
    private function notebook(array $entries): TraitNotebook
    {
        $animals = [];
        foreach ($entries as $entry) {
            $animals[] = new TraitAnimal(
                "e{$entry->id}", $entry->sex, $entry->look, $entry->sire_id === null ? null : "e{$entry->sire_id}",
                $entry->dam_id === null ? null : "e{$entry->dam_id}", max(1, $entry->count),
            );
        }

        return new TraitNotebook($animals, $this->trait->gene !== null);
    }

    /**
     * @param  array<string, float>  $posterior
     * @return array<string, float>
     */
    private function named(array $posterior): array
    {
        $named = [];
        foreach ($posterior as $value => $share) {
            $named[TraitHypothesis::from($value)->words($this->geneName())] = $share;
        }

        return $named;
    }

    /** @return array<array-key, string> animals of a sex that are written down one by one, to choose a parent from */
    public function singles(string $sex): array
    {
        $singles = ['' => 'not of the notebook'];
        foreach ($this->entries as $entry) {
            if ($entry->sex->value === $sex && $entry->count === 1) {
                $singles[$entry->id] = $entry->name;
            }
        }

        return $singles;
    }
}
