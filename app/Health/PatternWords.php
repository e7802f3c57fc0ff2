<?php

declare(strict_types=1);

namespace App\Health;

use App\Words\OddsWords;
use Destino\Husbandry\Cause;

/** What the pattern of malformed young speaks for, in a sentence with all sides. */
final class PatternWords
{
    /** @param array{form: string|null, affected: int, of: int, others: int, rest: int, cause: Cause}|null $pattern */
    public static function of(?array $pattern): string
    {
        if ($pattern === null) {
            return '';
        }
        $cause = $pattern['cause'];
        $share = fn (string $of): string => OddsWords::share($cause->{$of}->toFloat());
        $counts = $pattern['form'] === null
            ? 'No young with two copies of a gene stand apart.'
            : "{$pattern['affected']} of {$pattern['of']} with two copies of {$pattern['form']}, {$pattern['others']} of {$pattern['rest']} of the rest.";

        return "{$counts} Genes ".(
            $pattern['form'] === null ? 'cannot be told from it' : $share('genes')
        ).", incubation {$share('incubation')}, chance {$share('chance')}.";
    }
}
