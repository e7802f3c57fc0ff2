<?php

declare(strict_types=1);

namespace Destino\Appearance\Skin;

/**
 * Where a place of the skin lies in the picture. A place is (x, v): x along the body in blotches from the neck, v around it from
 * −1 (belly edge) over 0 (middle of the back) to 1. On the head it is (a, v), a from 0 (snout) to 1 (nape). The body is round, and
 * seen from above and somewhat from the front: v stands at the angle 1.95·v, and the run of the body turns it.
 */
final readonly class Body
{
    private const AROUND = 1.95;

    private Course $course;

    /**
     * @param int $blotches along the body
     * @param float $girth half its width where it is widest, in the box
     * @param float $head length of the head
     * @param bool $isFlat the skin laid flat, in the place of a round body that lies
     */
    public function __construct(public int $blotches, public float $girth, public float $head, private bool $isFlat = false)
    {
        $this->course = $isFlat ? Course::straight() : Course::lying();
    }

    /** @return array{float, float, bool} x and y in the box, and whether it can be seen */
    public function at(float $x, float $v): array
    {
        $u = $x / $this->blotches;

        return $this->place($this->head + $u * ($this->course->length - $this->head), self::width($u), $v);
    }

    /** @return array{float, float, bool} a place of the head */
    public function headAt(float $a, float $v): array
    {
        return $this->place($a * $this->head, self::headWidth($a), $v);
    }

    /** @return array{float, float, bool} */
    private function place(float $length, float $width, float $v): array
    {
        [$x, $y, $nx, $ny, $turn] = $this->course->at($length);
        if ($this->isFlat) {
            return [$x, $y + max(-1.0, min(1.0, $v)) * $this->girth * $width, true];
        }
        $angle = self::AROUND * $v - $turn;
        $isSeen = abs($angle) <= M_PI_2;
        $offset = $this->girth * $width * ($isSeen ? sin($angle) : ($angle < 0 ? -1.0 : 1.0));

        return [$x + $nx * $offset, $y + $ny * $offset, $isSeen];
    }

    /** Half width by share of the body, from the neck to the tip of the tail, of its widest. */
    public static function width(float $u): float
    {
        $u = max(0.0, min(1.0, $u));
        if ($u < .27) {
            return .47 + .53 * (1 - cos(M_PI * $u / .27)) / 2;
        }

        return $u < .6 ? 1.0 : .06 + .94 * max(0.0, cos(M_PI_2 * ($u - .6) / .4)) ** .85;
    }

    /** Half width by share of the head, from the snout to the nape. */
    public static function headWidth(float $a): float
    {
        $a = max(0.0, $a);
        if ($a < .12) {
            return .04 + .29 * max(0.0, 1 - (1 - $a / .12) ** 2) ** .55;
        }
        if ($a < .62) {
            return .33 + .33 * (1 - cos(M_PI * ($a - .12) / .5)) / 2;
        }

        return .66 - .19 * (1 - cos(M_PI * min(1.0, ($a - .62) / .38))) / 2;
    }

    /** @return list<array{float, float}> the outline, from the snout along one side to the tail and back */
    public function outline(int $steps = 90): array
    {
        $left = $right = [];
        for ($i = 0; $i <= 14; $i++) {
            $left[] = $this->edge($i / 14 * $this->head, self::headWidth($i / 14), 1);
            $right[] = $this->edge($i / 14 * $this->head, self::headWidth($i / 14), -1);
        }
        for ($i = 1; $i <= $steps; $i++) {
            $u = $i / $steps;
            $length = $this->head + $u * ($this->course->length - $this->head);
            $left[] = $this->edge($length, self::width($u), 1);
            $right[] = $this->edge($length, self::width($u), -1);
        }

        return [...$left, ...array_reverse($right)];
    }

    /** @return array{float, float} */
    private function edge(float $length, float $width, int $side): array
    {
        [$x, $y, $nx, $ny] = $this->course->at($length);

        return [$x + $side * $nx * $this->girth * $width, $y + $side * $ny * $this->girth * $width];
    }

    /** @return list<array{float, float}> the middle line as it lies in the picture, for the light on it */
    public function middle(int $steps = 60): array
    {
        $line = [];
        for ($i = 0; $i <= $steps; $i++) {
            [$x, $y] = $this->course->at($this->course->length * $i / $steps);
            $line[] = [$x, $y];
        }

        return $line;
    }

    /**
     * A band about the back, from the neck to the tail.
     *
     * @return list<array{float, float}>
     */
    public function band(float $v, int $steps = 80): array
    {
        $left = $right = [];
        for ($i = 0; $i <= $steps; $i++) {
            $x = -.4 + ($this->blotches + .4) * $i / $steps;
            [$lx, $ly] = $this->at($x, $v);
            [$rx, $ry] = $this->at($x, -$v);
            $left[] = [$lx, $ly];
            $right[] = [$rx, $ry];
        }

        return [...$left, ...array_reverse($right)];
    }
}
