<?php

declare(strict_types=1);

namespace App\Papers;

use App\Clutch\NotTold;
use App\Collection\AnimalCard;
use App\Collection\Opened;

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

    /** As the house wants it: with the keeper's own name for the combination, or without. */
    public static function in(Opened $opened, AnimalCard $card): self
    {
        return self::of(
            $card, $opened->house->simple('labels') === 'named' && ! $card->animal->hasOpenGenes()
                ? $opened->shelf->ownNames()->ofBelief($card->belief()) : [], NotTold::words($card->animal, $opened),
        );
    }

    /** @param list<string> $called own names for the combination, told before the genes */
    private static function of(AnimalCard $card, array $called, string $notTold): self
    {
        $animal = $card->animal;
        $doubts = array_filter([
            $notTold === '' ? null : $notTold, $card->hasConflict() ? 'statements conflict: see the record' : null,
            $card->isUnreadable() ? 'a statement cannot be read: see the record' : null,
        ]);

        return new self(
            $animal->name, (string) $animal->number,
            implode(', ', array_filter([
                $animal->sex === null ? 'sex not known' : $animal->sex->value,
                $animal->hatchedWords() === null ? null : "hatched {$animal->hatchedWords()}",
            ])),
            ($called === [] ? '' : implode(', ', $called).': ').$card->genotype().($doubts === [] ? '' : ' ('.implode('; ', $doubts).')'),
            (string) $animal->placeWords(), route('animals.show', $animal),
        );
    }
}
