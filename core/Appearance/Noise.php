<?php

declare(strict_types=1);

namespace Destino\Appearance;

/** Reproducible chance for a drawing: the same seed, the same numbers, whatever is asked before. */
final class Noise
{
    private const SIZE = 1024;

    /** @var list<float> */
    private array $table = [];

    /** @var array<int, self> the last ones, since all drawings of a page are of the same individual */
    private static array $known = [];

    public static function of(int $seed): self
    {
        if (count(self::$known) > 64) {
            self::$known = [];
        }

        return self::$known[$seed] ??= new self($seed);
    }

    public function __construct(int $seed)
    {
        $state = ($seed * 2654435761 + 12345) & 0x7FFFFFFF;
        for ($i = 0; $i < self::SIZE; $i++) {
            $state = ($state * 1103515245 + 12345) & 0x7FFFFFFF;
            $this->table[] = (($state >> 8) & 0x3FFFFF) / 0x3FFFFF;
        }
    }

    /** A number from 0 to 1 for a place of a lattice. */
    public function at(int $x, int $y = 0): float
    {
        return $this->table[($x * 73 + $y * 179 + ($x * $y & 31)) & 1023];
    }

    /** Standard normal, by the sum of twelve. */
    public function gauss(int $i): float
    {
        $sum = -6.0;
        for ($k = 0; $k < 12; $k++) {
            $sum += $this->table[($i * 97 + $k * 61) & 1023];
        }

        return $sum;
    }

    /** Smooth noise from -1 to 1. */
    public function smooth(float $x, float $y): float
    {
        $i = (int) floor($x);
        $j = (int) floor($y);
        $u = $x - $i;
        $v = $y - $j;
        $u *= $u * (3 - 2 * $u);
        $v *= $v * (3 - 2 * $v);
        $t = $this->table;
        $a = $t[($i * 73 + $j * 179) & 1023];
        $b = $t[(($i + 1) * 73 + $j * 179) & 1023];
        $c = $t[($i * 73 + ($j + 1) * 179) & 1023];
        $d = $t[(($i + 1) * 73 + ($j + 1) * 179) & 1023];

        return 2 * ($a + $u * ($b - $a) + $v * ($c - $a + $u * ($a - $b - $c + $d))) - 1;
    }
}
