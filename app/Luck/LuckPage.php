<?php

declare(strict_types=1);

namespace App\Luck;

use Destino\DestinoError;
use Destino\Probability\InvalidNumber;
use Destino\Probability\Luck;
use Destino\Probability\LuckAlternatives;
use Destino\Probability\Probability;
use Destino\Probability\Rational;

/** The luck station: what was typed, what is wrong with it, and the answer. */
class LuckPage
{
    /** Above this the page, unlike the command, would take too long. */
    public const MOST_EGGS = 1000;

    /** What is assumed before any egg, where nothing else is typed. */
    private const PRIORS = ['not_carried' => '5%', 'hidden' => '5%'];

    /**
     * @param  array<string, string>  $typed
     * @param  array<string, string>  $errors  message by field
     */
    private function __construct(public readonly array $typed, public readonly array $errors, public readonly ?Luck $luck) {}

    /** @param  array<array-key, mixed>  $query */
    public static function of(array $query): self
    {
        $typed = [];
        foreach (['chance', 'eggs', 'hits', 'not_carried', 'hidden'] as $field) {
            $typed[$field] = is_string($query[$field] ?? null) ? $query[$field] : '';
        }
        if (trim($typed['chance'].$typed['eggs'].$typed['hits']) === '') {
            return new self($typed, [], null);
        }
        foreach (self::PRIORS as $field => $default) {
            $typed[$field] = trim($typed[$field]) === '' ? $default : $typed[$field];
        }
        $errors = self::wrong($typed);
        if ($errors !== []) {
            return new self($typed, $errors, null);
        }
        try {
            $luck = new Luck(Probability::typed($typed['chance']), max(0, (int) $typed['eggs']), max(0, (int) $typed['hits']));

            return new self($typed, [], $luck);
        } catch (DestinoError $error) {
            return new self($typed, ['hits' => $error->getMessage()], null);
        }
    }

    /**
     * @param array<string, string> $typed
     * @return array<string, string> message by field
     */
    private static function wrong(array $typed): array
    {
        $errors = [];
        foreach (['chance', ...array_keys(self::PRIORS)] as $field) {
            try {
                Probability::typed($typed[$field]);
            } catch (InvalidNumber $error) {
                $errors[$field] = trim($typed[$field]) === '' ? 'Give the chance per egg, for example 1/6.' : $error->getMessage();
            }
        }
        foreach (['eggs' => 1, 'hits' => 0] as $field => $least) {
            $within = ['options' => ['min_range' => $least, 'max_range' => self::MOST_EGGS]];
            if (filter_var($typed[$field], FILTER_VALIDATE_INT, $within) === false) {
                $errors[$field] = "Enter a number of {$field} from {$least} to ".self::MOST_EGGS.'.';
            }
        }
        $hasBoth = ! isset($errors['not_carried']) && ! isset($errors['hidden']);
        if ($hasBoth && Probability::typed($typed['not_carried'])->plus(Probability::typed($typed['hidden']))->compareTo(Rational::one()) >= 0) {
            $errors['not_carried'] = 'The two together leave nothing for plain luck: give smaller ones.';
        }

        return $errors;
    }

    public function sentence(): string
    {
        return $this->luck === null ? '' : LuckWords::sentence($this->luck);
    }

    /** @return list<array{name: string, share: float, text: string}> bad luck and its alternatives, with their odds now */
    public function alternatives(): array
    {
        if ($this->luck === null || $this->luck->chance->isZero() || $this->luck->chance->isOne() || $this->isGood()) {
            return []; // nobody doubts a parent for too many hits
        }
        $after = $this->weighing()->after($this->luck->eggs, $this->luck->hits);

        return [
            [
                'name' => 'The chance is right; this is luck', 'share' => $after[LuckAlternatives::RIGHT]->toFloat(),
                'text' => 'More eggs bring the hits.',
            ],
            [
                'name' => 'A parent does not carry it', 'share' => $after[LuckAlternatives::NOT_CARRIED]->toFloat(),
                'text' => 'A test cross to a visual tells in few eggs; one hit settles that both carry it.',
            ],
            [
                'name' => 'Hits are there and overlooked', 'share' => $after[LuckAlternatives::HIDDEN]->toFloat(),
                'text' => 'Half of them taken as hidden by another gene: look at the young beside each other after the first shed, and '
                    .'ask a keeper who knows the look.',
            ],
        ];
    }

    /**
     * The curve of staying calm: P(no hit at all so far) by eggs, and the odds that a parent does not carry it if none came.
     *
     * @return array{points: string, doubt: string, calm: int|null, most: int}|null
     */
    public function calm(): ?array
    {
        if ($this->luck === null || $this->luck->chance->isZero() || $this->luck->chance->isOne() || $this->isGood()) {
            return null;
        }
        $p = $this->luck->chance->toFloat();
        $calm = (int) ceil(log(.05) / log(1 - $p));
        $most = max(10, min(self::MOST_EGGS, (int) ceil(1.8 * $calm)));
        $points = $doubt = [];
        foreach (range(0, $most, max(1, intdiv($most, 60))) as $eggs) {
            $x = 40 + round($eggs * 820 / $most, 1);
            $points[] = $x.','.round(14 + 150 * (1 - (1 - $p) ** $eggs), 1);
            $doubt[] = $x.','.round(14 + 150 * (1 - $this->weighing()->after($eggs, 0)[LuckAlternatives::NOT_CARRIED]->toFloat()), 1);
        }

        return [
            'points' => implode(' ', $points), 'doubt' => implode(' ', $doubt), 'calm' => $calm <= $most ? $calm : null,
            'most' => $most,
        ];
    }

    /** Whether there were more hits than was to be expected. */
    public function isGood(): bool
    {
        return $this->luck !== null && ! $this->luck->isBelowExpected() && ! $this->luck->isAsExpected();
    }

    private function weighing(): LuckAlternatives
    {
        return new LuckAlternatives(
            $this->luck->chance ?? Rational::of(1, 2), Probability::typed($this->typed['not_carried']),
            Probability::typed($this->typed['hidden']),
        );
    }

    /** How long bad luck stays plausible, in words. */
    public function verdict(): string
    {
        return $this->luck === null ? '' : LuckWords::verdict($this->luck);
    }
}
