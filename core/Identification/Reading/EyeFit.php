<?php

declare(strict_types=1);

namespace Destino\Identification\Reading;

/**
 * How a keeper's eye differs from the shipped one, from readings of animals whose genes are sure without them: the shift δ and the
 * spread κ of the largest posterior, with δ ~ N(0, .35²) and ln κ ~ N(0, .15²) beforehand. The windows stay the shipped ones.
 */
final class EyeFit
{
    private const SHIFT = .35;

    private const SPREAD = .15;

    /** Readings from which the keeper's own figures are worth more than the shipped ones. */
    public const ENOUGH = 30;

    /**
     * @param list<array{look: Amounts, days: int, state: int, weight: float}> $readings
     * @param callable(int): Windows $windows by age
     */
    public static function of(LookReading $reading, array $readings, callable $windows): OwnEye
    {
        [$best, $most] = [new OwnEye, -INF];
        foreach (self::eyes() as $eye) {
            $own = $reading->readBy($eye);
            $log = -.5 * ($eye->shift / self::SHIFT) ** 2 - .5 * (log($eye->spread) / self::SPREAD) ** 2;
            foreach ($readings as $one) {
                $chances = $windows($one['days'])->held(StateChances::of($own, $one['look'], $one['days']));
                $log += $one['weight'] * log($chances[$one['state']]);
            }
            if ($log > $most) {
                [$best, $most] = [$eye, $log];
            }
        }

        return $best;
    }

    /** @return iterable<OwnEye> the shipped one first, so that it stays where others are no better */
    private static function eyes(): iterable
    {
        yield new OwnEye;
        for ($tenths = -20; $tenths <= 20; $tenths += 2) {
            foreach ([.6, .8, 1.0, 1.25, 1.6] as $spread) {
                yield new OwnEye($tenths / 10, $spread);
            }
        }
    }
}
