<?php

declare(strict_types=1);

namespace Destino\Planning\Given;

/** What a plan takes for granted about animals and seasons; every figure may be another (genetics.md, section 6). */
final readonly class PlanAssumptions
{
    /** Months of a hatchling at the pairing of the next season. */
    private const FIRST_PAIRING = 6;

    /**
     * @param float $layRate P(a mature female lays in a season)
     * @param float $clutchMean eggs
     * @param float $infertile P(an egg is infertile)
     * @param float $hatch P(a fertile egg hatches)
     * @param float $femaleShare P(a hatchling is female)
     * @param float $yearlyKeep money for each animal kept in a season
     */
    public function __construct(
        public int $maleMonths = 12,
        public int $femaleMonths = 30,
        public int $maleWeight = 500,
        public int $femaleWeight = 1500,
        public float $layRate = 0.7,
        public float $clutchMean = 6.0,
        public float $clutchSd = 2.0,
        public float $infertile = 0.08,
        public float $hatch = 0.92,
        public float $femaleShare = 0.5,
        public int $femalesPerMale = 4,
        public float $yearlyKeep = 0.0,
    ) {}

    /**
     * @param array<array-key, mixed> $given by the names of the document
     *
     * @throws ProjectError when a name is unknown or a figure impossible
     */
    public static function of(array $given): self
    {
        $figures = (new self)->toArray();
        foreach ($given as $name => $value) {
            if (! isset($figures[$name])) {
                throw ProjectError::unknownAssumption((string) $name, array_map(strval(...), array_keys($figures)));
            }
            if (! is_int($value) && ! is_float($value)) {
                throw ProjectError::notANumber((string) $name);
            }
            $figures[$name] = $value;
        }
        foreach (['lay_rate', 'infertile', 'hatch', 'female_share'] as $share) {
            if ($figures[$share] < 0 || $figures[$share] > 1) {
                throw ProjectError::outOfRange($share, 0, 1);
            }
        }
        foreach (
            [
                'male_months' => 240, 'female_months' => 240, 'male_weight' => 10000, 'female_weight' => 10000,
                'clutch_mean' => 40, 'clutch_sd' => 20, 'females_per_male' => 50, 'yearly_keep' => 1000000,
            ] as $name => $most
        ) {
            if ($figures[$name] < 0 || $figures[$name] > $most) {
                throw ProjectError::outOfRange($name, 0, $most);
            }
        }

        return new self(
            (int) $figures['male_months'], (int) $figures['female_months'], (int) $figures['male_weight'],
            (int) $figures['female_weight'], (float) $figures['lay_rate'],
            (float) $figures['clutch_mean'], (float) $figures['clutch_sd'], (float) $figures['infertile'],
            (float) $figures['hatch'], (float) $figures['female_share'],
            (int) $figures['females_per_male'], (float) $figures['yearly_keep'],
        );
    }

    /** @return array<string, int|float> by the names of the document */
    public function toArray(): array
    {
        return [
            'male_months' => $this->maleMonths, 'female_months' => $this->femaleMonths, 'male_weight' => $this->maleWeight,
            'female_weight' => $this->femaleWeight,
            'lay_rate' => $this->layRate, 'clutch_mean' => $this->clutchMean, 'clutch_sd' => $this->clutchSd,
            'infertile' => $this->infertile, 'hatch' => $this->hatch,
            'female_share' => $this->femaleShare, 'females_per_male' => $this->femalesPerMale, 'yearly_keep' => $this->yearlyKeep,
        ];
    }

    /** Seasons from the one of hatching to the first in which it breeds: 1 is the next. */
    public function seasonsToGrow(bool $isMale): int
    {
        return 1 + max(0, (int) ceil((($isMale ? $this->maleMonths : $this->femaleMonths) - self::FIRST_PAIRING) / 12));
    }

    /**
     * The first season (from 1) in which a founder breeds. A weight that is too low counts as one season more than its
     * age alone says; an age that is not known counts as grown.
     */
    public function firstSeason(bool $isMale, ?int $months, ?int $grams): int
    {
        $missing = max(0, ($isMale ? $this->maleMonths : $this->femaleMonths) - ($months ?? 1000));
        $byAge = 1 + (int) ceil($missing / 12);
        $isLight = $grams !== null && $grams < ($isMale ? $this->maleWeight : $this->femaleWeight);

        return $isLight ? max(2, $byAge) : $byAge;
    }

    /** P(an egg hatches), lethal forms aside. */
    public function survival(): float
    {
        return (1 - $this->infertile) * $this->hatch;
    }

    /**
     * P(a clutch has n eggs): the normal law with the mean and deviation, rounded to whole eggs and cut at 0. Without a
     * deviation, the mean, or the two whole numbers around it in proportion.
     *
     * @return array<int, float> by n
     */
    public function clutchLaw(): array
    {
        $mean = $this->clutchMean;
        if ($this->clutchSd <= 0.0) {
            $low = (int) floor($mean);
            $share = $mean - $low;

            return $share > 0 ? [$low => 1 - $share, $low + 1 => $share] : [$low => 1.0];
        }
        $law = [];
        for ($n = 0; $n <= (int) ceil($mean + 5 * $this->clutchSd); $n++) {
            $law[$n] = exp(-(($n - $mean) ** 2) / (2 * $this->clutchSd ** 2));
        }
        $total = array_sum($law);

        return array_map(static fn (float $weight): float => $weight / $total, $law);
    }
}
