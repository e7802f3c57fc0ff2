<?php

declare(strict_types=1);

namespace App\Health;

use App\Collection\CoreId;
use App\Collection\Opened;
use App\Models\Clutch;

/** Pairs of which malformed or ailing young are recorded, so that the season and the plans know it. */
class BeforeOfPairs
{
    /** Sound young that a pair is given beforehand, so that one ailing hatchling does not condemn it. An assumption. */
    private const SOUND = 2;

    /**
     * @return array<string, array{share: float, words: string}> by "a1 a2", sire and dam: the share of sound young to expect, and
     *     what was seen
     */
    public static function of(Opened $opened): array
    {
        $clutches = $opened->keeper()->clutches()->whereHas('hatchlings.observations')
            ->with('sires', 'hatchlings.observations')->get();
        $pairs = [];
        foreach ($clutches as $clutch) {
            /** @var Clutch $clutch */
            $sire = $clutch->sires->count() === 1 ? $clutch->sires->first()?->animal_id : null;
            if ($sire !== null) {
                $pairs[CoreId::of($sire).' '.CoreId::of($clutch->dam_id)][] = $clutch;
            }
        }
        $before = [];
        foreach ($pairs as $pair => $of) {
            $young = array_sum(array_map(fn (Clutch $clutch): int => $clutch->hatchlings->count(), $of));
            $malformed = new Malformed($of, $opened);
            $affected = count($malformed->affected());
            if ($affected > 0) {
                $before[$pair] = [
                    'share' => ($young - $affected + self::SOUND) / ($young + self::SOUND),
                    'words' => "{$malformed->words()} of this pair were malformed or ailing",
                ];
            }
        }

        return $before;
    }
}
