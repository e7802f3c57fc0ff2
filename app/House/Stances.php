<?php

declare(strict_types=1);

namespace App\House;

use Destino\Genome\Catalogue;
use Destino\Genome\Condition;
use Destino\Pairing\Advice\Advice;
use Destino\Pairing\Advice\Stance;

/** What a keeper may want when a pairing can bring a condition, with what is said for and against. */
class Stances
{
    /**
     * What to do when a pairing can bring a condition.
     *
     * @return array<string, array{label: string, default: Stance, hint: string}>
     */
    public static function all(Catalogue $catalogue): array
    {
        $all = [
            Advice::DIES => [
                'label' => 'Forms that die in the egg or soon after', 'default' => Stance::Refuse,
                'hint' => 'For making them anyway: the siblings are wanted. Against: the same siblings come from one parent with the gene, and no egg dies.',
            ],
        ];
        foreach ($catalogue->conditions as $condition) {
            if (! $condition->isAboutSurvival()) {
                $all[$condition->key] = [
                    'label' => $condition->name, 'default' => self::cautious($condition), 'hint' => self::argument($condition),
                ];
            }
        }
        $all['lethal-pair-reported'] = [
            'label' => 'Two genes reported to go badly together', 'default' => Stance::Warn,
            'hint' => 'The reports are few; a pairing that keeps the genes apart costs little.',
        ];
        $all[Advice::RELATED] = [
            'label' => 'Parents more closely related than the limit', 'default' => Stance::Warn,
            'hint' => 'A planned back-cross can be worth it once; repeated, it closes the door.',
        ];

        return $all;
    }

    private static function cautious(Condition $condition): Stance
    {
        return match (true) {
            $condition->kind === 'fertility' && $condition->severity->rank() >= 2 => Stance::Refuse,
            default => Stance::Warn,
        };
    }

    private static function argument(Condition $condition): string
    {
        return match ($condition->kind) {
            'neurological'
                => 'Some keep and breed slightly affected animals that eat and live well; others hold that no look is worth it, since the '
                    .'degree in the young cannot be foretold.',
            'fertility' => 'A male of the form gives the same young; a female can die of it.',
            'skeletal', 'eye' => 'Most young are sound; affected ones need a plan before they hatch.',
            default => 'Most do well with extra care; it is work for the next owner too.',
        };
    }
}
