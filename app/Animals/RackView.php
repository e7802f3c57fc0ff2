<?php

declare(strict_types=1);

namespace App\Animals;

use App\Collection\AnimalCard;
use App\House\House;
use App\Models\Enums\Status;
use App\Models\Rack;
use App\Models\User;

/** The racks as they stand, with the animals in their tubs. */
class RackView
{
    /** @var list<array{rack: Rack, tubs: array<int, array<int, AnimalCard|null>>, loose: list<AnimalCard>}> by row and column, from 1 */
    public readonly array $racks;

    /** @var list<AnimalCard> animals without a tub */
    public readonly array $unplaced;

    public readonly string $colour;

    private readonly string $address;

    /** @param  list<AnimalCard>  $cards  those that are shown; the other tubs are only taken */
    public function __construct(User $keeper, array $cards, private readonly House $house, string $colour)
    {
        $this->colour = $colour === 'readiness' ? 'readiness' : 'status';
        $this->address = route('animals.index');
        $byRack = [];
        foreach ($cards as $card) {
            $byRack[$card->animal->rack_id ?? 0][] = $card;
        }
        $racks = [];
        foreach ($keeper->racks()->get() as $rack) {
            $tubs = array_fill(1, $rack->rows, array_fill(1, $rack->columns, null));
            $loose = [];
            foreach ($byRack[$rack->id] ?? [] as $card) {
                [$row, $column] = [$card->animal->rack_row, $card->animal->rack_column];
                if ($row !== null && $column !== null && $row <= $rack->rows && $column <= $rack->columns) {
                    $tubs[$row][$column] = $card;
                } else {
                    $loose[] = $card;
                }
            }
            $racks[] = ['rack' => $rack, 'tubs' => $tubs, 'loose' => $loose];
        }
        $this->racks = $racks;
        $this->unplaced = $byRack[0] ?? [];
    }

    /** A tub with its animal, as one link: drawn here, since a page may hold hundreds. */
    public function tub(AnimalCard $card): string
    {
        $animal = $card->animal;
        $page = "{$this->address}/{$animal->id}";
        $sex = $animal->sex->value ?? 'unknown';
        $mark = $this->mark($card);
        $words = str_replace('-', ' ', $mark).', '.($animal->sex->value ?? 'sex not known');

        return "<a class=\"in-tub mark-{$mark}\" href=\"{$page}\" data-animal=\"{$animal->id}\" data-place=\"{$page}/place\" title=\""
            .e($animal->name.': '.$card->genotype()).'">'
            .'<span class="who">'.e($animal->name)
                ."</span><i class=\"mark\" aria-hidden=\"true\">{$this->letter($card)}</i><svg class=\"sex\" viewBox=\"0 0 16 "
                    ."16\" fill=\"currentColor\" aria-hidden=\"true\"><use href=\"#sex-{$sex}\"/></svg><span "
                    ."class=\"visually-hidden\">{$words}</span></a>";
    }

    /** What colours a tub: a word for the style, and the letter that says the same. */
    public function mark(AnimalCard $card): string
    {
        if ($this->colour === 'status') {
            return str_replace(' ', '-', $card->status()->value);
        }

        return match ($card->readiness($this->house)->isReady) {
            true => 'ready',
            false => 'not-ready',
            null => 'not-known',
        };
    }

    public function letter(AnimalCard $card): string
    {
        if ($this->colour === 'status') {
            return $card->status()->letter();
        }

        return match ($card->readiness($this->house)->isReady) {
            true => '✓',
            false => '…',
            null => '?',
        };
    }

    /** @return array<string, array{string, string}> letter and words by mark */
    public function key(): array
    {
        if ($this->colour === 'readiness') {
            return ['ready' => ['✓', 'ready to breed'], 'not-ready' => ['…', 'not ready'], 'not-known' => ['?', 'cannot be told']];
        }
        $key = [];
        foreach (Status::cases() as $status) {
            if ($status->isHere()) {
                $key[str_replace(' ', '-', $status->value)] = [$status->letter(), $status->value];
            }
        }

        return $key;
    }
}
