<?php

declare(strict_types=1);

namespace App\Guide;

/** A chapter of the guide, in the order of a keeper's work. */
enum Chapter: string
{
    case BringIn = 'bring-in';
    case Pair = 'pair';
    case Lay = 'lay';
    case Hatch = 'hatch';
    case TellApart = 'tell-apart';
    case Prove = 'prove';
    case Plan = 'plan';
    case Sell = 'sell';

    public function title(): string
    {
        return match ($this) {
            self::BringIn => 'Import your animals',
            self::Pair => 'Choose a pairing',
            self::Lay => 'From lock to eggs',
            self::Hatch => 'From eggs to young',
            self::TellApart => 'Identify hatchlings',
            self::Prove => 'Prove what is unsure',
            self::Plan => 'Plan over years',
            self::Sell => 'Keep, sell, account',
        };
    }

    /** The picture of the demo that goes with it: a name in public/pictures, as bin/destino shots makes them. */
    public function picture(): string
    {
        return match ($this) {
            self::BringIn => 'import',
            self::Pair => 'pair',
            self::Lay => 'today-phone',
            self::Hatch => 'eggs-phone',
            self::TellApart => 'bench',
            self::Prove => 'prove',
            self::Plan => 'project',
            self::Sell => 'money',
        };
    }

    /** What the picture shows, for those who do not see it. */
    public function shows(): string
    {
        return match ($this) {
            self::BringIn => 'A list before it is brought in: what was understood of each row, and what needs a word.',
            self::Pair => 'The odds of a pairing: the tray, the chance in one clutch, the likeliest looks.',
            self::Lay => 'Today on a phone: what is due of each pair, and the buttons that log it.',
            self::Hatch => 'The eggs of a clutch as they lie in the box, and what was seen of one.',
            self::TellApart => 'The bench: siblings side by side, the cues seen of each, the odds of each gene.',
            self::Prove => 'Open questions, and a hatchling that does not fit with what may explain it.',
            self::Plan => 'A project: what to do now, and the chance by year.',
            self::Sell => 'The account of a year, and the price book.',
        };
    }

    /** The chapter that a page belongs to, by the station under which it stands and its address. */
    public static function of(string $station, string $path): self
    {
        return match (true) {
            str_contains($path, 'bench'), str_starts_with($path, 'genes') => self::TellApart,
            str_contains($path, 'eggs'), str_starts_with($path, 'incubators') => self::Hatch,
            str_starts_with($path, 'young'), str_starts_with($path, 'money') => self::Sell,
            $station === 'pair' => self::Pair,
            $station === 'season', $station === 'today' => self::Lay,
            $station === 'projects' => self::Plan,
            $station === 'prove' => self::Prove,
            default => self::BringIn,
        };
    }
}
