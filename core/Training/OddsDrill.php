<?php

declare(strict_types=1);

namespace Destino\Training;

use Destino\Appearance\Noise;
use Destino\Probability\Rational;

/** Sums that a keeper should have in his head; each is worked out, not looked up. */
final readonly class OddsDrill
{
    /** @var list<array{string, string, string}> text with a place for numbers, rule, why */
    private const KINDS = [
        [
            'Both parents are het for %d recessive genes. What is the chance that an egg shows all of them?', 'hets',
            'A het passes the gene with 1/2; both must, for each gene: (1/4) multiplied %d times.',
        ],
        [
            'A visual of %d recessive genes with an animal het for all of them: what is the chance that an egg shows all of them?',
            'visual', 'The visual always passes it, the het with 1/2: (1/2) multiplied %d times.',
        ],
        ['A normal-looking young of two hets: how likely is it to be het?', 'possible', 'Of the three that look normal two are het.'],
        [
            'A normal-looking young of a het and a normal: how likely is it to be het?', 'half',
            'Half of them are, and nothing seen tells which.',
        ],
        [
            'A %d-gene animal of one copy each with a normal: what is the chance that an egg has all of them?', 'singles',
            'Each gene goes on with 1/2: (1/2) multiplied %d times.',
        ],
        [
            'Two different alleles of one locus, as in a compound: how likely is an egg to get neither of them from that parent?',
            'compound', 'A compound has no normal copy: one of the two always goes on.',
        ],
    ];

    /** @param list<string> $options fractions, the right one among them */
    private function __construct(public string $asks, public array $options, public int $answer, public string $why) {}

    public static function of(int $number, int $seed): self
    {
        $noise = Noise::of($seed + 101 * $number);
        [$text, $rule, $why] = self::KINDS[$number % count(self::KINDS)];
        $genes = 2 + (int) floor(2.99 * $noise->at(3, $number));
        $right = match ($rule) {
            'hets' => Rational::of(1, 4 ** $genes),
            'visual', 'singles' => Rational::of(1, 2 ** $genes),
            'possible' => Rational::of(2, 3),
            'half' => Rational::of(1, 2),
            default => Rational::zero(),
        };
        $wrong = match ($rule) {
            'hets' => [Rational::of(1, 2 ** $genes), Rational::of(2, 4 ** $genes), Rational::of(1, 2 * 4 ** $genes)],
            'visual', 'singles' => [Rational::of(1, 4 ** $genes), Rational::of(1, 2 * $genes + 1), Rational::of(1, 2)],
            'possible' => [Rational::of(1, 2), Rational::of(1, 4), Rational::of(3, 4)],
            'half' => [Rational::of(2, 3), Rational::of(1, 4), Rational::of(1, 3)],
            default => [Rational::of(1, 2), Rational::of(1, 4), Rational::of(1, 3)],
        };
        $place = (int) floor(3.99 * $noise->at(5, $number));
        $options = array_map(static fn (Rational $one): string => $one->toString(), $wrong);
        array_splice($options, $place, 0, [$right->toString()]);

        return new self(sprintf($text, $genes), $options, $place, sprintf($why, $genes));
    }

    /** How many kinds there are. */
    public static function count(): int
    {
        return count(self::KINDS);
    }
}
