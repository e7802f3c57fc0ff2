<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Closure;

/**
 * A family at loci that say something of each other only through which male is the sire of a clutch, and through what one eye saw of an
 * animal at several. Each part is worked out by itself, and they send each other messages until nothing changes (the sum-product
 * algorithm, Kschischang, Frey and Loeliger 2001). Where no way leads around in a circle the answer is exact.
 */
final class BetweenLoci
{
    /** Below which probabilities are off in 95 of 100 families whose messages go around in circles (bench/loci.php). */
    public const ERROR = .08;

    /** Messages that change less have settled; after so many rounds they are taken as they are. */
    private const SETTLED = 1e-9;

    private const ROUNDS = 40;

    /** Rounds after which half of a message stays as it was, since some swing. */
    private const SWINGING = 10;

    /** @var array<int, Part> */
    private array $parts = [];

    /** @var list<Crossing> */
    private array $crossings = [];

    /** @var array<string, array<int, list<float>>> what each says of a variable: parts by their number, crossings by theirs below 0 */
    private array $says = [];

    /** @var array<string, int> values by variable */
    private array $sizes = [];

    /** @param Closure(FamilyModel): Solved $drawing what to do with a part that is too wide */
    public function __construct(private readonly FamilyModel $whole, int $widest, Closure $drawing)
    {
        $this->cross();
        foreach ($whole->sires as $batch => $places) {
            if (count($places) > 1) {
                $this->sizes["sire {$batch}"] = count($places);
            }
        }
        foreach ($whole->parts as $p => $model) {
            $model->hasSirePriors = $p === 0;
            $model->messages = [];
            foreach ($this->sizes as $name => $size) {
                $own = self::nameIn($model, $name);
                if ($own !== null) {
                    $model->messages[$own] = array_fill(0, $size, 1.0);
                }
            }
            $this->parts[$p] = new Part($model, $widest, $drawing);
        }
    }

    private function cross(): void
    {
        $partOf = [];
        foreach ($this->whole->parts as $p => $model) {
            $partOf += array_fill_keys($model->places, $p);
        }
        foreach ($this->whole->seen as $id => $all) {
            $member = $this->whole->hypothesis->family->members[$id];
            foreach (Crossing::of($this->whole, $member, $all, $partOf) as $crossing) {
                $this->crossings[] = $crossing;
                $this->sizes += $crossing->sizes();
            }
        }
    }

    /** What a variable of the whole is called in a part; null where it is none of its own. */
    private static function nameIn(FamilyModel $part, string $name): ?string
    {
        [$first, $rest] = explode(' ', $name, 2);
        $place = $first === 'sire' ? null : array_search((int) $first, $part->places, true);

        return match (true) {
            $first === 'sire' => $name,
            $place === false => null,
            default => "{$place} {$rest}",
        };
    }

    /**
     * Sends messages until nothing changes, and leaves what others say in the parts of the model.
     *
     * @return bool whether the evidence can be
     */
    public function run(): bool
    {
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $isSettled = true;
            foreach ($this->parts as $p => $part) {
                $incoming = $this->incoming($p);
                if ($round > 0 && self::areClose($incoming, $part->model->messages)) {
                    continue;
                }
                $isSettled = false;
                $part->model->messages = $incoming;
                if (! $this->solve($p, $round)) {
                    return false;
                }
            }
            if ($isSettled) {
                break;
            }
        }

        return true;
    }

    /** One part with what others say of it, and what it says of them then. */
    private function solve(int $p, int $round): bool
    {
        $part = $this->parts[$p];
        $messages = $names = [];
        foreach (array_keys($this->sizes) as $name) {
            $own = self::nameIn($part->model, $name);
            $variable = $own === null ? null : $part->variable($own);
            if ($variable !== null) {
                [$messages[$variable], $names[$variable]] = [$part->model->messages[$own], $name];
            }
        }
        $found = $part->solve($messages);
        foreach ($found ?? [] as $variable => $chances) {
            $says = [];
            foreach ($chances as $value => $chance) {
                $said = $messages[$variable][$value];
                $says[] = $said > 0.0 ? $chance / $said : 0.0;
            }
            $this->note($names[$variable], $p, $says, $round);
        }
        foreach ($found === null ? [] : $this->crossings as $c => $crossing) {
            foreach ($crossing->variables as $axis => $name) {
                $this->note($name, -1 - $c, $crossing->about($axis, $this->toCrossing($c)), $round);
            }
        }

        return $found !== null;
    }

    /** @param list<float> $says */
    private function note(string $name, int $by, array $says, int $round): void
    {
        $most = max([0.0, ...$says]);
        $says = array_map(static fn (float $one): float => $most > 0.0 ? $one / $most : 0.0, $says);
        $before = $this->says[$name][$by] ?? null;
        $this->says[$name][$by] = $before === null || $round < self::SWINGING
            ? $says
            : array_map(static fn (float $old, float $new): float => ($old + $new) / 2, $before, $says);
    }

    /**
     * What all but one say of a variable together, the most likely value being 1.
     *
     * @return list<float>
     */
    private function others(string $name, int $but): array
    {
        $product = $this->product($name, $but);
        $most = max([0.0, ...$product]);

        return $most > 0.0 ? array_map(static fn (float $one): float => $one / $most, $product) : $product;
    }

    /** @return list<float> */
    private function product(string $name, ?int $but): array
    {
        $product = array_fill(0, $this->sizes[$name], 1.0);
        foreach ($this->says[$name] ?? [] as $by => $says) {
            foreach ($by === $but ? [] : $says as $value => $weight) {
                $product[$value] *= $weight;
            }
        }

        return array_values($product);
    }

    /** @return array<string, list<float>> what others say of the variables of a part, by their names there */
    private function incoming(int $p): array
    {
        $incoming = [];
        foreach (array_keys($this->sizes) as $name) {
            $own = self::nameIn($this->parts[$p]->model, $name);
            if ($own !== null) {
                $incoming[$own] = $this->others($name, $p);
            }
        }

        return $incoming;
    }

    /** @return list<list<float>> what others say of the variables of a crossing */
    private function toCrossing(int $c): array
    {
        return array_map(fn (string $name): array => $this->others($name, -1 - $c), $this->crossings[$c]->variables);
    }

    /**
     * @param array<string, list<float>> $some
     * @param array<string, list<float>> $others
     */
    private static function areClose(array $some, array $others): bool
    {
        foreach ($some as $name => $message) {
            foreach ($message as $value => $weight) {
                if (abs($weight - $others[$name][$value]) > self::SETTLED) {
                    return false;
                }
            }
        }

        return true;
    }

    /**
     * The natural logarithm of P(evidence): exact where the answer is, elsewhere that of Bethe.
     *
     * @param list<float>|null $ofParts the same of each part with all its members; null for those that tell of others
     */
    public function logEvidence(?array $ofParts = null): float
    {
        $log = array_sum($ofParts ?? array_map(static fn (Part $part): float => $part->logEvidence, $this->parts));
        foreach ($this->crossings as $c => $crossing) {
            $log += log($crossing->sum($this->toCrossing($c)));
        }
        foreach ($this->says as $name => $says) {
            $log += log(array_sum($this->product($name, null)));
            foreach ($says as $by => $own) {
                $both = array_map(static fn (float $one, float $other): float => $one * $other, $own, $this->others($name, $by));
                $log -= log(array_sum($both));
            }
        }

        return $log;
    }

    /** @return array<string, true> members at a space of the whole whose messages go around in a circle, as "space member" */
    public function inCircles(): array
    {
        $ways = new Ways;
        $of = [];
        foreach ($this->parts as $p => $part) {
            foreach ($part->components() as $k => [$variables, $members]) {
                foreach (array_keys($this->sizes) as $name) {
                    $own = self::nameIn($part->model, $name);
                    $variable = $own === null ? null : $part->variable($own);
                    if ($variable !== null && isset($variables[$variable])) {
                        $this->lead($ways, "part {$p} {$k}", $name, $members === []);
                    }
                }
                $of["part {$p} {$k}"] = $members;
            }
        }

        return array_merge([], ...array_map(
            static fn (string $node, array $members): array => $ways->isInCircle($node) ? $members : [], array_keys($of), array_values($of),
        ));
    }

    /** Connects a part to each sire about whom it has evidence, and to every crossing that shares a variable with it. */
    private function lead(Ways $ways, string $node, string $name, bool $isAlone): void
    {
        if (str_starts_with($name, 'sire ') && ! $isAlone) {
            $ways->add($node, $name);
        }
        foreach ($this->crossings as $c => $crossing) {
            if (in_array($name, $crossing->variables, true)) {
                $ways->add($node, "crossing {$c}");
            }
        }
    }
}
