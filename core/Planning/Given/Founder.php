<?php

declare(strict_types=1);

namespace Destino\Planning\Given;

use Destino\Genome\Belief;
use Destino\Genome\Sex;

/** An animal that a plan can start from: owned, or for sale. */
final readonly class Founder
{
    /**
     * @param string $genes in the printer's words
     * @param int|null $months age at the first pairing; null where it is not known: taken as grown
     * @param int|null $grams weight; null where it is not known: judged by age
     * @param float|null $price null where it is owned
     * @param string|null $sire id of its sire, for relatedness
     * @param int $from season (from 1) before which it is not bred whatever its age, as in quarantine
     */
    public function __construct(
        public string $id,
        public Sex $sex,
        public Belief $belief,
        public string $genes,
        public ?int $months = null,
        public ?int $grams = null,
        public ?float $price = null,
        public ?string $sire = null,
        public ?string $dam = null,
        public int $from = 1,
    ) {}

    public function isOffer(): bool
    {
        return $this->price !== null;
    }
}
