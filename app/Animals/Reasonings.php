<?php

declare(strict_types=1);

namespace App\Animals;

use App\Catalogue\CatalogueShelf;
use App\Collection\Beliefs;
use App\Models\Statement;
use Destino\Inference\Descent\Reason;

/** How what is believed of an animal came about, and which of its statements exclude each other. */
class Reasonings
{
    /** @param list<Statement> $statements of the animal */
    public function __construct(
        private readonly int $animal,
        private readonly array $statements,
        private readonly Beliefs $beliefs,
        private readonly CatalogueShelf $shelf,
    ) {}

    /** @return list<array{sides: list<string>, about: string}> */
    public function conflicts(): array
    {
        return array_map(fn (array $conflict): array => [
            'about' => implode(
                ', ',
                array_map(fn (string $locus): string => $this->shelf->catalogue()->locus($locus)->name, $conflict[0]),
            ),
            'sides' => array_map($this->side(...), $conflict[1]),
        ], $this->beliefs->why($this->animal)['conflicts']);
    }

    /**
     * How each locus came to what is believed of it.
     *
     * @return list<array{locus: string, steps: list<array{by: string, text: string}>}>
     */
    public function reasons(): array
    {
        $loci = [];
        foreach ($this->beliefs->why($this->animal)['reasons'] as $locus => $steps) {
            $loci[] = [
                'locus' => $this->shelf->catalogue()->locus($locus)->name,
                'steps' => array_map(fn (array $step): array => ['by' => $this->side($step[0]), 'text' => $step[1]], $steps),
            ];
        }

        return $loci;
    }

    private function side(string $by): string
    {
        if ($by === Reason::PARENTS) {
            return 'the recorded parents';
        }
        if ($by === Reason::RELATIVES) {
            return 'what young and other relatives showed';
        }
        foreach ($this->statements as $statement) {
            if ((string) $statement->id === $by) {
                return "“{$statement->text}”, {$statement->byWhom()}";
            }
        }

        return 'a statement';
    }
}
