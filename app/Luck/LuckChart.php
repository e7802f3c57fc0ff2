<?php

declare(strict_types=1);

namespace App\Luck;

use App\Drawing\Scale;
use Destino\Probability\Luck;

/** The law of the hits around what is likely, laid out for drawing: the window that holds nearly all of it. */
final readonly class LuckChart
{
    private const WIDTH = 900;

    private const FLOOR = 202;

    private const HIGH = 172;

    public function __construct(private Luck $luck) {}

    /** @return list<array{hits: int, chance: float, inTail: bool}> hits and their probability */
    public function law(): array
    {
        $luck = $this->luck;
        $mean = $luck->expected()->toFloat();
        $spread = 4 * sqrt(max(0.25, $mean * (1 - $luck->chance->toFloat())));
        $from = max(0, min($luck->hits, (int) floor($mean - $spread)));
        $to = min($luck->eggs, max($luck->hits, (int) ceil($mean + $spread)));
        $law = [];
        for ($hits = $from; $hits <= $to; $hits++) {
            $inTail = $luck->isBelowExpected() ? $hits <= $luck->hits : $hits >= $luck->hits;
            $law[] = ['hits' => $hits, 'chance' => $luck->probabilityOf($hits)->toFloat(), 'inTail' => $inTail];
        }

        return $law;
    }

    /**
     * @return list<array{hits: int, inTail: bool, isHere: bool, x: float, y: float, width: float, height: float, round: float, middle: float,
     *     isLabelled: bool}>
     */
    public function bars(): array
    {
        $law = $this->law();
        $across = Scale::of(0, count($law), 0, self::WIDTH);
        $up = Scale::of(0, max(array_column($law, 'chance')), 0, self::HIGH);
        $every = max(1, intdiv(count($law), 12));

        return array_map(function (array $one, int $i) use ($across, $up, $every): array {
            $height = max(1.0, $up->at($one['chance']));
            $isHere = $one['hits'] === $this->luck->hits;

            return [
                'hits' => $one['hits'], 'inTail' => $one['inTail'], 'isHere' => $isHere, 'x' => round($across->at($i + .08), 2),
                'y' => round(self::FLOOR - $height, 2), 'width' => round($across->length(.84), 2), 'height' => round($height, 2),
                'round' => min(4, $across->length(.2)), 'middle' => round($across->at($i + .5), 2), 'isLabelled' => $isHere
                    || $i % $every === 0,
            ];
        }, $law, array_keys($law));
    }
}
