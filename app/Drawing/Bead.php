<?php

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
     * @param  array{fill: float, effect: Effect|null, letter: string}  $left
     * @param  array{fill: float, effect: Effect|null, letter: string}  $right
     */
    public function __construct(public readonly array $left, public readonly array $right, public readonly string $label) {}

    /**
     * @param  bool|null  $fromSire  whether the first allele of the form came from the sire, where that is known
     */
    public static function ofForm(Form $form, Catalogue $catalogue, ?bool $fromSire = null): self
    {
        $halves = array_map(fn (string $allele): array => self::half($allele, 1.0, $catalogue), $form->pair);

        return $fromSire === false ? new self($halves[1], $halves[0], $form->text) : new self($halves[0], $halves[1], $form->text);
    }

    /** @param  Distribution<array{string, string}>  $pairs */
    public static function ofBelief(Distribution $pairs, Catalogue $catalogue, string $label): self
    {
        $one = $two = Rational::zero();
        $first = [];
        foreach ($pairs->entries() as [$pair, $chance]) {
            $mutants = array_values(array_filter($pair, fn (string $allele): bool => $allele !== Allele::WILD));
            if ($mutants !== []) {
                $one = $one->plus($chance);
                $first[$mutants[0]] = true;
            }
            if (count($mutants) === 2) {
                $two = $two->plus($chance);
                $first[$mutants[1]] = true;
            }
        }
        $alleles = array_keys($first);

        return new self(
            self::half($alleles[0] ?? Allele::WILD, $one->toFloat(), $catalogue),
            self::half($two->isZero() ? Allele::WILD : ($alleles[1] ?? $alleles[0]), $two->toFloat(), $catalogue),
            $label,
        );
    }

    /** @return array{fill: float, effect: Effect|null, letter: string} */
    private static function half(string $allele, float $fill, Catalogue $catalogue): array
    {
        $effect = $allele === Allele::WILD ? null : $catalogue->allele($allele)->effect;

        return [
            'fill' => $effect === null ? 0.0 : $fill, 'effect' => $effect,
            'letter' => $effect === null ? '' : strtoupper($effect->value[0]),
        ];
    }

    /** As a drawing: the shapes come from the page's defs, the letters say what the gene does to the look. */
    public function svg(string $class = '', bool $isHidden = false): string
    {
        $drawn = '';
        foreach ([[$this->left, '#bead-left', 12], [$this->right, '#bead-right', 30]] as [$half, $shape, $middle]) {
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
            $drawn .= '<text x="'.$middle.'" y="14.5" class="'.($half['fill'] < .6 ? 'half-text' : "ink-{$effect}").'">'
                .($half['fill'] < 1 ? '?' : $half['letter']).'</text>';
        }
        $told = $isHidden ? 'aria-hidden="true"' : 'role="img" aria-label="'.e($this->label).'"';

        return '<svg class="'.trim("bead {$class}").'" viewBox="0 0 42 22" '.$told
            .'><use href="#bead-left" class="empty"/><use href="#bead-right" class="empty"/>'.$drawn
            .'<use href="#bead-rim" class="rim"/></svg>';
    }
}
