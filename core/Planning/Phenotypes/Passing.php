<?php

declare(strict_types=1);

namespace Destino\Planning\Phenotypes;

use Closure;
use Destino\Genome\Sex;
use Destino\Notation\ClauseKind;
use Destino\Notation\TargetCondition;
use Destino\Probability\Rational;

/** What animals of a look pass on of what a target wants at one group, and which look is no worse than another by it. */
final class Passing
{
    /** @var array<int, bool> */
    private array $atLeast = [];

    /** @var array<int, array<string, float>> */
    private array $passes = [];

    /** @var array<int, float> */
    private array $ceilings = [];

    /** @param Closure(int): array<array-key, array{list<string>, Rational}> $pool P(haplotype | look) */
    public function __construct(private readonly Wanted $wanted, private readonly bool $holdsSex, private readonly Closure $pool) {}

    /**
     * Whether an animal of one look is at least as good here as one of another: whatever wanted allele the other passes on,
     * the first passes on with no smaller chance, so that any young of the other can be matched by a young of the first
     * that carries no less. That holds where more copies never hurt; elsewhere only equal looks compare.
     */
    public function isAtLeast(int $look, int $other): bool
    {
        return $look === $other
            || ($this->atLeast[$look * 65536 + $other] ??= $this->wanted->isMonotone && $this->passesNoLess($look, $other));
    }

    /**
     * P(a young meets the target here | a parent of this look and the best mate there could be), or more: what the parent
     * itself must pass on.
     */
    public function ceiling(int $look): float
    {
        if (! isset($this->ceilings[$look])) {
            $this->ceilings[$look] = 1.0;
            foreach ($this->wanted->isMonotone ? $this->wanted->conditions : [] as $condition) {
                $this->ceilings[$look] = min($this->ceilings[$look], $this->best($look, $condition));
            }
        }

        return $this->ceilings[$look];
    }

    private function best(int $look, TargetCondition $condition): float
    {
        $best = 0.0;
        foreach ($condition->anyOf as $clause) {
            $asksBoth = in_array($clause->kind, [ClauseKind::TwoCopies, ClauseKind::Compound], true);
            $chances = $asksBoth ? array_map(fn (string $allele): float => $this->passesOn($look, $allele), $clause->alleles) : [1.0];
            $best = max([$best, ...$chances]);
        }

        return $best;
    }

    private function passesOn(int $look, string $allele): float
    {
        $chance = 0.0;
        foreach (($this->pool)($look) as [$haplotype, $p]) {
            $chance += in_array($allele, $haplotype, true) ? $p->toFloat() : 0.0;
        }

        return min(1.0, $chance);
    }

    private function passesNoLess(int $look, int $other): bool
    {
        $own = $this->passes($look);
        foreach ($this->passes($other) as $what => $chance) {
            if (($own[$what] ?? 0.0) < $chance - 1e-12) {
                return false;
            }
        }

        return true;
    }

    /** @return array<string, float> P(a gamete carries these wanted alleles), with the sex chromosome where it matters */
    private function passes(int $look): array
    {
        if (! isset($this->passes[$look])) {
            $chances = [];
            foreach (($this->pool)($look) as [$haplotype, $p]) {
                $what = array_filter($haplotype, fn (string $allele): bool => isset($this->wanted->alleles[$allele]));
                if ($what !== []) {
                    $key = implode('.', $what).($this->holdsSex ? (in_array(Sex::Y, $haplotype, true) ? Sex::Y : Sex::X) : '');
                    $chances[$key] = ($chances[$key] ?? 0.0) + $p->toFloat();
                }
            }
            $this->passes[$look] = $chances;
        }

        return $this->passes[$look];
    }
}
