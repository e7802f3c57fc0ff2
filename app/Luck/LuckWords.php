<?php

declare(strict_types=1);

namespace App\Luck;

use Destino\Probability\Luck;

/** What a run of eggs says, in words. */
class LuckWords
{
    /** How rare what came is. */
    public static function sentence(Luck $luck): string
    {
        $oneIn = $luck->oneIn();
        if ($oneIn === null) {
            return 'At this chance that cannot happen at all.';
        }
        if ($luck->isAsExpected()) {
            return 'Exactly what was to be expected.';
        }
        $number = $oneIn->toFloat();
        $shown = $number < 10 ? rtrim(rtrim(number_format($number, 1), '0'), '.') : number_format($number);
        $side = $luck->isBelowExpected() ? 'as few hits or fewer' : 'as many hits or more';

        return "About 1 in {$shown} such runs of eggs brings {$side}.";
    }

    /** How long bad luck stays plausible. */
    public static function verdict(Luck $luck): string
    {
        $tail = $luck->tail()->toFloat();

        return match (true) {
            $luck->isAsExpected(), $tail > 0.2 => 'Nothing unusual: keep going.',
            $luck->isBelowExpected() => self::badLuck($tail),
            default => self::goodLuck($tail),
        };
    }

    private static function badLuck(float $tail): string
    {
        return match (true) {
            $tail > 0.05 => 'Unlucky, but some keeper sees it every season. No reason to doubt the parents yet.',
            $tail > 0.005 => 'Rare. Worth asking whether a parent carries what you think, and whether you would recognise a hit.',
            default => 'So rare that other explanations deserve a look before more waiting: a parent may not carry it, the chance may be '
                .'lower than thought, or hits may be overlooked.',
        };
    }

    private static function goodLuck(float $tail): string
    {
        return match (true) {
            $tail > 0.05 => 'Lucky, but some keeper sees it every season. Do not count on it next time.',
            $tail > 0.005 => 'Rare luck. Enjoy it, and ask whether the chance is higher than you thought: a parent may have two copies, '
                .'or carry it where you took it for possible.',
            default => 'So rare that the chance is likely higher than thought: a parent may have two copies, or carry what was only '
                .'possible. Or something else looks like a hit: identify the hatchlings again.',
        };
    }
}
