<?php

declare(strict_types=1);

namespace App\Drawing;

use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Effect;
use Destino\Genome\Form;
use Destino\Probability\Distribution;
use Destino\Probability\Rational;

/** A locus as a twin bead: two halves, each filled where a mutant copy is sure and by height where it is only likely. */
class Bead
{
    /**
     * @param  array{fill: float, effect: Effect|null, letters: string}  $left
     * @param  array{fill: float, effect: Effect|null, letters: string}  $right
     */
    public function __construct(public readonly array $left, public readonly array $right, public readonly string $label) {}

    /**
     * @param  bool|null  $fromSire  whether the first allele of the form came from the sire, where that is known
     */
    public static function ofForm(Form $form, Catalogue $catalogue, ?bool $fromSire = null): self
    {
        $halves = array_map(fn (string $allele): array => self::half([$allele], 1.0, $catalogue), $form->pair);

        return $fromSire === false ? new self($halves[1], $halves[0], $form->text) : new self($halves[0], $halves[1], $form->text);
    }

    /**
     * The copy that is there in any case stands left.
     *
     * @param  Distribution<array{string, string}>  $pairs
     */
    public static function ofBelief(Distribution $pairs, Catalogue $catalogue, string $label): self
    {
        $carriers = [];
        foreach ($pairs->entries() as [$pair, $chance]) {
            $mutants = array_values(array_filter($pair, fn (string $allele): bool => $allele !== Allele::WILD));
            if ($mutants !== []) {
                $carriers[] = [$mutants, $chance];
            }
        }
        $shared = $carriers === [] ? [] : array_values(array_intersect(...array_column($carriers, 0), ...[$carriers[0][0]]));
        $chances = [Rational::zero(), Rational::zero()];
        $found = [[], []];
        foreach ($carriers as [$mutants, $chance]) {
            if (($shared[0] ?? $mutants[0]) !== $mutants[0]) {
                $mutants = array_reverse($mutants);
            }
            foreach ($mutants as $side => $allele) {
                $chances[$side] = $chances[$side]->plus($chance);
                $found[$side][$allele] = true;
            }
        }

        return new self(
            self::half(array_keys($found[0]), $chances[0]->toFloat(), $catalogue),
            self::half(array_keys($found[1]), $chances[1]->toFloat(), $catalogue), $label,
        );
    }

    /**
     * @param  list<string>  $alleles  what may lie there: several cannot be named
     * @return array{fill: float, effect: Effect|null, letters: string}
     */
    private static function half(array $alleles, float $fill, Catalogue $catalogue): array
    {
        $mutant = array_values(array_filter($alleles, fn (string $allele): bool => $allele !== Allele::WILD));
        $effect = $mutant === [] ? null : $catalogue->allele($mutant[0])->effect;

        return [
            'fill' => $effect === null ? 0.0 : $fill, 'effect' => $effect,
            'letters' => match (count($mutant)) {
                0 => '', 1 => GeneLetters::of($mutant[0], $catalogue), default => '?',
            },
        ];
    }

    /** As a drawing: the shapes come from the page's defs, the colour says what the gene does to the look, the letters which it is. */
    public function svg(string $class = '', bool $isHidden = false): string
    {
        $drawn = '';
        foreach ([[$this->left, '#bead-left', 11.5], [$this->right, '#bead-right', 30.5]] as [$half, $shape, $middle]) {
            if ($half['effect'] === null || $half['fill'] <= 0) {
                continue;
            }
            $effect = $half['effect']->value;
            if ($half['fill'] < 1) {
                $height = round(20 * $half['fill'], 1);
                $drawn .= '<svg x="0" y="'.(21 - $height).'" width="42" height="'.$height.'" viewBox="0 '.(21 - $height).' 42 '
                    .$height.'"><use href="'.$shape.'" class="fill-'.$effect.'"/></svg>';
            } else {
                $drawn .= '<use href="'.$shape.'" class="fill-'.$effect.'"/>';
            }
            $drawn .= '<text x="'.$middle.'" y="14.4" class="'.($half['fill'] < .6 ? 'half-text' : "ink-{$effect}").'">'
                .e($half['letters']).'</text>';
        }
        $told = $isHidden ? 'aria-hidden="true"' : 'role="img" aria-label="'.e($this->label).'"';

        return '<svg class="'.trim("bead {$class}").'" viewBox="0 0 42 22" '.$told
            .'><use href="#bead"/>'.$drawn.'<use href="#bead-rim"/></svg>';
    }
}
