<?php

declare(strict_types=1);

namespace App\Pairing;

use App\Drawing\TextFit;
use App\Drawing\Tile;
use App\Drawing\Treemap;
use Destino\Pairing\OutcomeSpace;

/**
 * All outcomes of a pairing as one area of a given size, cut by share: what meets the target in a field of its own, then the rest; in each
 * the likeliest by themselves and the others as one.
 */
final readonly class Tray
{
    /** @var list<TrayPiece> hits first, then the likeliest */
    public array $pieces;

    /** @var list<array{tile: Tile, lines: list<string>, isHit: bool}> outcomes that have no piece, and what is said of them where it fits */
    public array $rests;

    /**
     * @param list<OutcomeRow> $rows the likeliest first
     * @param string $unit of what the shares are: egg or hatchling
     */
    public function __construct(array $rows, OutcomeSpace $space, public string $unit, public int $width, public int $height,
        int $most = 24)
    {
        $hits = array_values(array_filter($rows, fn (OutcomeRow $row): bool => $row->isHit()));
        $others = array_values(array_filter($rows, fn (OutcomeRow $row): bool => ! $row->isHit()));
        $of = self::sum($hits);
        $unlisted = (float) (string) $space->total()->minus(count($rows));
        if ($hits === [] || ($others === [] && $unlisted < 1)) {
            $all = $hits === [] ? $others : $hits;
            [$this->pieces, $this->rests] = self::field($all, 1.0, $unlisted, 0, 0, $width, $height, $most, $hits !== []);

            return;
        }
        $isWide = $width >= $height;
        $cut = $of * ($isWide ? $width : $height);
        [$first, $left] = self::field(
            $hits, $of, 0, 0, 0, $isWide ? $cut : $width, $isWide ? $height : $cut, intdiv($most, 2), true,
        );
        [$second, $right] = self::field(
            $others, 1 - $of, $unlisted, $isWide ? $cut : 0, $isWide ? 0 : $cut, $isWide ? $width - $cut : $width,
            $isWide ? $height : $height - $cut, $most - count($first), false,
        );
        [$this->pieces, $this->rests] = [[...$first, ...$second], [...$left, ...$right]];
    }

    /**
     * @param list<OutcomeRow> $rows
     * @param float $share of the whole that is cut here
     * @param float $unlisted how many outcomes are in it that no row is of
     * @return array{list<TrayPiece>, list<array{tile: Tile, lines: list<string>, isHit: bool}>}
     */
    private static function field(
        array $rows, float $share, float $unlisted, float $x, float $y, float $width, float $height, int $most, bool $isHit,
    ): array {
        $shown = array_slice($rows, 0, $most);
        $shares = array_map(fn (OutcomeRow $row): float => $row->outcome->probability->toFloat(), $shown);
        $rest = max(0.0, $share - array_sum($shares));
        $more = $unlisted + count($rows) - count($shown);
        $tiles = $more > 0 ? Treemap::cutWithRest($shares, $rest, $width, $height) : Treemap::cut($shares, $width, $height);
        $tiles = array_map(
            fn (array $tile): Tile => new Tile(['x' => $tile['x'] + $x, 'y' => $tile['y'] + $y] + $tile), $tiles,
        );
        $own = $more > 0 ? array_pop($tiles) : null;
        $percent = round(100 * $rest).' %';
        $said = $isHit
            ? [number_format($more)." more hits, {$percent}", 'hits']
            : ['all the rest: '.number_format($more)." more, {$percent}", number_format($more)." more, {$percent}", 'rest'];

        return [
            array_map(fn (OutcomeRow $row, Tile $tile): TrayPiece => new TrayPiece($row, $tile), $shown, $tiles),
            $own === null ? [] : [['tile' => $own, 'lines' => self::linesOf($own, $said), 'isHit' => $isHit]],
        ];
    }

    /** @param list<OutcomeRow> $rows */
    private static function sum(array $rows): float
    {
        return array_sum(array_map(fn (OutcomeRow $row): float => $row->outcome->probability->toFloat(), $rows));
    }

    /**
     * @param list<string> $texts the fullest first
     * @return list<string> lines of the fullest that fits as a whole; none where none does
     */
    private static function linesOf(Tile $rest, array $texts): array
    {
        foreach ($texts as $text) {
            $lines = TextFit::lines($text, $rest->width - 20, 13, (int) floor(($rest->height - 12) / 17));
            if ($lines !== [] && ! str_contains(implode($lines), '…')) {
                return $lines;
            }
        }

        return [];
    }
}
