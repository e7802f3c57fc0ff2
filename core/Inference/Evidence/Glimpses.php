<?php

declare(strict_types=1);

namespace Destino\Inference\Evidence;

use Destino\Genome\State;
use Destino\Probability\Rational;

/**
 * What was seen of the cues of an animal, as likelihoods: for some sets of linkage groups P(what was seen | its genotype
 * there), up to a factor. An eye errs: what is seen makes a genotype unlikely and excludes none.
 */
final readonly class Glimpses
{
    /**
     * @param array<string, array<string, Rational>> $likelihoods above 0, by keys of the groups joined with "|", and by the key
     *     of the genotype over them
     */
    public function __construct(public array $likelihoods) {}

    /**
     * Of a genotype over some groups: the product over the sets that these hold whole.
     *
     * @param list<string> $groups keys
     */
    public function of(State $state, array $groups): Rational
    {
        $product = Rational::one();
        foreach ($this->likelihoods as $key => $likelihoods) {
            $set = explode('|', $key);
            if (array_diff($set, $groups) === []) {
                $product = $product->times($likelihoods[$state->only($set)->key] ?? Rational::one());
            }
        }

        return $product;
    }

    /**
     * @param list<string> $groups keys
     * @return array<string, array<string, string>> all that it says of these groups
     */
    public function content(array $groups): array
    {
        $content = [];
        foreach ($this->likelihoods as $key => $likelihoods) {
            if (array_diff(explode('|', $key), $groups) === []) {
                $content[$key] = array_map(static fn (Rational $one): string => $one->toString(), $likelihoods);
            }
        }

        return $content;
    }
}
