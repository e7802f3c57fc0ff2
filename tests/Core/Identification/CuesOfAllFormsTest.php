<?php

declare(strict_types=1);

namespace Tests\Core\Identification;

use Destino\Genome\Form;
use Destino\Genome\FormKind;
use Destino\Genome\Inheritance;
use Destino\Identification\Cue;
use Destino\Identification\CueChances;
use Destino\Identification\Reading\StateChances;
use Destino\Identification\Stage;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

/** What must hold of cues whatever the genotype: every form, compound and pair that changes each other, at three ages. */
final class CuesOfAllFormsTest extends TestCase
{
    private const AGES = [3, 365, 1000];

    private static ?CueChances $chances = null;

    private static function chances(): CueChances
    {
        return self::$chances ??= new CueChances(Shelf::catalogue(), Shelf::facts()->looks());
    }

    /** @return array<string, Cue> that are read from the look */
    private static function cues(): array
    {
        return array_filter(Shelf::facts()->cues(), static fn (Cue $cue): bool => $cue->reading !== null);
    }

    /** @return list<array<string, Form>> */
    public static function genotypes(): array
    {
        $catalogue = Shelf::catalogue();
        $all = [[]];
        foreach (array_keys($catalogue->loci) as $locus) {
            foreach ($catalogue->formsAt((string) $locus) as $form) {
                $form->kind === FormKind::Wild ?: $all[] = [$form->locus => $form];
            }
        }
        $shown = static fn (string $allele): Form => $catalogue->allele($allele)->inheritance === Inheritance::Recessive
            ? $catalogue->twoCopies($catalogue->allele($allele)) : $catalogue->oneCopy($catalogue->allele($allele));
        foreach ($catalogue->interactions as $interaction) {
            $forms = [];
            foreach (array_count_values($interaction->alleles) as $allele => $copies) {
                $form = $copies > 1 ? $catalogue->twoCopies($catalogue->allele((string) $allele)) : $shown((string) $allele);
                $forms[$form->locus] ??= $form;
            }
            $all[] = $forms;
        }

        return $all;
    }

    public function testNoStateSaysMoreThanItsGradeAndChancesAddUpToOne(): void
    {
        $checked = 0;
        foreach (self::AGES as $days) {
            foreach (self::cues() as $cue) {
                [$least, $most] = [array_fill(0, count($cue->states), 1.0), array_fill(0, count($cue->states), 0.0)];
                foreach (self::genotypes() as $forms) {
                    $chances = self::chances()->floats($cue, $forms, $days);
                    self::assertEqualsWithDelta(1.0, array_sum($chances), 1e-9);
                    foreach ($chances as $state => $chance) {
                        [$least[$state], $most[$state]] = [min($least[$state], $chance), max($most[$state], $chance)];
                        $checked++;
                    }
                }
                foreach ($cue->reading->grades ?? [] as $state => $grade) {
                    self::assertLessThanOrEqual(
                        $grade->most() * (1 + 1e-3), $most[$state] / $least[$state], "{$cue->key}: {$cue->states[$state]} at {$days} days",
                    );
                }
            }
        }
        self::assertGreaterThan(100_000, $checked);
    }

    /** The likeliest state of the look as it is drawn is among the likely ones, or as likely as its grade allows. */
    public function testTheStateDrawnIsAmongTheLikelyOnes(): void
    {
        foreach (self::AGES as $days) {
            foreach (self::cues() as $cue) {
                foreach (self::genotypes() as $forms) {
                    $reading = $cue->reading ?? self::fail();
                    $raw = StateChances::of($reading, self::chances()->seen($reading, $forms, $days), $days);
                    $chances = self::chances()->floats($cue, $forms, $days);
                    $drawn = (int) array_search(max($raw), $raw, true);
                    self::assertTrue(
                        $chances[$drawn] >= max($chances) / 3 || $chances[$drawn] >= self::chances()->windows($reading, $days)->most[$drawn] - 2e-6,
                        "{$cue->key} of ".implode(' ', array_map(static fn (Form $form): string => $form->text, $forms))." at {$days} days",
                    );
                }
            }
        }
    }

    /** What is worked out for a step of age is what holds of every day in it, and no step passes from one stage to the next. */
    public function testStepsOfAgeKeepTheStageAndHardlyMoveAChance(): void
    {
        $genotypes = array_map(CueFiguresTest::forms(...), ['Normal', 'Pastel', 'Banana', 'Toffee', 'Albino/Toffee', 'Clown', 'Axanthic (line 1)']);
        for ($days = 0; $days < 1100; $days += 1 + intdiv($days, 12)) {
            $age = CueChances::age($days) ?? self::fail();
            self::assertSame(Stage::at($days), Stage::at($age), "{$days} days");
            self::assertSame($age, CueChances::age($age));
            foreach (self::cues() as $cue) {
                foreach ($cue->canBeReadAt($days) ? $genotypes : [] as $forms) {
                    $apart = array_map(
                        static fn (float $one, float $other): float => abs($one - $other),
                        self::chances()->floats($cue, $forms, $days), self::chances()->floats($cue, $forms, $age),
                    );
                    self::assertLessThan(.12, max(0.0, ...$apart), "{$cue->key} at {$days} and {$age} days");
                }
            }
        }
    }

    public function testEqualLooksHaveEqualChances(): void
    {
        $same = [
            ['Lesser', 'Butter'], ['Super Lesser', 'Super Butter'], ['Super Lesser', 'Lesser/Butter'], ['Pastel Lesser', 'Pastel Butter'],
            ['Mojave/Lesser', 'Mojave/Butter'], ['Banana', 'Coral Glow'], ['Banana Black Pastel', 'Coral Glow Black Pastel'],
            ['Super Mojave', 'Super Mojave Pastel'], ['Normal', 'het Clown'],
        ];
        foreach ($same as [$one, $other]) {
            foreach (self::cues() as $cue) {
                foreach (self::AGES as $days) {
                    self::assertSame(
                        self::chances()->floats($cue, CueFiguresTest::forms($one), $days),
                        self::chances()->floats($cue, CueFiguresTest::forms($other), $days), "{$cue->key} of {$one} and {$other}",
                    );
                }
            }
        }
    }

    /** Two doses of what moves a line never make its later states less likely than one dose of it does. */
    public function testMoreOfAReadingNeverMakesTheLaterStatesTogetherLessLikely(): void
    {
        foreach (self::cues() as $cue) {
            $reading = $cue->reading ?? self::fail();
            $line = $reading->line->states;
            foreach (count($line) > 1 && $reading->marks === [] ? self::genotypes() : [] as $forms) {
                $seen[] = [
                    $reading->line->reading->of(self::chances()->seen($reading, $forms, 1000)) - 0.0,
                    StateChances::of($reading, self::chances()->seen($reading, $forms, 1000), 1000), self::width($cue, $forms),
                ];
            }
            $seen ??= [];
            usort($seen, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
            foreach ($seen as $i => [$value, $chances, $width]) {
                foreach (array_slice($seen, $i + 1) as [$more, $others, $wider]) {
                    for ($k = 1; $more > $value && abs($width - $wider) < 1e-9 && $k < count($line); $k++) {
                        $later = static fn (array $all): float => array_sum(array_intersect_key($all, array_flip(array_slice($line, $k))));
                        self::assertGreaterThanOrEqual($later($chances) - 1e-9, $later($others), $cue->key);
                    }
                }
            }
            unset($seen);
        }
    }

    /** @param array<string, Form> $forms */
    private static function width(Cue $cue, array $forms): float
    {
        $reading = $cue->reading ?? self::fail();
        $look = self::chances()->seen($reading, $forms, 1000);

        return $reading->line->reading->spread($look) + $look->unsure() ** 2;
    }
}
