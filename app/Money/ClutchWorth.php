<?php

declare(strict_types=1);

namespace App\Money;

use App\Collection\Opened;
use App\Models\Clutch;
use App\Models\ClutchSire;
use Destino\DestinoError;
use Destino\Money\Forecast;
use Destino\Money\PriceEntry;
use Destino\Pairing\Cross;

/** What a clutch is worth by the price book: of what hatched, what it surely is; of the eggs that are left, what may come. */
class ClutchWorth
{
    public function __construct(private readonly Clutch $clutch, private readonly Book $book, private readonly Opened $opened) {}

    /** Eggs of which something can still come; those laid, or none that is known. */
    public function left(): int
    {
        return $this->clutch->isOut() ? 0 : max(0, (int) $this->clutch->eggs_good - $this->clutch->eggsGone());
    }

    /** @return list<array{name: string, forecast: Forecast}> of the eggs that are left, by possible sire */
    public function forecasts(): array
    {
        $forecasts = [];
        foreach ($this->clutch->sires as $sire) {
            $forecast = $this->left() === 0 ? null : $this->forecast($sire);
            $forecast === null ?: $forecasts[] = ['name' => $sire->title(), 'forecast' => $forecast];
        }

        return $forecasts;
    }

    private function forecast(ClutchSire $sire): ?Forecast
    {
        if ($sire->animal === null) {
            return null;
        }
        try {
            $beliefs = $this->opened->beliefs();
            $cross = Cross::of(
                $this->opened->shelf->catalogue(), $beliefs->belief($sire->animal->id), $beliefs->belief($this->clutch->dam_id),
            );

            return Forecast::of($this->book->prices->classesOf($cross), $this->left());
        } catch (DestinoError) {
            return null; // more is open about the two than can be worked out: the page of the pairing says so
        }
    }

    /** @return array{low: int, high: int, known: int, open: int} of the young that are kept as animals, in minor units */
    public function hatched(): array
    {
        $prices = array_map($this->book->of(...), $this->clutch->hatchlings->all());
        $known = array_filter($prices);

        return [
            'low' => array_sum(array_map(fn (PriceEntry $entry): int => $entry->low, $known)),
            'high' => array_sum(array_map(fn (PriceEntry $entry): int => $entry->high, $known)),
            'known' => count($known), 'open' => count($prices) - count($known),
        ];
    }
}
