<?php

declare(strict_types=1);

namespace Destino\Identification\Reading;

/**
 * Between what the chances of the states of a cue lie, so that no state says more than its grade of evidence: the least is what the
 * wild type shows or a slip of the eye, the most so many times the least. Rare marks that are only claimed stay rare.
 */
final readonly class Windows
{
    private const TOP = .99;

    /** Steps in the search for the factor that makes the chances add up to 1, and how near they come to it. */
    private const STEPS = 200;

    private const WITHIN = 1e-12;

    /** @var list<float> */
    public array $least;

    /** @var list<float> */
    public array $most;

    /**
     * @param list<Grade> $grades of the states
     * @param list<float> $inWild chances of the states in the wild type
     */
    public function __construct(array $grades, array $inWild)
    {
        $least = $most = [];
        foreach ($grades as $state => $grade) {
            $least[$state] = min(max($inWild[$state], $grade->slip()), self::TOP / $grade->most());
            $most[$state] = min(self::TOP, $grade->most() * $least[$state]);
        }
        [$this->least, $this->most] = [array_values($least), array_values($most)];
    }

    /**
     * The chances within their windows, as they are to each other wherever a window does not hold them: clip(μ·P) with the one μ that
     * makes them add up to 1, found by Newton's method within bounds that close in on it.
     *
     * @param list<float> $chances
     * @return list<float> that add up to 1
     */
    public function held(array $chances): array
    {
        [$low, $high, $factor] = [0.0, INF, 1.0];
        for ($i = 0; $i < self::STEPS; $i++) {
            $sum = $free = 0.0;
            $held = [];
            foreach ($chances as $state => $chance) {
                $own = $factor * $chance;
                if ($own < $this->least[$state]) {
                    $own = $this->least[$state];
                } elseif ($own > $this->most[$state]) {
                    $own = $this->most[$state];
                } else {
                    $free += $chance;
                }
                $sum += $held[] = $own;
            }
            if (abs($sum - 1) < self::WITHIN) {
                return $i === 0 ? $chances : $held;
            }
            $sum < 1 ? $low = $factor : $high = $factor;
            $next = $free > 0.0 ? $factor + (1 - $sum) / $free : INF;
            $factor = match (true) {
                $next > $low && $next < $high => $next,
                $high === INF => $factor * 4,
                default => ($low + $high) / 2,
            };
        }

        return $held ?? $chances;
    }
}
