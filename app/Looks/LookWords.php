<?php

declare(strict_types=1);

namespace App\Looks;

use Destino\Appearance\Difference;
use Destino\Appearance\Look;
use Destino\Appearance\LookFacts;
use Destino\Appearance\SkinMap;

/** A look in words, for people and for programs. */
class LookWords
{
    /** Differences that a sentence names. */
    private const MOST = 5;

    /** The skin map of the document. */
    private const COLUMNS = 112;

    private const ROWS = 23;

    public function __construct(private readonly LookFacts $facts) {}

    /** Against another, or a wild type of the same age, the largest first. */
    public function sentence(Look $look, ?Look $against = null): string
    {
        $says = Difference::between(
            $against ?? new Look([], [], $look->sureness, [], $look->days, 0), $look, $this->facts,
        )->words(self::MOST);

        return $says === [] ? ($against === null ? 'as a normal' : 'the same to the eye') : implode('; ', $says);
    }

    /** @return list<array{string, string, string}> */
    public function rows(Look $look): array
    {
        $rows = [];
        foreach ($look->values as $axis => $value) {
            $why = array_map(fn (array $reason): string => sprintf('%s %+.1f', $reason[0], $reason[1]), $look->reasons[$axis] ?? []);
            $rows[] = [$this->facts->axes[$axis]->name, sprintf('%+.1f', $value), $why === [] ? 'this individual' : implode(', ', $why)];
        }

        return $rows;
    }

    /**
     * As the document destino-look/1.
     *
     * @return array<string, mixed>
     */
    public function document(Look $look, string $genes, string $age, ?Look $against): array
    {
        $reasons = [];
        foreach ($look->reasons as $axis => $parts) {
            foreach ($parts as [$what, $amount]) {
                $reasons[] = [
                    'axis' => $axis, 'amount' => round($amount, 3), 'by' => [$what],
                    'text' => $what.': '.($amount > 0 ? $this->facts->axes[$axis]->more : $this->facts->axes[$axis]->less),
                ];
            }
        }

        return [
            'format' => 'destino-look/1', 'genes' => $genes, 'age' => $age, 'seed' => $look->seed + 1,
            'confidence' => $look->sureness->words(),
            'axes' => array_map(fn (float $value): float => round($value, 4), $look->values) ?: new \stdClass, 'reasons' => $reasons,
            'hidden' => $look->hidden, 'words' => $this->sentence($look), 'scales' => self::scales($look),
        ] + ($against === null ? [] : ['differences' => $this->differences($against, $look)]);
    }

    /** @return array{columns: int, rows: int, colours: list<string>, index: list<list<int>>} */
    private static function scales(Look $look): array
    {
        $colours = $index = [];
        foreach ((new SkinMap($look, self::COLUMNS, self::ROWS))->rectangle() as $row) {
            $line = [];
            foreach ($row as $colour) {
                $line[] = $colours[$colour] ??= count($colours);
            }
            $index[] = $line;
        }

        return [
            'columns' => self::COLUMNS, 'rows' => self::ROWS,
            'colours' => array_map(fn (int $colour): string => sprintf('#%06x', $colour), array_keys($colours)), 'index' => $index,
        ];
    }

    /** @return list<array{axis: string, amount: float, text: string}> */
    private function differences(Look $against, Look $look): array
    {
        $difference = Difference::between($against, $look, $this->facts);
        $words = $difference->words(count($difference->amounts));

        return array_map(
            fn (string $axis, float $amount, string $text): array => ['axis' => $axis, 'amount' => round($amount, 3), 'text' => $text],
            array_keys($difference->amounts), array_values($difference->amounts), $words,
        );
    }
}
