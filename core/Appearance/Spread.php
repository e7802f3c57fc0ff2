<?php

declare(strict_types=1);

namespace Destino\Appearance;

/** How animals of one genotype differ. */
final readonly class Spread
{
    /**
     * @param array<string, Axis> $axes
     * @param array<string, float> $values by axis
     * @return array<string, float> with the spread among animals of one genotype
     */
    public static function among(array $axes, array $values, int $seed): array
    {
        if ($seed === 0) {
            return $values;
        }
        $noise = Noise::of($seed);
        $i = 0;
        foreach ($axes as $key => $axis) {
            $i++;
            $own = $values[$key] ?? 0.0;
            $isVarying = $axis->spread > 0.0 && ($own !== 0.0 || ! $axis->comesAlone());
            if ($isVarying && $own > Axis::REMOVES) {
                $drawn = $own + $axis->spread * $noise->gauss($i);
                $values[$key] = $own > 0.0 ? max(.25 * $own, $drawn) : $drawn;
            }
        }

        return $values;
    }
}
