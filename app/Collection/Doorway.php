<?php

declare(strict_types=1);

namespace App\Collection;

use App\Catalogue\CatalogueShelf;
use App\House\House;
use App\Models\GeneChange;
use App\Models\User;
use Illuminate\Contracts\Foundation\Application;

/** Opens collections, and says which one is open. */
final class Doorway
{
    private ?Opened $open = null;

    public function __construct(
        private readonly Application $application,
        private readonly CatalogueShelf $shipped,
        private readonly Kept $kept,
    ) {}

    /** Opens a keeper's collection for what follows; the one that was open before is closed. */
    public function open(User $keeper, bool $mayBeBehind = false): Opened
    {
        $this->close();
        /** @var list<GeneChange> $changes */
        $changes = $keeper->geneChanges()->orderBy('id')->get()->all();
        $house = House::of($keeper);
        $this->open = new Opened($keeper, $house, $this->shipped->forHouse($house, $changes), $this->kept, $mayBeBehind);
        $this->application->instance(Opened::class, $this->open);

        return $this->open;
    }

    /** The shipped facts and the default rules, for whoever has no collection open. */
    public function nobodys(): Opened
    {
        return new Opened(null, new House, $this->shipped, $this->kept);
    }

    /**
     * Opens a collection for a piece of work, and closes it whatever comes of it.
     *
     * @template T
     *
     * @param callable(Opened): T $work
     * @return T
     */
    public function within(User $keeper, callable $work, bool $mayBeBehind = false): mixed
    {
        $opened = $this->open($keeper, $mayBeBehind);
        try {
            return $work($opened);
        } finally {
            $this->close();
        }
    }

    public function close(): void
    {
        $this->open?->close();
        if ($this->open !== null) {
            $this->application->forgetInstance(Opened::class);
            $this->open = null;
        }
    }
}
