<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Enums\Precision;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Animals that a list brought in with one dam, one sire and one day of hatching: likely a clutch, which the keeper may note. */
class ClutchOffers
{
    /**
     * @param list<int> $animals numbers
     * @return array<string, array{dam: Animal, sire: string, sireId: int|null, hatched: string, young: list<Animal>}> by key, the largest first
     */
    public static function among(array $animals): array
    {
        $offers = [];
        $young = Animal::query()->whereKey($animals)->orderBy('id')->get();
        $parents = Animal::query()->whereKey([...$young->pluck('dam_id')->filter(),
            ...$young->pluck('sire_id')->filter()])->get()->keyBy('id');
        foreach ($young as $animal) {
            $dam = $parents->get((int) $animal->dam_id);
            $sire = $parents->get((int) $animal->sire_id)->name ?? $animal->sire_name;
            $isDated = $animal->hatched_on !== null && $animal->hatched_precision === Precision::Day;
            if ($dam === null || $sire === null || ! $isDated || $animal->clutch_id !== null) {
                continue;
            }
            $key = hash('xxh64', "{$animal->dam_id}|{$animal->sire_id}|{$sire}|{$animal->hatched_on->format('Y-m-d')}");
            $offers[$key] ??= [
                'dam' => $dam, 'sire' => $sire, 'sireId' => $animal->sire_id, 'hatched' => $animal->hatched_on->format('Y-m-d'),
                'young' => [],
            ];
            $offers[$key]['young'][] = $animal;
        }
        $offers = array_filter($offers, fn (array $offer): bool => count($offer['young']) > 1);
        uasort($offers, fn (array $a, array $b): int => count($b['young']) <=> count($a['young']));

        return $offers;
    }

    /**
     * Notes those that are wanted. How many hatched in all stays open: a list holds those that were kept. A clutch that is
     * recorded already for that dam and day takes the young in.
     *
     * @param list<int> $animals
     * @param list<string> $keys
     * @return int clutches
     */
    public static function note(User $keeper, array $animals, array $keys): int
    {
        return DB::transaction(function () use ($keeper, $animals, $keys): int {
            $wanted = array_intersect_key(self::among($animals), array_flip($keys));
            foreach ($wanted as $offer) {
                $clutch = $keeper->clutches()->where('dam_id', $offer['dam']->id)->get()
                    ->first(fn (Clutch $one): bool => $one->hatched_on?->format('Y-m-d') === $offer['hatched']);
                if ($clutch === null) {
                    $clutch = $keeper->clutches()->create(['dam_id' => $offer['dam']->id, 'hatched_on' => $offer['hatched']]);
                    $clutch->sires()->create($offer['sireId'] === null ? ['name' => $offer['sire']] : ['animal_id' => $offer['sireId']]);
                    $clutch->tellApart();
                }
                foreach ($offer['young'] as $young) {
                    $young->update(['clutch_id' => $clutch->id]);
                }
            }

            return count($wanted);
        });
    }
}
