<?php

declare(strict_types=1);

namespace Destino\Identification\Reading;

use Closure;
use Destino\Appearance\Axis;
use Destino\Appearance\Colour;
use Destino\Appearance\Look;
use Destino\Appearance\Pigments;
use Destino\Appearance\Sureness;

/**
 * The amounts of a look that cues read: those of its axes, "lost" (pattern that cannot be seen, for want of contrast) and
 * "since." with an axis, the change since the first weeks.
 */
final class Amounts
{
    /** Age with which a change of colour is compared. */
    public const FIRST_WEEKS = 20;

    public const LOST = 'lost';

    public const SINCE = 'since.';

    /** Pigment of a dark and of a light area of the skin: black, yellow, red. */
    private const DARK = [2.397, .05, .03];

    private const LIGHT = [.2, .45, .22];

    /** Difference of colour from which pattern is seen well, and below which it is not seen. */
    private const CLEAR = 16.0;

    private const NONE = 4.0;

    private ?float $lost = null;

    private ?Look $young = null;

    /**
     * @param array<string, Axis> $axes
     * @param Closure(): Look|null $before the same animal in its first weeks
     * @param array<string, float> $added by axis
     */
    public function __construct(
        private readonly array $axes, private readonly Look $look, private readonly ?Closure $before = null,
        private readonly array $added = [],
    ) {}

    /** @param array<string, float> $amounts by axis */
    public function plus(array $amounts): self
    {
        return $amounts === [] ? $this : new self($this->axes, $this->look, $this->before, $amounts);
    }

    public function at(string $axis): float
    {
        if ($axis === self::LOST) {
            return $this->lost ??= self::lostIn($this->look);
        }
        if (str_starts_with($axis, self::SINCE)) {
            $axis = substr($axis, strlen(self::SINCE));

            return $this->before === null ? 0.0 : $this->look->at($axis) - ($this->young ??= ($this->before)())->at($axis);
        }

        return $this->look->at($axis) + ($this->added[$axis] ?? 0.0);
    }

    /** Standard deviation of an amount among animals of this genotype. */
    public function spread(string $axis): float
    {
        $known = $this->axes[$axis] ?? null;

        return $known === null || ($known->comesAlone() && $this->at($axis) <= 0.0) ? 0.0 : $known->spread;
    }

    /** Standard deviation of what is not known of the look. */
    public function unsure(): float
    {
        return match ($this->look->sureness) {
            Sureness::Known => 0.0,
            Sureness::Inferred => .2,
            Sureness::Unknown => .4,
        };
    }

    /** 0 where dark and light areas are well apart, 1 where nothing of the pattern is seen. */
    public static function lostIn(Look $look): float
    {
        $pigments = new Pigments($look);
        $apart = Colour::apart(
            $pigments->colour(...self::DARK, isDark: true), $pigments->colour(...self::LIGHT, isDark: false),
        );

        return max(0.0, min(1.0, (self::CLEAR - $apart) / (self::CLEAR - self::NONE)));
    }
}
