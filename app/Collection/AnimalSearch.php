<?php

namespace App\Collection;

use App\Catalogue\CatalogueShelf;
use App\Models\Animal;
use App\Models\User;
use Destino\Notation\NotationError;
use Destino\Notation\Target;
use Destino\Notation\TargetReader;
use Illuminate\Http\Request;

/** What a keeper looks for in the collection: words in the record, and genes in the notation of targets. */
class AnimalSearch
{
    public readonly string $words;

    public readonly string $genes;

    /** What is wrong with the genes as typed. */
    public readonly ?string $error;

    private readonly ?Target $target;

    public function __construct(Request $request, private readonly CatalogueShelf $shelf)
    {
        $text = fn (string $field): string => is_string($request->query($field)) ? trim((string) $request->query($field)) : '';
        $this->words = $text('find');
        $this->genes = $text('genes');
        $target = $error = null;
        try {
            $target = $this->genes === '' ? null : (new TargetReader($shelf->catalogue(), $shelf->names()))->read($this->genes);
        } catch (NotationError $fault) {
            $error = $fault->getMessage();
        }
        $this->target = $target;
        $this->error = $error;
    }

    public function isNarrowed(): bool
    {
        return $this->words !== '' || $this->genes !== '';
    }

    /** @return list<AnimalCard> by name; with genes asked for, the surest first */
    public function in(User $keeper): array
    {
        if ($this->error !== null) {
            return [];
        }
        $like = '%'.addcslashes($this->words, '\\%_').'%';
        /** @var list<Animal> $animals */
        $animals = $keeper->animals()
            ->when($this->words !== '', fn ($query) => $query->where(fn ($any) => $any->whereLike('name', $like)->orWhereLike('genotype', $like)->orWhereLike('notes', $like)))
            ->orderBy('name')->get()->all();
        $cards = array_map(fn (Animal $animal): AnimalCard => new AnimalCard($animal, $this->shelf->catalogue(), $this->shelf->names(), $this->target), $animals);
        if ($this->target === null) {
            return $cards;
        }
        $cards = array_values(array_filter($cards, fn (AnimalCard $card): bool => $card->chance !== null && ! $card->chance->isZero()));
        usort($cards, fn (AnimalCard $a, AnimalCard $b): int => $a->chance !== null && $b->chance !== null ? $b->chance->compareTo($a->chance) : 0);

        return $cards;
    }
}
