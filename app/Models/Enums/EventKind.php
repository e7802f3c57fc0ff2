<?php

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
    case FirstMeal = 'first-meal';
    case Recovered = 'recovered';
    case EggBad = 'egg-bad';
    case Pipped = 'pipped';
    case Out = 'out';
    case Hatched = 'hatched';
    case Counted = 'counted';

    public function words(): string
    {
        return match ($this) {
            self::Planned => 'pairing planned',
            self::Introduced => 'introduced',
            self::Lock => 'lock seen',
            self::Separated => 'separated',
            self::Follicles => 'eggs felt',
            self::Ovulation => 'ovulation',
            self::PreLayShed => 'shed before laying',
            self::Laid => 'eggs laid',
            self::FirstMeal => 'first meal after laying',
            self::Recovered => 'weight recovered',
            self::EggBad => 'egg given up',
            self::Pipped => 'pipped',
            self::Out => 'out of the egg',
            self::Hatched => 'hatched',
            self::Counted => 'counted',
        };
    }

    /** Whether eggs or young are counted with it, one where nothing is said. */
    public function counts(): bool
    {
        return in_array($this, [self::Follicles, self::Laid, self::EggBad, self::Pipped, self::Out, self::Hatched], true);
    }

    /** Place in the usual order of a season; things that may come at any time stand with their neighbours. */
    public function order(): int
    {
        return array_search($this, self::cases(), true);
    }
}
