<?php

declare(strict_types=1);

namespace Destino\Husbandry;

use DateInterval;
use DateTimeImmutable;

/** Whether an animal is ready to breed by age and weight, why not, and when it is likely to be. */
final readonly class Readiness
{
    /** A weight older than this says little about today. */
    private const STALE_DAYS = 120;

    /** Further ahead than this nobody should guess. */
    private const MOST_DAYS = 1500;

    /**
     * @param bool|null $isReady null where age and weight are both unknown
     * @param list<string> $reasons why not, or what the answer does not know
     * @param DateTimeImmutable|null $likely when it is likely to be ready, where that can be guessed
     */
    private function __construct(public ?bool $isReady, public array $reasons, public ?DateTimeImmutable $likely) {}

    /**
     * @param bool|null $isMale null where the sex is not known
     * @param list<Weighing> $weighings in any order
     * @param list<string> $standing what else stands in the way, whatever age and weight say
     */
    public static function assess(
        ?bool $isMale,
        ?DateTimeImmutable $hatched,
        array $weighings,
        BreedingRules $rules,
        DateTimeImmutable $today,
        array $standing = [],
    ): self {
        if ($isMale === null) {
            return new self($standing === [] ? null : false, [...$standing, 'The sex is not known.'], null);
        }
        $who = $isMale ? 'a male' : 'a female';
        $reasons = $standing;
        $dates = [];
        $ofAge = $hatched?->add(new DateInterval("P{$rules->months($isMale)}M"));
        if ($ofAge === null) {
            $reasons[] = 'The hatch date is not known, so the age cannot be judged.';
        } elseif ($ofAge > $today) {
            $reasons[] = "Too young: {$rules->months($isMale)} months are asked of {$who}.";
            $dates[] = $ofAge;
        }
        [$ofWeight, $heavy, $isGuessed] = self::byWeight($isMale, $weighings, $rules, $today);
        $reasons = [...$reasons, ...$ofWeight];
        $dates = $heavy === null ? $dates : [...$dates, $heavy];
        $isReady = $standing !== [] ? false : ($ofAge === null && $weighings === [] ? null : $dates === []);

        return new self($isReady, $reasons, $dates === [] || $standing !== [] || ! $isGuessed ? null : max($dates));
    }

    /**
     * @param list<Weighing> $weighings in any order
     * @return array{list<string>, DateTimeImmutable|null, bool} why not; when it is heavy enough, null where it is; whether that could be guessed
     */
    private static function byWeight(bool $isMale, array $weighings, BreedingRules $rules, DateTimeImmutable $today): array
    {
        if ($weighings === []) {
            return [['No weight recorded.'], null, true];
        }
        usort($weighings, static fn (Weighing $a, Weighing $b): int => $a->on <=> $b->on);
        $last = $weighings[count($weighings) - 1];
        $reasons = $last->on < $today->sub(new DateInterval('P'.self::STALE_DAYS.'D'))
            ? ["The last weight is of {$last->on->format('j F Y')}; weigh again."]
            : [];
        if ($last->grams >= $rules->grams($isMale)) {
            return [$reasons, null, true];
        }
        $reasons[] = 'Too light: '.number_format($last->grams).' g of the '.number_format($rules->grams($isMale)).' g asked of '
            .($isMale ? 'a male.' : 'a female.');
        $days = WeightTrend::of($weighings, $today)?->daysUntil($rules->grams($isMale));
        $isGuessed = $days !== null && $days <= self::MOST_DAYS;

        return [$reasons, $isGuessed ? $today->add(new DateInterval("P{$days}D")) : $today, $isGuessed];
    }
}
