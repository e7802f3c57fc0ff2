<?php

declare(strict_types=1);

namespace App\House;

use Destino\Season\Opening;

/** What a keeper can choose, with one line for either side and a cautious default. */
class Choices
{
    public const RELATEDNESS = ['none' => 'no limit', '1/4' => 'F of 1/4', '1/8' => 'F of 1/8', '1/16' => 'F of 1/16'];

    /**
     * Simple choices: label, options with the argument for each, default.
     *
     * @return array<string, array{label: string, options: array<string, array{string, string}>, default: string}>
     */
    public static function simple(): array
    {
        return self::ofWordsAndWeights() + self::ofBreeding();
    }

    /** @return array<string, array{label: string, options: array<string, array{string, string}>, default: string}> */
    private static function ofBreeding(): array
    {
        return [
            'relatedness' => ['label' => 'Close relatives: warn above', 'default' => '1/8', 'options' => [
                'none' => [
                    'no limit',
                    'The quickest way to make a recessive visible is parent to young; some lines have done it for generations.',
                ],
                '1/4' => ['F = 1/4', 'Allows full siblings and parent to young, once.'],
                '1/8' => ['F = 1/8', 'Allows half siblings; closer pairs are said to hatch worse and to bring out hidden faults.'],
                '1/16' => ['F = 1/16', 'Cousins at most: keeps a small collection open for longer.'],
            ]],
            'risk' => ['label' => 'Risk in plans', 'default' => 'careful', 'options' => [
                'careful' => ['careful', 'Compare plans by the year with a 90 % chance.'],
                'even' => ['even', 'Plans are judged by the year that half of them reach.'],
                'bold' => ['bold', 'Plans are judged by the year that the lucky quarter reaches.'],
            ]],
            'opening' => ['label' => 'Opening eggs', 'default' => Opening::AfterFirstPip->value, 'options' => [
                'never' => ['never', Opening::Never->reason()],
                'after-first-pip' => ['after the first has pipped', Opening::AfterFirstPip->reason()],
                'from-day' => ['from a chosen day', Opening::FromDay->reason()],
            ]],
        ];
    }

    /** @return array<string, array{label: string, options: array<string, array{string, string}>, default: string}> */
    private static function ofWordsAndWeights(): array
    {
        return [
            'slash' => ['label' => 'A slash between names that are taken for each other (Lesser/Butter)', 'default' => 'compound',
                'options' => [
                'compound' => ['both: one from each parent', 'What the slash means in the notation; a note offers the other reading.'],
                'either' => ['one of the two, not known which', 'What the slash often means in lists of animals for sale.'],
            ]],
            'labels' => ['label' => 'Genes on labels', 'default' => 'genes', 'options' => [
                'genes' => ['the genes alone', 'What a buyer elsewhere understands.'],
                'named' => ['your name for the combination, then the genes', 'Names of your own are under Genes.'],
            ]],
            'dominance' => ['label' => 'The word for genes that show in one copy and more in two', 'default' => 'co-dominant',
                'options' => [
                'co-dominant' => ['co-dominant', 'What most keepers say.'],
                'incomplete dominant' => ['incomplete dominant', 'What textbooks say: two copies go further than one.'],
            ]],
            'weight' => ['label' => 'Weights', 'default' => 'g', 'options' => [
                'g' => ['grams', 'What scales for snakes show.'],
                'oz' => ['ounces', 'For those who think in pounds; kept in grams all the same.'],
            ]],
            'week' => ['label' => 'The week begins on', 'default' => 'monday', 'options' => [
                'monday' => ['Monday', 'As most calendars have it.'],
                'sunday' => ['Sunday', 'As calendars in North America have it.'],
                'saturday' => ['Saturday', 'For weeks that begin with the weekend.'],
            ]],
            'temperature' => ['label' => 'Temperatures', 'default' => 'C', 'options' => [
                'C' => ['°C', 'What most probes send.'],
                'F' => ['°F', 'Finer steps without a decimal; kept in °C all the same.'],
            ]],
        ];
    }

    /**
     * Whole numbers: label, unit, smallest, largest, default, what the schools say.
     *
     * @return array<string, array{label: string, unit: string, min: int, max: int, default: int, hint: string}>
     */
    public static function numbers(): array
    {
        return self::limits() + self::errors();
    }

    /** @return array<string, array{label: string, unit: string, min: int, max: int, default: int, hint: string}> */
    private static function limits(): array
    {
        return [
            'female_months' => [
                'label' => 'A female breeds from', 'unit' => 'months', 'min' => 12, 'max' => 72, 'default' => 30,
                'hint' => 'Common choices:  24 for well-grown ones, 30, 36 to be on the safe side.',
            ],
            'female_grams' => [
                'label' => 'and from', 'unit' => 'g', 'min' => 500, 'max' => 5000, 'default' => 1500,
                'hint' => 'Common choices:  1,200, since some lay well; 1,500; 1,700, since light ones recover slowly.',
            ],
            'male_months' => [
                'label' => 'A male breeds from', 'unit' => 'months', 'min' => 3, 'max' => 48, 'default' => 12,
                'hint' => 'Common choices:  from 6 if he is keen and heavy enough, to 18.',
            ],
            'male_grams' => [
                'label' => 'and from', 'unit' => 'g', 'min' => 200, 'max' => 3000, 'default' => 500,
                'hint' => 'Common choices:  500 to 700.',
            ],
            'females_per_male' => [
                'label' => 'A male serves in a season', 'unit' => 'females at the most', 'min' => 1, 'max' => 12, 'default' => 4,
                'hint' => 'Common choices:  2 or 3 for young ones, 4 to 6 for a keen adult that eats between.',
            ],
            'opening_day' => [
                'label' => 'Chosen day for opening eggs', 'unit' => 'days', 'min' => 48, 'max' => 70, 'default' => 55,
                'hint' => 'Counts from laying; only for those who open on a day. First pips come about day 58 at 31.5 °C.',
            ],
        ];
    }

    /** @return array<string, array{label: string, unit: string, min: int, max: int, default: int, hint: string}> */
    private static function errors(): array
    {
        return self::mistakes() + [
            'error_mixed' => [
                'label' => 'A clutch with several possible sires has more than one', 'unit' => 'in 1,000', 'min' => 0,
                'max' => 500, 'default' => 0, 'hint' => 'With 0, all eggs of a clutch are of one male.',
            ],
            'error_mutation' => [
                'label' => 'A new mutation to a given gene', 'unit' => 'in 10 million gametes', 'min' => 1, 'max' => 100000,
                'default' => 10, 'hint' => 'Nobody has counted; rarer than every mistake.',
            ],
            'error_dead' => [
                'label' => 'Dead eggs explained by a lethal form', 'unit' => 'in 100', 'min' => 0, 'max' => 100, 'default' => 90,
                'hint' => 'Where a form that dies is possible; the rest died of something else.',
            ],
        ];
    }

    /**
     * @return array<string, array{label: string, unit: string, min: int, max: int, default: int, hint: string}> of whoever kept the
     *     records
     */
    private static function mistakes(): array
    {
        return [
            'error_unrecorded' => [
                'label' => 'An animal carries a recessive that nobody mentioned', 'unit' => 'in 1,000', 'min' => 1, 'max' => 500,
                'default' => 50, 'hint' => 'Hets travel unnamed with many animals.',
            ],
            'error_misidentified' => [
                'label' => 'A hatchling is misidentified', 'unit' => 'in 1,000', 'min' => 1, 'max' => 500,
                'default' => 1, 'hint' => 'Badly enough that its parents exclude it; more if you hatch many look-alikes.',
            ],
            'error_sire' => [
                'label' => 'Another male is the sire', 'unit' => 'in 1,000', 'min' => 1, 'max' => 500, 'default' => 10,
                'hint' => 'Sperm kept from an earlier season included.',
            ],
            'error_misnamed' => [
                'label' => 'A gene is another line than it is called', 'unit' => 'in 1,000', 'min' => 1, 'max' => 500,
                'default' => 1, 'hint' => 'More for genes with several lines.',
            ],
            'error_copies' => [
                'label' => 'Two recorded copies of a gene are one', 'unit' => 'in 1,000', 'min' => 1, 'max' => 500, 'default' => 20,
                'hint' => 'Supers that are hard to tell from one copy, or that do not live.',
            ],
            'error_masked' => [
                'label' => 'An animal whose form hides others carries a given gene unseen', 'unit' => 'in 1,000', 'min' => 1,
                'max' => 500, 'default' => 100, 'hint' => 'White and very dark animals are seldom known whole.',
            ],
        ];
    }
}
