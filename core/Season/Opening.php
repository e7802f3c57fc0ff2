<?php

declare(strict_types=1);

namespace Destino\Season;

/** The schools of opening eggs: never; once the first of the clutch has pipped; from a chosen day after laying on. */
enum Opening: string
{
    case Never = 'never';
    case AfterFirstPip = 'after-first-pip';
    case FromDay = 'from-day';

    /**
     * What the house would say to opening an egg now.
     *
     * @param int|null $day days since laying; null where that is not known
     * @param bool $pipped whether an egg of the clutch has pipped or hatched
     * @param int $from the chosen day, for the school that opens on a day
     * @return string|null why it is too early; null where the house opens now
     */
    public function objection(?int $day, bool $pipped, int $from): ?string
    {
        return match (true) {
            $this === self::Never => 'Your house opens no eggs: a hatchling that is ready comes out, and a cut can be a wound.',
            $this === self::AfterFirstPip && ! $pipped => 'Your house opens eggs once the first has pipped, and none of this clutch has'
                .($day === null ? '.' : ": it is day {$day}."),
            $this === self::FromDay && $day === null => "Your house opens eggs from day {$from} on, and the day of laying is not known.",
            $this === self::FromDay && $day < $from => "Your house opens eggs from day {$from} on, and this is day {$day}.",
            default => null,
        };
    }

    /** What speaks for the school, and what to mind. */
    public function reason(): string
    {
        return match ($this) {
            self::Never => 'Those that are ready come out by themselves. Some that cannot will die in the egg.',
            self::AfterFirstPip => 'The clutch is known to be at term, and a weak sibling can get help.',
            self::FromDay => 'A planned day suits people with work. Too early, and the yolk is not taken in.',
        };
    }
}
