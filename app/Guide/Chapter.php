<?php

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
            self::BringIn => 'Bring in your animals',
            self::Pair => 'Choose a pairing',
            self::Lay => 'From lock to eggs',
            self::Hatch => 'From eggs to young',
            self::TellApart => 'Tell them apart',
            self::Prove => 'Prove what is unsure',
            self::Plan => 'Plan over years',
            self::Sell => 'Keep, sell, account',
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
            $station === 'clutches', $station === 'today' => self::Lay,
            $station === 'projects' => self::Plan,
            $station === 'prove' => self::Prove,
            default => self::BringIn,
        };
    }
}
