<?php

declare(strict_types=1);

namespace Destino\Probability;

/**
 * The odds between bad luck and its named alternatives, after k hits in n eggs: the chance is right; a parent does not
 * carry it, so that no egg can be a hit; the target is there but half of it is overlooked, hidden by another gene.
 */
final readonly class LuckAlternatives
{
    public const RIGHT = 'right';

    public const NOT_CARRIED = 'not-carried';

    public const HIDDEN = 'hidden';

    /**
     * @param Rational $notCarried P(a parent does not carry it) before the eggs
     * @param Rational $hidden P(hits are overlooked) before the eggs
     *
     * @throws InvalidNumber when the two leave nothing for the chance being right
     */
    public function __construct(private Rational $chance, private Rational $notCarried, private Rational $hidden)
    {
        if ($notCarried->isNegative() || $hidden->isNegative() || $notCarried->plus($hidden)->compareTo(Rational::one()) >= 0) {
            throw InvalidNumber::unreadable("{$notCarried->toString()} and {$hidden->toString()}");
        }
    }

    /**
     * P(each | k hits in n eggs).
     *
     * @param int<0, max> $eggs
     * @param int<0, max> $hits
     * @return array<string, Rational>
     *
     * @throws InvalidNumber as Luck does
     */
    public function after(int $eggs, int $hits): array
    {
        $weights = [
            self::RIGHT => $this->notCarried->plus($this->hidden)
                ->complement()
                ->times((new Luck($this->chance, $eggs, $hits))->probabilityOf($hits)),
            self::NOT_CARRIED => $hits === 0 ? $this->notCarried : Rational::zero(),
            self::HIDDEN => $this->hidden->times((new Luck($this->chance->dividedBy(Rational::of(2)), $eggs, $hits))->probabilityOf($hits)),
        ];
        $sum = $weights[self::RIGHT]->plus($weights[self::NOT_CARRIED])->plus($weights[self::HIDDEN]);

        return $sum->isZero()
            ? array_map(static fn (): Rational => Rational::zero(), $weights)
            : array_map(static fn (Rational $weight): Rational => $weight->dividedBy($sum), $weights);
    }
}
