<?php

declare(strict_types=1);

namespace App\Money;

use App\Collection\Opened;
use App\Models\Animal;
use App\Models\Price;
use App\Models\Sale;
use Destino\DestinoError;
use Destino\Money\PriceBook;
use Destino\Money\PriceEntry;

/** The keeper's price book, and what sales of the own collection say beside it. */
class Book
{
    public readonly PriceBook $prices;

    /** @var list<Price> whose target can no longer be read */
    public readonly array $unread;

    /** @var array<int, PriceEntry> by number of the line */
    private array $entries = [];

    public function __construct(private readonly Opened $opened)
    {
        $unread = [];
        foreach ($opened->keeper()->prices()->get() as $price) {
            try {
                $this->entries[$price->id] = new PriceEntry($opened->shelf->targetsWithChoices()->read($price->target), $price->low, $price->high);
            } catch (DestinoError) {
                $unread[] = $price;
            }
        }
        $this->unread = $unread;
        $this->prices = new PriceBook(...array_values($this->entries));
    }

    public function isEmpty(): bool
    {
        return $this->entries === [];
    }

    /** What an animal goes for by the book; null where it says nothing of it. */
    public function of(Animal $animal): ?PriceEntry
    {
        return $animal->hasOpenGenes()
            ? null
            : $this->prices->priceOf($this->opened->beliefs()->belief($animal->id), $animal->sex, $this->opened->shelf->catalogue());
    }

    /** @return array<int, list<int>> amounts of own sales by the line of the book that speaks of the animal */
    public function ownSales(): array
    {
        $sales = [];
        foreach (Sale::query()->where('user_id', $this->opened->keeper()->id)->whereNotNull('price')->with('animal')->get() as $sale) {
            $entry = $sale->animal->trashed() ? null : $this->of($sale->animal);
            $line = $entry === null ? false : array_search($entry, $this->entries, true);
            if ($line !== false) {
                $sales[$line][] = (int) $sale->price;
            }
        }

        return $sales;
    }
}
