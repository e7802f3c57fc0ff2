<?php

declare(strict_types=1);

namespace Tests\Core\Appearance;

use Destino\Appearance\Design;
use Destino\Appearance\LookFacts;
use Destino\Appearance\Measured;
use Destino\Appearance\Proposal;
use Destino\Appearance\WishedFor;
use Destino\Genome\Form;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Identification\CueFiguresTest;
use Tests\Support\Shelf;

final class DesignTest extends TestCase
{
    public function testOrangeIsBroughtByWhatMakesOrange(): void
    {
        $best = array_slice(self::proposals([], ['orange' => WishedFor::More]), 0, 12);
        $genes = array_merge(
            [],
            ...array_map(
                static fn (Proposal $one): array => array_map(static fn (Form $form): string => $form->pair[0], $one->forms), $best,
            ),
        );
        self::assertContains('sunset', $genes);
        self::assertNotContains('axanthic-1', $genes);
        foreach ($best as $one) {
            self::assertContains('more orange and red', $one->brings, $one->text());
        }
    }

    /** @return iterable<string, array{string, string, WishedFor, string, int, list<string>, list<string>}> */
    public static function wishes(): iterable
    {
        $more = WishedFor::More;
        $less = WishedFor::Less;
        // base, wish, measure and its direction, what is among the first eight, what is not
        yield 'contrast in what has lost its black comes of what deepens the dark' =>
            ['Ultramel', 'contrast', $more, 'contrast', 1, ['ghi', 'blackhead'], ['desert-ghost', 'hypo-1', 'pastel']];
        yield 'and in a Banana of what takes the yellow, so that lavender stands on white' =>
            ['Banana', 'contrast', $more, 'contrast', 1, ['axanthic-1'], ['pastel', 'hypo-1']];
        yield 'the dust of Desert Ghost is met by deeper black' => ['Desert Ghost', 'contrast', $more, 'contrast', 1, ['ghi'], ['hypo-1', 'pastel']];
        yield 'a brighter axanthic has less black in the light areas' =>
            ['Axanthic (line 1)', 'bright', $more, 'lightness', 1, ['desert-ghost', 'hypo-1'], ['cinnamon', 'ghi']];
        yield 'darkness comes of the dark complex' => ['Normal', 'dark', $more, 'lightness', -1, ['cinnamon', 'black-pastel'], ['pastel']];
        yield 'a yellower Pastel' => ['Pastel', 'yellow', $more, 'yellow', 1, ['desert'], ['axanthic-1', 'cinnamon']];
        yield 'orange' => ['Normal', 'orange', $more, 'red', 1, ['sunset', 'orange-dream'], ['axanthic-1', 'pastel']];
        yield 'silver' => ['Lesser', 'silver', $more, 'colour', -1, ['axanthic-1', 'axanthic-2'], ['pastel', 'enchi']];
        yield 'white' => ['Normal', 'white', $more, 'white', 1, ['piebald', 'calico'], ['pastel', 'ghi']];
        yield 'less pattern on an Enchi' => ['Enchi', 'pattern', $less, 'dark', -1, ['patternless'], ['leopard', 'cinnamon']];
    }

    /**
     * @param list<string> $among
     * @param list<string> $notAmong
     */
    #[DataProvider('wishes')]
    public function testAWishIsMetOnTheDrawing(
        string $base, string $wish, WishedFor $wanted, string $measure, int $way, array $among, array $notAmong,
    ): void {
        $forms = array_values(CueFiguresTest::forms($base));
        $before = Measured::of(Shelf::facts()->looks()->look(Shelf::catalogue(), $forms));
        $genes = [];
        foreach (array_slice(self::proposals($forms, [$wish => $wanted]), 0, 8) as $i => $one) {
            $genes = [...$genes, ...array_map(static fn (Form $form): string => $form->pair[0], $one->forms)];
            $moved = $way * (Measured::of($one->look)->value($measure) - $before->value($measure));
            $i > 2 ?: self::assertGreaterThan(0.0, $moved, "{$one->text()} on {$base}");
        }
        self::assertSame([], array_diff($among, $genes), implode(' ', $genes));
        self::assertSame([], array_intersect($notAmong, $genes));
    }

    public function testContrastIsTheDifferenceInLightnessAsItIsDrawn(): void
    {
        $of = static fn (string $genes): Measured => Measured::of(
            Shelf::facts()->looks()->look(Shelf::catalogue(), array_values(CueFiguresTest::forms($genes))),
        );
        self::assertLessThan($of('Normal')->contrast, $of('Ultramel')->contrast);
        self::assertLessThan(1.5, $of('Super Lesser')->contrast, 'all white');
        self::assertGreaterThan(.99, $of('Super Lesser')->white);
        self::assertLessThan($of('Ultramel Leopard')->contrast, $of('Ultramel Pastel')->contrast);
        self::assertSame($of('Normal')->contrast, $of('het Clown')->contrast);
        self::assertGreaterThan($of('Normal')->contrast, $of('Axanthic (line 1)')->contrast, 'silver on black');
    }

    public function testWhatIsToBeKeptIsKept(): void
    {
        $stripe = Shelf::catalogue()->twoCopies(Shelf::catalogue()->allele('genetic-stripe'));
        foreach (array_slice(self::proposals([$stripe], ['yellow' => WishedFor::More, 'stripe' => WishedFor::Keep]), 0, 8) as $one) {
            self::assertGreaterThan(1.4, $one->look->at('dorsal_stripe'), $one->text());
            self::assertSame([], $one->spoils);
        }
    }

    public function testScoresFallAndWishesThatContradictEachOtherFindNothing(): void
    {
        $proposals = self::proposals([], ['contrast' => WishedFor::More, 'bands' => WishedFor::More]);
        $scores = array_map(static fn (Proposal $one): float => $one->score, $proposals);
        $sorted = $scores;
        rsort($sorted);
        self::assertSame($sorted, $scores);
        $none = self::proposals([], ['yellow' => WishedFor::More, 'silver' => WishedFor::More]);
        self::assertNotSame([], $none[0]->spoils, 'what brings the one goes against the other');
    }

    public function testHealthMasksAndWhatCannotBeToldAreWarnedOf(): void
    {
        $white = Shelf::catalogue()->twoCopies(Shelf::catalogue()->allele('lesser'));
        $hidden = self::proposals([$white], ['orange' => WishedFor::More])[0] ?? null;
        self::assertNotNull($hidden);
        $warnings = array_merge(
            [],
            ...array_map(
                static fn (Proposal $one): array => $one->warnings,
                self::proposals([], ['contrast' => WishedFor::More, 'pattern' => WishedFor::Less], 60),
            ),
        );
        self::assertContains('Spider: Wobble', $warnings);
        $behind = array_merge(
            [],
            ...array_map(static fn (Proposal $one): array => $one->warnings, self::proposals([$white], ['stripe' => WishedFor::More], 200)),
        );
        self::assertContains('Clown cannot be seen in it', $behind);
        self::assertContains('hardly to be told from the base by eye', $behind);
    }

    public function testALocusIsNotUsedTwice(): void
    {
        $mojave = Shelf::catalogue()->oneCopy(Shelf::catalogue()->allele('mojave'));
        foreach (self::proposals([$mojave], ['bright' => WishedFor::More], 60) as $one) {
            foreach ($one->forms as $form) {
                self::assertNotSame('bel', $form->locus);
            }
            self::assertCount(count($one->forms), array_unique(array_map(static fn (Form $form): string => $form->locus, $one->forms)));
        }
    }

    /**
     * @param list<Form> $base
     * @param array<string, WishedFor> $wishes
     * @return non-empty-list<Proposal>
     */
    private static function proposals(array $base, array $wishes, int $most = 30): array
    {
        $proposals = (new Design(Shelf::catalogue(), LookFacts::of(Shelf::facts()->document), $wishes))->proposals($base, $most);
        self::assertNotSame([], $proposals);

        return $proposals;
    }
}
