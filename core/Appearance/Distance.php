<?php

declare(strict_types=1);

namespace Destino\Appearance;

/**
 * How far apart two drawings are to the eye: the mean distance of the colours of the same scales, in CIE L*a*b*, of the
 * typical animals. Genes that keepers cannot tell apart lie below SEEN; the trainer asks only what lies twice as far apart.
 */
final readonly class Distance
{
    /** A mean over all scales: a few that differ much count as much as many that differ a little. */
    public const SEEN = 3.5;

    private const COLUMNS = 64;

    private const ROWS = 7;

    /** @var array<string, int> */
    private array $colours;

    /** The colours of a look, worked out once however many others it is compared with. */
    public function __construct(Look $look)
    {
        $this->colours = self::colours($look);
    }

    public static function between(Look $one, Look $other): float
    {
        return (new self($one))->to($other);
    }

    public function to(Look $other): float
    {
        return $this->toThat(new self($other));
    }

    public function toThat(self $other): float
    {
        $sum = 0.0;
        foreach ($this->colours as $place => $colour) {
            $sum += $colour === $other->colours[$place] ? 0.0 : Colour::apart($colour, $other->colours[$place]);
        }

        return $sum / count($this->colours);
    }

    /** @return array<string, int> colour by scale, those of the head among them */
    private static function colours(Look $look): array
    {
        $colours = [];
        foreach ((new SkinMap($look, self::COLUMNS, self::ROWS))->scales() as $colour => $scales) {
            foreach ($scales as [$column, $row]) {
                $colours["{$column} {$row}"] = $colour;
            }
        }
        $parts = ['head' => 6, 'stamp' => 10, 'band' => 4, 'cheek' => 4, 'snout' => 4, 'neck' => 6, 'crown' => 4, 'eye' => 3];
        $colours += array_fill_keys(array_map(static fn (string $part, int $i): string => "{$part} {$i}", array_keys($parts), $parts), 0);
        foreach ((new Head($look))->parts() as $part) {
            $weight = $parts[$part['part']] ?? 0;
            if ($weight > 0) {
                $colours["{$part['part']} {$weight}"] = $part['colour'];
            }
        }

        return $colours;
    }
}
