<?php

declare(strict_types=1);

namespace Destino\Pairing;

use Destino\Genome\Catalogue;
use Destino\Genome\Form;
use Destino\Genome\Mask;
use Destino\Genome\Visibility;

/** What the eye gets of the outcomes of a block, and what hides it. */
final readonly class Seeing
{
    private Visibility $visibility;

    public function __construct(private Catalogue $catalogue, private ?AlikeForms $alike)
    {
        $this->visibility = new Visibility($catalogue);
    }

    /**
     * What the eye gets of an outcome at one block; equal for those that it cannot tell apart.
     *
     * @param list<array{Mask, Form}> $hiding
     */
    public function look(BlockOutcome $outcome, array $hiding): string
    {
        $tokens = [];
        $masks = array_column($hiding, 0);
        foreach ($outcome->forms as $locus => $form) {
            if ($form->shows !== [] && ! $this->visibility->isHidden($form, $masks)) {
                $tokens[] = $this->alike?->classOf($form) ?? $locus.':'.$form->look;
            }
        }
        sort($tokens);

        return implode('|', array_unique($tokens)).'@'.$outcome->sex?->value;
    }

    /**
     * The outcomes of each block in parts that hide the same, and the ways in which parts come together: blocks as the eye has them.
     * Masking forms that look alike hide together what any of them hides; one that lies beneath another is no part of its own.
     *
     * @param list<list<BlockOutcome>> $blocks
     * @return list<array{list<list<BlockOutcome>>, list<array{Mask, Form}>}> outcomes by block, and what hides
     */
    public function regions(array $blocks): array
    {
        $regions = [];
        foreach ($this->ways($blocks) as $parts) {
            $hiding = array_merge(...array_column($parts, 1));
            $key = $shown = [];
            foreach ($parts as $i => [$name, $masks]) {
                $isOverlaid = true;
                foreach ($masks as [$mask, $form]) {
                    $isOverlaid = $isOverlaid && $this->visibility->isOverlaid($mask, $form, $hiding);
                }
                $key[$i] = $isOverlaid ? '' : $name;
                array_push($shown, ...($isOverlaid ? [] : $masks));
            }
            $key = implode(';', $key);
            $regions[$key] ??= [array_fill(0, count($parts), []), $shown];
            foreach ($parts as $i => [$name, , $members]) {
                $regions[$key][0][$i][$name] = $members;
            }
        }

        return array_map(
            static fn (array $region): array =>
                [array_map(static fn (array $parts): array => array_merge(...array_values($parts)), $region[0]), $region[1]],
            array_values($regions),
        );
    }

    /**
     * One part of each block, in every way.
     *
     * @param list<list<BlockOutcome>> $blocks
     * @return list<list<array{string, list<array{Mask, Form}>, list<BlockOutcome>}>>
     */
    private function ways(array $blocks): array
    {
        if ($blocks === []) {
            return [[]];
        }
        $last = $this->parts(array_pop($blocks));
        $ways = [];
        foreach ($this->ways($blocks) as $before) {
            foreach ($last as $part) {
                $ways[] = [...$before, $part];
            }
        }

        return $ways;
    }

    /**
     * @param list<BlockOutcome> $outcomes
     * @return list<array{string, list<array{Mask, Form}>, list<BlockOutcome>}> name of what hides, masks with their forms, outcomes
     */
    private function parts(array $outcomes): array
    {
        $parts = [];
        foreach ($outcomes as $outcome) {
            $masks = $looks = [];
            foreach ($outcome->forms as $form) {
                foreach ($this->visibility->masksOf($form) as $mask) {
                    $masks[AlikeForms::key($form)] = [$mask, $form];
                    $looks[] = $this->alike?->classOf($form) ?? AlikeForms::key($form);
                }
            }
            $key = implode('|', $looks);
            $parts[$key] = [$key, ($parts[$key][1] ?? []) + $masks, [...$parts[$key][2] ?? [], $outcome]];
        }

        return array_values(array_map(static fn (array $part): array => [$part[0], array_values($part[1]), $part[2]], $parts));
    }
}
