<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Genome\Sex;
use Destino\Inference\Evidence\Brood;
use Destino\Inference\Evidence\Individual;
use Destino\Probability\Rational;

/**
 * An animal, or counted eggs, in its place in a family: every parent that is not recorded is a member of its own, one from
 * outside, so that a young has two parents or none.
 */
final readonly class Member
{
    /** Before the ids of those from outside: no id of a record begins with it. */
    public const OUTSIDE = "\u{1F}";

    /**
     * @param list<string> $sires ids of all who may be the sire; empty for a founder
     * @param list<Rational> $weights P(each is the sire), summing to 1
     * @param string $batch young of one batch share their sire
     * @param string $litter young that a wrong sire would concern together
     * @param Individual|null $animal null for one from outside and for eggs
     */
    public function __construct(
        public string $id,
        public ?Sex $sex,
        public array $sires,
        public array $weights,
        public ?string $dam,
        public string $batch,
        public string $litter,
        public ?Individual $animal = null,
        public ?Brood $brood = null,
        public bool $isOutsider = false,
    ) {}

    public function isFounder(): bool
    {
        return $this->dam === null;
    }

    public function isEggs(): bool
    {
        return $this->brood !== null;
    }

    /** @return list<string> everyone who may be a parent */
    public function parents(): array
    {
        return $this->dam === null ? [] : [...$this->sires, $this->dam];
    }

    public static function outsider(string $id, Sex $sex): self
    {
        return new self($id, $sex, [], [], null, $id, $id, isOutsider: true);
    }
}
