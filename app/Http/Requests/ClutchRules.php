<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Collection\Opened;
use App\Models\Animal;
use App\Pairing\PairingCheck;
use Destino\Pairing\Advice\Advice;
use Destino\Pairing\Advice\Stance;
use Illuminate\Validation\Validator;

/** What a pairing and its clutch may say. */
class ClutchRules
{
    /** The days in their order, and no more hatched than there were eggs. */
    public static function order(Validator $validator): void
    {
        $typed = fn (string $field): mixed => $validator->getData()[$field] ?? null;
        $days = array_filter([
            'paired' => $typed('paired_on'), 'laid' => $typed('laid_on'), 'hatched' => $typed('hatched_on'),
        ]);
        $before = null;
        foreach ($days as $what => $day) {
            if ($before !== null && $day < $days[$before]) {
                $validator->errors()->add("{$what}_on", "The eggs cannot be {$what} before they are {$before}.");
            }
            $before = $what;
        }
        if (
            $typed('hatched') !== null
            && $typed('eggs_good') !== null
            && (int) $typed('hatched') > (int) $typed('eggs_good')
        ) {
            $validator->errors()->add('hatched', 'Hatched cannot be more than good eggs.');
        }
    }

    /** @param list<Animal> $sires */
    public static function askTheHouse(Validator $validator, Opened $opened, Animal $dam, array $sires): void
    {
        foreach ($sires as $sire) {
            $verdict = PairingCheck::of($sire, $dam, $opened);
            $why = implode(' ', array_map(fn (Advice $advice): string => $advice->text, $verdict->because));
            if ($verdict->stance === Stance::Refuse) {
                $validator->errors()->add('house', "Your house rules refuse {$sire->name} × {$dam->name}. {$why}");
            } elseif ($verdict->stance === Stance::Warn && trim((string) ($validator->getData()['reason'] ?? '')) === '') {
                $validator->errors()->add('reason', "Your house rules ask for a reason before {$sire->name} × {$dam->name}. {$why}");
            }
        }
    }
}
