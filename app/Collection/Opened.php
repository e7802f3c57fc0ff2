<?php

declare(strict_types=1);

namespace App\Collection;

use App\Catalogue\CatalogueShelf;
use App\House\House;
use App\Models\User;
use Carbon\CarbonImmutable;
use LogicException;

/**
 * A collection as it is open for one request, command or job: its keeper, the house's rules, the gene facts in use, what is
 * believed of its animals and how they are related. Built once and handed on; whoever opened it closes it.
 */
final class Opened
{
    public readonly CarbonImmutable $today;

    private ?Beliefs $beliefs = null;

    private ?Family $family = null;

    /**
     * @param User|null $keeper null where nobody is signed in: the shipped facts and the default rules
     * @param bool $mayBeBehind whether a page may show what was known before the last change, while that is worked out
     */
    public function __construct(
        private readonly ?User $keeper,
        public readonly House $house,
        public readonly CatalogueShelf $shelf,
        public readonly Kept $kept,
        private readonly bool $mayBeBehind = false,
    ) {
        $this->today = CarbonImmutable::today();
    }

    /** Whether a collection is open at all. */
    public function hasKeeper(): bool
    {
        return $this->keeper !== null;
    }

    public function keeper(): User
    {
        return $this->keeper ?? throw new LogicException('No collection is open.');
    }

    public function beliefs(): Beliefs
    {
        return $this->beliefs ??= Beliefs::of($this->keeper(), $this->shelf, $this->house, $this->kept, $this->mayBeBehind);
    }

    /** Whether anything that was asked for is what was known before the last change. */
    public function isBehind(): bool
    {
        return $this->beliefs?->isBehind() ?? false;
    }

    public function family(): Family
    {
        return $this->family ??= Family::of($this->keeper(), $this->kept);
    }

    /** After a write in the same request: what was read before is read again. */
    public function refresh(): void
    {
        $this->close();
        $this->beliefs = $this->family = null;
    }

    /** Keeps what was worked out. */
    public function close(): void
    {
        $this->beliefs?->keep();
    }
}
