<?php

declare(strict_types=1);

namespace Destino\Pairing\Advice;

/** What a keeper's own rules make of the advice on a pairing: the strictest stance that applies, and why. */
final readonly class Verdict
{
    /** @param list<Advice> $because advice that the stance rests on; empty where nothing more than informing is wanted */
    private function __construct(public Stance $stance, public array $because) {}

    /**
     * @param list<Advice> $advice
     * @param array<string, Stance> $stances by condition
     */
    public static function of(array $advice, array $stances): self
    {
        $strictest = Stance::Inform;
        foreach ($advice as $item) {
            $stance = self::stanceOn($item, $stances);
            $strictest = $stance->rank() > $strictest->rank() ? $stance : $strictest;
        }

        return new self(
            $strictest,
            $strictest === Stance::Inform
                ? []
                : array_values(array_filter($advice, static fn (Advice $item): bool => self::stanceOn($item, $stances) === $strictest)),
        );
    }

    /** @param array<string, Stance> $stances */
    private static function stanceOn(Advice $item, array $stances): Stance
    {
        return $item->condition === null ? Stance::Inform : $stances[$item->condition] ?? Stance::Inform;
    }
}
