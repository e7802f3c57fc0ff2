<?php

declare(strict_types=1);

namespace App\House;

use App\Models\User;
use Destino\Genome\Catalogue;
use Destino\Husbandry\BreedingRules;
use Destino\Pairing\Advice\Stance;
use Destino\Probability\Rational;
use Destino\Season\Opening;

/** A keeper's choices as the stations use them; what was not chosen follows the defaults. */
class House
{
    private const GRAMS_PER_OUNCE = 28.349523125;

    private ?BreedingRules $breeding = null;

    /** @param array<string, mixed> $choices */
    public function __construct(public readonly array $choices = [], public readonly int $version = 0) {}

    public static function of(User $keeper): self
    {
        $rules = $keeper->houseRules()->first();

        return new self($rules->choices ?? [], $rules->version ?? 0);
    }

    public function simple(string $key): string
    {
        $known = Choices::simple()[$key];
        $chosen = $this->choices[$key] ?? null;

        return is_string($chosen) && isset($known['options'][$chosen]) ? $chosen : $known['default'];
    }

    public function number(string $key): int
    {
        $chosen = $this->choices[$key] ?? null;

        return is_int($chosen) ? $chosen : Choices::numbers()[$key]['default'];
    }

    /** @return array<string, string> choice by claim */
    public function schools(): array
    {
        return $this->texts('schools');
    }

    /** @return array<string, string> the line that is meant by a shared word */
    public function lines(): array
    {
        return $this->texts('lines');
    }

    /** @return array<string, Stance> by condition */
    public function stances(Catalogue $catalogue): array
    {
        $chosen = $this->texts('stances');
        $stances = [];
        foreach (Stances::all($catalogue) as $key => $entry) {
            $stances[$key] = Stance::tryFrom($chosen[$key] ?? '') ?? $entry['default'];
        }

        return $stances;
    }

    public function breeding(): BreedingRules
    {
        return $this->breeding ??= new BreedingRules(
            $this->number('male_months'), $this->number('female_months'), $this->number('male_grams'),
            $this->number('female_grams'),
        );
    }

    /** F of the offspring above which a pair counts as closely related; null for no limit. */
    public function relatednessLimit(): ?Rational
    {
        $limit = $this->simple('relatedness');

        return $limit === 'none' ? null : Rational::parse($limit);
    }

    public function opening(): Opening
    {
        return Opening::from($this->simple('opening'));
    }

    public function saysCoDominant(): bool
    {
        return $this->simple('dominance') === 'co-dominant';
    }

    public function currency(): string
    {
        $chosen = $this->choices['currency'] ?? null;

        return is_string($chosen) && $chosen !== '' ? $chosen : '€';
    }

    public function numberPattern(): string
    {
        $chosen = $this->choices['number_pattern'] ?? null;

        return is_string($chosen) && $chosen !== '' ? $chosen : '{000}';
    }

    public function money(?int $cents): string
    {
        return $cents === null ? '' : $this->currency().' '.number_format($cents / 100, $cents % 100 === 0 ? 0 : 2);
    }

    /** "1,420 g" or "50.1 oz". */
    public function weight(int $grams): string
    {
        return $this->simple('weight') === 'g' ? number_format($grams).' g' : number_format($grams / self::GRAMS_PER_OUNCE, 1).' oz';
    }

    public function weightUnit(): string
    {
        return $this->simple('weight');
    }

    /** Grams of a weight as typed in the house's unit; the text itself where it is no number. */
    public function grams(mixed $typed): mixed
    {
        $text = is_string($typed) ? trim(str_ireplace([' ', 'oz', 'grams', 'g'], '', $typed)) : $typed;
        if ($this->simple('weight') === 'oz' && is_string($text) && is_numeric($text)) {
            return (string) (int) round((float) $text * self::GRAMS_PER_OUNCE);
        }

        return is_string($typed) && is_numeric($text) ? $text : $typed;
    }

    /** Degrees Celsius of a temperature as typed in the house's unit; null where it is no number. */
    public function celsius(string $typed): ?float
    {
        $text = str_replace(',', '.', trim(str_replace(['°', 'C', 'F', 'c', 'f'], '', $typed)));

        return ! is_numeric($text) ? null : ($this->simple('temperature') === 'C' ? (float) $text : ((float) $text - 32) * 5 / 9);
    }

    /** 0 Sunday, 1 Monday, 6 Saturday. */
    public function firstDayOfWeek(): int
    {
        return match ($this->simple('week')) {
            'sunday' => 0, 'saturday' => 6, default => 1,
        };
    }

    public function temperature(float $celsius): string
    {
        return $this->simple('temperature') === 'C' ? number_format($celsius, 1).' °C' : number_format($celsius * 9 / 5 + 32, 1).' °F';
    }

    /** @return array<string, string> */
    private function texts(string $key): array
    {
        $chosen = $this->choices[$key] ?? [];

        return is_array($chosen) ? array_filter($chosen, is_string(...)) : [];
    }
}
