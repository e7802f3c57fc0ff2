<?php

declare(strict_types=1);

namespace App\Models\Enums;

/** What happens in a season to a pair and to a clutch, in the usual order. */
enum EventKind: string
{
    case Planned = 'planned';
    case Introduced = 'introduced';
    case Lock = 'lock';
    case Separated = 'separated';
    case Follicles = 'follicles';
    case Ovulation = 'ovulation';
    case PreLayShed = 'pre-lay-shed';
    case Laid = 'laid';
    case Washed = 'washed';
    case FirstMeal = 'first-meal';
    case Recovered = 'recovered';
    case Veins = 'veins';
    case NoVeins = 'no-veins';
    case Dented = 'dented';
    case Mould = 'mould';
    case Sweating = 'sweating';
    case EggBad = 'egg-bad';
    case Pipped = 'pipped';
    case Opened = 'opened';
    case Out = 'out';
    case DeadInEgg = 'dead-in-egg';
    case Hatched = 'hatched';
    case Counted = 'counted';

    public function words(): string
    {
        return match ($this) {
            self::Planned => 'pairing planned',
            self::Introduced => 'paired',
            self::Lock => 'locked',
            self::Separated => 'separated',
            self::Follicles => 'follicles felt',
            self::Ovulation => 'ovulation',
            self::PreLayShed => 'pre-lay shed',
            self::Laid => 'laid',
            self::Washed => 'dam washed',
            self::FirstMeal => 'first meal after laying',
            self::Recovered => 'back to weight',
            self::Veins => 'candled: veins',
            self::NoVeins => 'candled: no veins',
            self::Dented => 'dented',
            self::Mould => 'mould',
            self::Sweating => 'sweating',
            self::EggBad => 'discarded',
            self::Pipped => 'pipped',
            self::Opened => 'egg opened',
            self::Out => 'out of the egg',
            self::DeadInEgg => 'dead in the egg',
            self::Hatched => 'hatched',
            self::Counted => 'counted',
        };
    }

    /** Whether eggs or young are counted with it, one where nothing is said. */
    public function counts(): bool
    {
        return in_array($this, [self::Follicles, self::Laid, self::EggBad, self::Pipped, self::Out, self::DeadInEgg, self::Hatched], true);
    }

    /** Whether it is of eggs that lie in the box. */
    public function isOfEggs(): bool
    {
        return in_array($this, self::ofEggs(), true) || $this === self::Hatched;
    }

    /** @return list<self> what is logged of a single egg, in the usual order */
    public static function ofEggs(): array
    {
        return [
            self::Veins, self::NoVeins, self::Dented, self::Mould, self::Sweating, self::EggBad, self::Pipped, self::Opened, self::Out,
            self::DeadInEgg,
        ];
    }

    /** @return list<self> what may pass */
    public static function troubles(): array
    {
        return [self::Dented, self::Mould, self::Sweating];
    }

    /** @return list<self> after which nothing more comes of an egg */
    public static function ends(): array
    {
        return [self::EggBad, self::Out, self::DeadInEgg];
    }

    /** @return list<self> what is logged of a pair or a clutch as a whole */
    public static function ofClutches(): array
    {
        $never = [self::Counted, self::Planned, self::Veins, self::NoVeins, self::Opened, ...self::troubles()];

        return array_values(array_filter(self::cases(), fn (self $kind): bool => ! in_array($kind, $never, true)));
    }

    /** Place in the usual order of a season; things that may come at any time stand with their neighbours. */
    public function order(): int
    {
        return array_search($this, self::cases(), true);
    }
}
