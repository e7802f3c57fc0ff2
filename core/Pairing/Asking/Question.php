<?php

declare(strict_types=1);

namespace Destino\Pairing\Asking;

use Destino\Pairing\By;

/** A pairing as a keeper asks about it, in the words that were typed. */
final readonly class Question
{
    public const MOST_EGGS = 1000;

    /**
     * @param string $target empty where nothing special is wanted
     * @param int $eggs size of the clutch that the odds are about
     * @param bool $sexed tell sons and daughters apart everywhere
     * @param bool $phased tell genotypes apart that differ in phase only
     * @param bool $hatched per living hatchling instead of per egg
     * @param bool $alike by look: merge look-alike sets, as at hatching
     */
    public function __construct(
        public string $sire,
        public string $dam,
        public string $target = '',
        public By $by = By::Genotype,
        public int $eggs = 6,
        public bool $sexed = false,
        public bool $phased = false,
        public bool $hatched = false,
        public bool $alike = false,
    ) {}
}
