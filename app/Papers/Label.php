<?php

declare(strict_types=1);

namespace App\Papers;

use App\Collection\AnimalCard;

/** What is printed of an animal: what the records support, and never more. */
class Label
{
    private function __construct(
        public readonly string $name,
        public readonly string $number,
        public readonly string $facts,
        public readonly string $genes,
        public readonly string $place,
        public readonly string $address,
    ) {}

    public static function of(AnimalCard $card): self
    {
        $animal = $card->animal;
        $doubts = array_filter([
            $card->hasConflict() ? 'statements conflict' : null, $card->isUnreadable() ? 'a statement cannot be read' : null,
        ]);

        return new self(
            $animal->name, (string) $animal->number,
            implode(', ', array_filter([
                $animal->sex === null ? 'sex not known' : $animal->sex->value,
                $animal->hatchedWords() === null ? null : "hatched {$animal->hatchedWords()}",
            ])),
            $card->genotype().($doubts === [] ? '' : ' ('.implode('; ', $doubts).': see the record)'),
            (string) $animal->placeWords(), route('animals.show', $animal),
        );
    }
}
