<?php

declare(strict_types=1);

namespace Tests\Core\Appearance;

use Destino\Appearance\Design;
use Destino\Appearance\LookFacts;
use Destino\Appearance\Proposal;
use Destino\Appearance\WishedFor;
use Destino\Genome\Form;
use PHPUnit\Framework\TestCase;
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
            self::assertContains('more orange and red', $one->brings);
        }
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
