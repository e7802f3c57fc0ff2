<?php

declare(strict_types=1);

namespace App\Collection;

use App\Catalogue\CatalogueShelf;
use App\House\House;

/** Under what the belief of an animal is kept: what it follows from, or, where nobody waits, what was recorded before. */
final class BeliefKeys
{
    private ?ContentKeys $contents = null;

    /** @var array<int, string> by animal: what its belief follows from, what relatives say included, as a hash */
    private array $keys = [];

    /** @var array<int, true> animals of which statements and parents alone are heard, until what relatives say is worked out */
    private array $alone = [];

    /** @var array<int, array{string, string}>|null key and own content of each animal before the last change */
    private ?array $last = null;

    public function __construct(
        private readonly Records $records,
        private readonly Individuals $individuals,
        private readonly BeliefStore $store,
        private readonly Kin $kin,
        private readonly CatalogueShelf $shelf,
        private readonly House $house,
        private readonly ?Patience $patience,
    ) {}

    /** Whether statements and parents alone are heard of an animal, until what relatives say is worked out. */
    public function isAlone(int $id): bool
    {
        return isset($this->alone[$id]);
    }

    /** Whether everything that follows from the records as they are was worked out. */
    public function areComplete(): bool
    {
        if (! $this->kin->isCurrent()) {
            return false;
        }
        foreach (array_keys($this->records->animals) as $id) {
            if ($this->store->words($this->full($id)) === null) {
                return false;
            }
        }

        return true;
    }

    /** The key of what is worked out now, which is the one that holds from here on. */
    public function worked(int $id): string
    {
        return $this->keys[$id] = $this->isAlone($id) ? $this->alone($id) : $this->full($id);
    }

    /**
     * The key of what statements and parents say of an animal. That is shown of one of which something was written just now: what
     * relatives said of it was worked out from what was written before, and would stand in the place of the new.
     */
    public function alone(int $id): string
    {
        $this->alone[$id] = true;

        return hash('xxh128', $this->contents()->of($id));
    }

    public function full(int $id): string
    {
        return hash('xxh128', $this->contents()->of($id).$this->kin->keyOf($id));
    }

    /** The key of what is recorded; in its place, where that is not worked out and nobody waits, of what was recorded before. */
    private function keyToShow(int $id): string
    {
        $key = $this->full($id);
        if ($this->patience === null || $this->store->words($key) !== null) {
            return $key;
        }
        if ($this->last === null) {
            $last = $this->store->last();
            $this->last = $last['about'] === $this->kin->about() ? $last['keys'] : [];
        }
        [$before, $own] = $this->last[$id] ?? ['', ''];
        if ($own !== $this->contents()->ownOf($id)) {
            return $this->patience->isBehind() ? $this->alone($id) : $key;
        }
        $isKnown = $this->store->words($before) !== null && $this->store->body($id, $before) !== null;

        return $isKnown && $this->patience->isOver() ? $before : $key;
    }

    public function contents(): ContentKeys
    {
        return $this->contents ??= new ContentKeys(
            $this->records, $this->individuals, $this->shelf->fingerprint(), $this->house->number('error_unrecorded'),
        );
    }

    /** Equal as long as what is believed of an animal is the same. */
    public function key(int $id): string
    {
        return $this->keys[$id] ??= $this->keyToShow($id);
    }
}
