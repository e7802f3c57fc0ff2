<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Probability\Rational;

/**
 * P(what was seen of a young | its genotype on a strand), in one kind of numbers.
 *
 * @template T
 */
final class SeenOf
{
    /** @var array<string, array<int, T>> chances of the cues that were seen, by strand and young */
    private array $known = [];

    /** @param Arithmetic<T> $numbers */
    public function __construct(private readonly Parentage $parentage, private readonly Sight $sight, private readonly Arithmetic $numbers) {}

    /**
     * P(what was seen | genotype), up to a factor that is the same for all.
     *
     * @param list<array{int, bool}> $answers
     * @return array<int, T>
     */
    public function of(Strand $strand, Hatchling $one, array $answers): array
    {
        $own = array_values(array_filter(
            $answers, fn (array $answer): bool => in_array($one->id, $this->parentage->clutch->alike[$answer[0]]['hatchlings'], true),
        ));
        $key = spl_object_id($strand)." {$one->id}";
        $seen = $this->known[$key] ??= $this->seen($strand, $one);
        foreach ($this->sight->possible($strand, $one, $own) as $number => $isPossible) {
            if (! $isPossible) {
                $seen[$number] = $this->numbers->zero();
            }
        }

        return $seen;
    }

    /** @return array<int, T> the product of the chances of all cues that were seen */
    private function seen(Strand $strand, Hatchling $one): array
    {
        $product = array_fill(0, count($strand->genotypes), $this->numbers->of(Rational::one()));
        foreach ($this->sight->cuesOn($strand, $one) as $cue => $state) {
            $chances = array_map(fn (CueRule $rule): mixed => $this->numbers->of($rule->chances[$state]), $this->sight->cue($cue)->rules);
            foreach ($this->sight->rules($strand, $cue, $one->days) as $number => $rule) {
                $product[$number] = $this->numbers->times($product[$number], $chances[$rule]);
            }
        }

        return $this->numbers->scaled($product);
    }
}
