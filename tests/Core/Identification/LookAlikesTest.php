<?php

declare(strict_types=1);

namespace Tests\Core\Identification;

use Destino\Genome\Form;
use Destino\Genome\LookAlike;
use Destino\Genome\Sex;
use Destino\Identification\Clutch;
use Destino\Identification\CueChances;
use Destino\Identification\CuesRead;
use Destino\Identification\Hatchling;
use Destino\Identification\Identification;
use Destino\Identification\LookTable;
use Destino\Probability\Rational;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Shelf;

/** Animals that keepers mix up stay mixed up, however many cues are read of them. */
final class LookAlikesTest extends TestCase
{
    private static function form(string $allele, int $copies = 1): Form
    {
        $catalogue = Shelf::catalogue();

        return $copies === 1 ? $catalogue->oneCopy($catalogue->allele($allele)) : $catalogue->twoCopies($catalogue->allele($allele));
    }

    public function testCuesThatSayOneToTenOfCinnamonAndBlackPastelSayOneToTwo(): void
    {
        $set = new LookAlike(['cinnamon', 'black-pastel'], 'one', 'all', 'Both are dark.', 'established');
        [$cinnamon, $black] = [self::form('cinnamon'), self::form('black-pastel')];
        $table = new LookTable(Shelf::catalogue(), [$cinnamon->locus => [$cinnamon, $black]], [$set]);
        [$read] = $table->read('dark', [$cinnamon->locus], static fn (array $forms): array => [
            match ($forms[$cinnamon->locus]->text ?? '') {
            'Cinnamon' => 1.0, 'Black Pastel' => 10.0, default => .5,
            },
        ]);
        $mixed = $table->mixed($read, 'all');
        $of = static fn (array $forms): float => $mixed[$table->place($forms)];
        self::assertEqualsWithDelta(3.7, $of([$cinnamon->locus => $cinnamon]), 1e-12); // .4 · 1 + .6 · 5.5
        self::assertEqualsWithDelta(7.3, $of([$cinnamon->locus => $black]), 1e-12);
        self::assertEqualsWithDelta(.5, $of([]), 1e-12);
        self::assertSame($mixed, array_map(static fn (float $one): float => $one, $table->mixed($table->mixed($read, 'all'), 'hatchling')));
    }

    /** Against a walk over every lot that each set may draw. */
    public function testATableAgreesWithEnumeration(): void
    {
        $catalogue = Shelf::catalogue();
        $chance = new Randomizer(new Mt19937(33));
        for ($round = 0; $round < 12; $round++) {
            $possible = [];
            foreach (['fire', 'mojave', 'yellow-belly', 'desert', 'enchi', 'woma', 'pastel', 'cinnamon'] as $allele) {
                if ($chance->getInt(0, 1) === 1) {
                    $form = self::form($allele);
                    $possible[$form->locus] = [...$possible[$form->locus] ?? [], $form];
                }
            }
            $sets = array_slice($chance->shuffleArray($catalogue->lookAlikes), 0, 8);
            $table = new LookTable($catalogue, $possible, array_values($sets));
            $chances = [];
            $own = function (array $forms) use (&$chances, $chance): array {
                $keys = array_map(static fn (Form $form): string => $form->key(), $forms);
                sort($keys);

                return [$chances[implode(' ', $keys)] ??= $chance->getInt(1, 1000) / 1000];
            };
            [$read] = $table->read('any', array_keys($possible), $own);
            $mixed = $read;
            foreach (['hatchling', 'growing', 'all'] as $stage) {
                $mixed = $table->mixed($mixed, $stage);
            }
            $order = [];
            foreach (['hatchling', 'growing', 'all'] as $stage) {
                array_push($order, ...array_filter($sets, static fn (LookAlike $set): bool => $set->stage === $stage));
            }
            foreach (self::genotypes($possible) as $forms) {
                self::assertEqualsWithDelta(self::walked($forms, $order, $own), $mixed[$table->place($forms)], 1e-12);
            }
        }
    }

    /**
     * @param array<string, Form> $forms
     * @param list<LookAlike> $sets
     * @param callable(array<string, Form>): list<float> $own
     */
    private static function walked(array $forms, array $sets, callable $own): float
    {
        $set = array_pop($sets);
        if ($set === null) {
            return $own($forms)[0];
        }
        foreach ($forms as $locus => $form) {
            if ($set->includes($form)) {
                $without = array_diff_key($forms, [$locus => true]);
                $places = [];
                foreach ($set->members as $member) {
                    $instead = $set->formOf($member, Shelf::catalogue());
                    isset($without[$instead->locus]) ?: $places[] = self::walked([$instead->locus => $instead] + $without, $sets, $own);
                }
                $share = $set->evidence === 'reported' ? .4 : .6;

                return (1 - $share) * self::walked($forms, $sets, $own) + $share * array_sum($places) / count($places);
            }
        }

        return self::walked($forms, $sets, $own);
    }

    /**
     * @param array<string, list<Form>> $possible
     * @return list<array<string, Form>>
     */
    private static function genotypes(array $possible): array
    {
        $all = [[]];
        foreach ($possible as $locus => $forms) {
            foreach ($all as $before) {
                foreach ($forms as $form) {
                    $all[] = $before + [$locus => $form];
                }
            }
        }

        return $all;
    }

    /** All cues together, whatever is read of them. */
    public function testNoReadingSetsTwoOfASetFurtherApartThanTheirShareAllows(): void
    {
        $chance = new Randomizer(new Mt19937(5));
        $pairs = [
            ['cinnamon', 'black-pastel', 1, 7 / 3], ['lesser', 'butter', 1, 1.0 + 1e-9], ['mystic', 'phantom', 1, 7 / 3], ['candy', 'toffee', 2, 7 / 3],
            ['fire', 'vanilla', 1, 4.0], ['gravel', 'asphalt', 1, 3.0],
        ];
        foreach ($pairs as [$one, $other, $copies, $most]) {
            $forms = [self::form($one, $copies), self::form($other, $copies)];
            $possible = [];
            foreach ($forms as $form) {
                $possible[$form->locus][] = $form;
            }
            for ($round = 0; $round < 15; $round++) {
                $read = [];
                foreach (Shelf::facts()->cues() as $key => $cue) {
                    if ($cue->reading !== null && $cue->fromDays < 20 && $chance->getInt(0, 2) > 0) {
                        $read[$key] = ['cue' => $cue, 'state' => $chance->getInt(0, count($cue->states) - 1), 'days' => 20];
                    }
                }
                $ratio = 1.0;
                foreach (CuesRead::observed(new CueChances(Shelf::catalogue(), Shelf::facts()->looks()), $read)[0]->among($possible) as $group) {
                    $ratio *= $group->of([$forms[0]->locus => $forms[0]], null)->toFloat() / $group->of([$forms[1]->locus => $forms[1]], null)->toFloat();
                }
                self::assertLessThanOrEqual($most * (1 + 1e-9), max($ratio, 1 / $ratio), "{$one} and {$other}");
            }
        }
    }

    public function testTheBenchKnowsNoLesserFromAButter(): void
    {
        $cues = Shelf::facts()->cues();
        $young = [
            new Hatchling('1', days: 20, cues: ['dark-tone' => $cues['dark-tone']->state('caramel'), 'iris' => 1, 'flames' => 2]),
            new Hatchling('2', days: 20, cues: ['dark-tone' => $cues['dark-tone']->state('normal black-brown')]),
        ];
        $sire = ['id' => 's', 'belief' => Shelf::belief('Lesser/Butter', Sex::Male), 'weight' => Rational::one()];
        $found = new Identification(
            Shelf::catalogue(), Shelf::facts()->looks(), new Clutch(Shelf::belief('Normal'), [$sire], $young), $cues,
        );
        foreach (['1', '2'] as $id) {
            foreach ($found->genes($id) as $gene) {
                self::assertSame(.5, $gene['exact']?->toFloat() ?? $gene['decimal'], "{$gene['allele']->name} of {$id}");
            }
        }
    }
}
