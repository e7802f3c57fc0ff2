<?php

declare(strict_types=1);

namespace App\Pairing;

use App\Drawing\TextFit;
use App\Drawing\Tile;
use App\Drawing\Treemap;
use Destino\Pairing\OutcomeSpace;

/** All outcomes of a pairing as one area of a given size, cut by share: the likeliest each by itself, the rest as one. */
final readonly class Tray
{
    /** @var list<TrayPiece> the likeliest first */
    public array $pieces;

    public ?Tile $rest;

    /** @var list<string> what is said of the rest, as far as it fits */
    public array $restLines;

    /**
     * @param list<OutcomeRow> $rows the likeliest first
     * @param string $unit of what the shares are: egg or hatchling
     */
    public function __construct(array $rows, OutcomeSpace $space, public string $unit, public int $width, public int $height,
        int $most = 24)
    {
        $rows = array_slice($rows, 0, $most);
        $shares = array_map(fn (OutcomeRow $row): float => $row->outcome->probability->toFloat(), $rows);
        $rest = max(0.0, 1 - array_sum($shares));
        $more = $space->total()->minus(count($rows));
        $tiles = $more->isPositive() ? Treemap::cutWithRest($shares, $rest, $width, $height) : Treemap::cut($shares, $width, $height);
        $this->rest = $more->isPositive() ? new Tile(array_pop($tiles)) : null;
        $this->pieces = array_map(fn (OutcomeRow $row, array $tile): TrayPiece => new TrayPiece($row, new Tile($tile)), $rows, $tiles);
        $this->restLines = self::linesOf($this->rest, number_format((float) (string) $more).' more, '.round(100 * $rest).' %');
    }

    /** @return list<string> the fullest text that fits as a whole; none where none does */
    private static function linesOf(?Tile $rest, string $told): array
    {
        foreach ($rest === null ? [] : ["all the rest: {$told}", $told, 'rest'] as $text) {
            $lines = TextFit::lines($text, $rest->width - 20, 13, (int) floor(($rest->height - 12) / 17));
            if ($lines !== [] && ! str_contains(implode($lines), '…')) {
                return $lines;
            }
        }

        return [];
    }
}
