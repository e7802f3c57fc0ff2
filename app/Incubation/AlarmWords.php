<?php

declare(strict_types=1);

namespace App\Incubation;

use App\House\House;
use App\House\WallClock;
use Destino\Season\Alarm;
use Destino\Season\AlarmKind;

/** An alarm of an incubator in a sentence, with what to look at. */
final class AlarmWords
{
    public static function of(Alarm $alarm, string $kind, House $house): string
    {
        $since = self::moment($alarm->since);
        $value = fn (float $one): string => $kind === 'temperature' ? $house->temperature($one) : number_format($one).' % humidity';

        return match ($alarm->kind) {
            AlarmKind::Drift
                => "{$value($alarm->value)}, outside its range since {$since}. Check the thermostat, the door and the water.",
            AlarmKind::Jump
                => self::change($alarm->value, $kind,
                    $house)." within half an hour, at {$since}. Was the door open? If not, look at the heater.",
            AlarmKind::Silence
                => 'no readings since '.$since.': '.self::hours($alarm->value).'. Check the probe, then the eggs by hand.',
            AlarmKind::Clock
                => 'what the probe sends is '.self::hours($alarm->value).' old when it comes: its clock is wrong, or it was cut off.',
        };
    }

    /** A change of temperature in the house's unit: a difference, so that 1 °C is 1.8 °F. */
    private static function change(float $value, string $kind, House $house): string
    {
        $way = $value > 0 ? 'up by ' : 'down by ';

        return $way.match (true) {
            $kind === 'humidity' => number_format(abs($value)).' % humidity',
            $house->simple('temperature') === 'F' => number_format(abs($value) * 1.8, 1).' °F',
            default => number_format(abs($value), 1).' °C',
        };
    }

    private static function hours(float $hours): string
    {
        return $hours < 48 ? number_format($hours).' hours' : number_format($hours / 24).' days';
    }

    private static function moment(int $second): string
    {
        $at = WallClock::at($second);

        return $at->isToday() ? $at->format('H:i') : $at->format('j M H:i');
    }
}
