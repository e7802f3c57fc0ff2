<?php

declare(strict_types=1);

namespace Destino\Appearance;

/**
 * What sets one look apart from another, in a keeper's words, in the order in which it is seen: by how much of the skin each amount
 * changes.
 */
final readonly class Difference
{
    /** A difference below this is not seen. */
    public const SEEN = .3;

    /** @param array<string, float> $amounts by axis: the second less the first, what is seen first before the rest */
    private function __construct(public array $amounts, private LookFacts $facts) {}

    public static function between(Look $one, Look $other, LookFacts $facts): self
    {
        $amounts = self::amountsBetween($one, $other, $facts);
        $seen = [];
        foreach ($amounts as $axis => $amount) {
            $seen[$axis] = SkinShare::of($facts->axes[$axis], $amount);
        }
        uksort($amounts, static fn (string $a, string $b): int => $seen[$b] <=> $seen[$a]);

        return new self($amounts, $facts);
    }

    /** @return array<string, float> by axis, in no order: the second less the first, those that can be seen */
    public static function amountsBetween(Look $one, Look $other, LookFacts $facts): array
    {
        $amounts = [];
        foreach (array_keys($facts->axes) as $axis) {
            $amount = $other->at($axis) - $one->at($axis);
            if (abs($amount) >= self::SEEN && ! self::isLost($axis, $one, $other)) {
                $amounts[$axis] = $amount;
            }
        }

        return $amounts;
    }

    /** Whether it cannot be seen on either: pigment on white skin, pattern where nothing is dark. */
    private static function isLost(string $axis, Look $one, Look $other): bool
    {
        $isBlank = static fn (Look $look): bool => $look->at('fade') > 2.3;

        return $isBlank($one) && $isBlank($other)
            && ! in_array($axis, ['fade', 'yellowpatch', 'backlight', 'redeye', 'blueeye', 'head_blush', 'crowngrey'], true);
    }

    /** @return list<string> */
    public function words(int $most = 6): array
    {
        $words = [];
        foreach (array_slice($this->amounts, 0, $most, true) as $axis => $amount) {
            $axis = $this->facts->axes[$axis];
            $how = abs($amount) >= 1.5 ? 'much ' : (abs($amount) < .6 ? 'slightly ' : '');
            $what = $amount > 0 ? $axis->more : $axis->less;
            $words[] = preg_match(
                '/^(a |an |more|less|fewer|darker|lighter|paler|whiter|cleaner|duskier|smaller|larger|rounded|smoother|jagged)/', $what,
                $found,
            ) === 1
                && in_array(
                    $found[1],
                    ['more', 'less', 'darker', 'lighter', 'paler', 'whiter', 'cleaner', 'duskier', 'smaller', 'larger', 'smoother'], true,
                )
                ? $how.$what
                : $what;
        }

        return $words;
    }

    /** How far apart two looks are, all axes together. */
    public static function size(Look $one, Look $other, LookFacts $facts): float
    {
        return sqrt(array_sum(array_map(static fn (float $amount): float => $amount ** 2, self::amountsBetween($one, $other, $facts))));
    }
}
