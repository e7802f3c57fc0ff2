<?php

declare(strict_types=1);

namespace Destino\Planning\Search;

use Destino\Genome\Sex;
use Destino\Planning\Given\Founder;
use Destino\Probability\Rational;

/** One cross of a route, and what to keep of it. */
final readonly class RouteStep
{
    /**
     * @param int $season earliest season (from 1) in which both parents can breed, if all goes well
     * @param list<int> $looks of the young to keep
     * @param Sex|null $sex null where either will do
     * @param Rational $odds P(an egg is such a young), sex aside; of the last cross: P(an egg meets the target)
     * @param int $keep how many to keep
     * @param string $sire key of the sire's node; a step's young has the key of the step
     * @param list<Founder> $sires founders that can be the sire; empty where he is a young
     * @param list<Founder> $dams
     * @param list<string> $cautions what house rules warn of at this cross
     */
    public function __construct(
        public string $key,
        public int $season,
        public string $sire,
        public string $dam,
        public array $sires,
        public array $dams,
        public string $sireGenes,
        public string $damGenes,
        public array $looks,
        public string $genes,
        public ?Sex $sex,
        public Rational $odds,
        public int $keep,
        public bool $isLast,
        public array $cautions = [],
    ) {}

    public function keeping(int $count): self
    {
        return new self(
            $this->key,
            $this->season,
            $this->sire,
            $this->dam,
            $this->sires,
            $this->dams,
            $this->sireGenes,
            $this->damGenes,
            $this->looks,
            $this->genes,
            $this->sex,
            $this->odds,
            $count,
            $this->isLast,
            $this->cautions,
        );
    }

    /** The young in words that stay the same from plan to plan. */
    public function young(): string
    {
        return self::wordsOf($this->genes, $this->sex);
    }

    public static function wordsOf(string $genes, ?Sex $sex): string
    {
        return $sex === null ? $genes : "{$sex->value} {$genes}";
    }
}
