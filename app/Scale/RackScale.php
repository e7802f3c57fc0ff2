<?php

declare(strict_types=1);

namespace App\Scale;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * A made-up scale on a trolley: it weighs one animal after the other, sends each weight as a message, and errs as such
 * scales do: a message sent twice, a weight with the tub still on it, a tub that nobody knows. The same seed sends the
 * same messages.
 */
class RackScale
{
    private readonly Randomizer $chance;

    public function __construct(int $seed)
    {
        $this->chance = new Randomizer(new Mt19937($seed));
    }

    /**
     * @param  list<array{number: string|null, tub: string|null, grams: int|null}>  $animals  as the interface lists them
     * @return list<array{number?: string, tub?: string, grams: int, token: string}>
     */
    public function round(array $animals): array
    {
        $messages = [];
        foreach ($animals as $i => $animal) {
            $expected = $animal['grams'] ?? 900;
            $grams = max(1, (int) round($expected * (1 + $this->noise() * .015)));
            $message = (
                $animal['tub'] !== null && $this->chance->getInt(0, 1) === 1
                    ? ['tub' => $animal['tub']]
                    : ['number' => (string) $animal['number']]
            ) + ['grams' => $grams, 'token' => $this->token()];
            $messages[] = $message;
            match ($i % 9) {
                3 => $messages[] = $message, // the radio was slow, and the scale sent it again
                // with the water bowl, the tub and an elbow on it
                5 => $messages[] = ['grams' => 9000 + $grams, 'token' => $this->token()] + $message,
                // a label that fell off another rack
                7 => $messages[] = ['tub' => 'Attic 9·9', 'grams' => $grams, 'token' => $this->token()],
                default => null,
            };
        }

        return $messages;
    }

    /** A number around 0, mostly within 2. */
    private function noise(): float
    {
        return ($this->chance->getInt(-1000, 1000) + $this->chance->getInt(-1000, 1000)) / 1000;
    }

    private function token(): string
    {
        return vsprintf(
            '%s%s-%s-4%s-a%s-%s%s%s',
            array_map(fn (int $digits): string => substr(bin2hex($this->chance->getBytes(2)), 0, $digits), [4, 4, 4, 3, 3, 4, 4, 4]),
        );
    }
}
