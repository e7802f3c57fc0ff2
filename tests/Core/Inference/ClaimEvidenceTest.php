<?php

declare(strict_types=1);

namespace Tests\Core\Inference;

use Destino\Documents\CrossReader;
use Destino\Documents\DocumentError;
use Destino\Inference\Experiments\ClaimEvidence;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

/** What counted young say of the facts that keepers dispute: against chances worked out by hand, one record in fifty being wrong. */
final class ClaimEvidenceTest extends TestCase
{
    /**
     * @param list<array{string, string|null}> $young what they show, and their sex
     */
    private static function log(string $claim, string $choice, string $sire, string $dam, array $young): float
    {
        $animals = [
            ['id' => 1, 'sex' => 'male', 'sire' => null, 'dam' => null, 'genes' => $sire],
            ['id' => 2, 'sex' => 'female', 'sire' => null, 'dam' => null, 'genes' => $dam],
        ];
        foreach ($young as $i => [$genes, $sex]) {
            $animals[] = ['id' => $i + 3, 'sex' => $sex, 'sire' => 1, 'dam' => 2, 'genes' => $genes];
        }
        $facts = Shelf::facts([$claim => $choice]);
        (new CrossReader($facts))->check($animals);

        return (new CrossReader($facts))->read($animals, $facts->catalogue()->claims[$claim])->logLikelihood();
    }

    /** P(a record says so | it is so with p): right in 49 of 50, and whatever it is not in one of 50. */
    private static function recorded(float $p): float
    {
        return .98 * $p + .02 * (1 - $p);
    }

    /** @return array<string, array{string, string, string, string, list<array{string, string|null}>, list<float>}> chance of each young */
    public static function crosses(): array
    {
        $dam = ['Enchi', 'Enchi', 'Cinnamon', 'Cinnamon', 'Cinnamon'];
        $both = ['Enchi', 'Enchi Cinnamon'];
        $young = fn (array $looks): array => array_map(static fn (string $look): array => [$look, null], $looks);

        return [
            'separate loci' => ['enchi-cinnamon-allelism', 'separate', 'Normal', 'Enchi Cinnamon', $young($dam), array_fill(0, 5, .25)],
            'one locus' => ['enchi-cinnamon-allelism', 'allelic', 'Normal', 'Enchi Cinnamon', $young($dam), array_fill(0, 5, .5)],
            'one locus, and both shown' => ['enchi-cinnamon-allelism', 'allelic', 'Normal', 'Enchi Cinnamon', $young($both), [.5, 0]],
            'lines apart' => ['hypo-lines-compatible', 'separate', 'Hypo line 1', 'het Hypo line 2', $young(['Normal', 'Normal']), [1, 1]],
            'lines of one locus' => ['hypo-lines-compatible', 'same', 'Hypo line 1', 'het Hypo line 2', $young(['Normal', 'Normal']), [.5, .5]],
            'two copies die' => ['spider-two-copies', 'lethal', 'Spider', 'Spider', $young(['Spider', 'Normal']), [2 / 3, 1 / 3]],
            'two copies live' => ['spider-two-copies', 'viable', 'Spider', 'Spider', $young(['Spider', 'Normal', 'Super Spider']), [.625, .25, .125]],
        ];
    }

    /**
     * @param list<array{string, string|null}> $young
     * @param list<float> $chances
     */
    #[DataProvider('crosses')]
    public function testTheYoungOfACross(string $claim, string $choice, string $sire, string $dam, array $young, array $chances): void
    {
        $log = array_sum(array_map(static fn (float $p): float => log(self::recorded($p)), $chances));
        self::assertEqualsWithDelta($log, self::log($claim, $choice, $sire, $dam, $young), 1e-9);
    }

    public function testTheFractionOfASexLinkedGene(): void
    {
        $young = [['Banana', 'male'], ['Banana', 'male'], ['Banana', 'female'], ['Normal', 'female'], ['Normal', 'male'], ['Normal', null]];
        foreach (['0' => 0.0, '3/100' => .03, '1/4' => .25] as $choice => $r) {
            // A male maker gives it to 1 - r of his sons and r of his daughters.
            $of = static fn (float $share): float => log(self::recorded($share));
            $byHand = 2 * $of(1 - $r) + $of($r) + $of(1 - $r) + $of($r) + log(self::recorded(.5));
            $log = self::log('banana-sex-fraction', (string) $choice, 'Banana (male maker)', 'Normal', $young);
            self::assertEqualsWithDelta($byHand, $log, 1e-9, (string) $choice);
            // Of a male whose kind is not known, both are as likely; all his young speak of the same one.
            $other = 2 * $of($r) + $of(1 - $r) + $of($r) + $of(1 - $r) + log(self::recorded(.5));
            $unknown = self::log('banana-sex-fraction', (string) $choice, 'Banana', 'Normal', $young);
            self::assertEqualsWithDelta(log((exp($byHand) + exp($other)) / 2), $unknown, 1e-9, (string) $choice);
        }
    }

    public function testTheSharesOfTheSchools(): void
    {
        $logs = ['separate' => 5 * log(.25), 'allelic' => 5 * log(.5)];
        $evidence = ClaimEvidence::of($logs, 5);
        self::assertEqualsWithDelta(['separate' => 1 / 33, 'allelic' => 32 / 33], $evidence?->shares, 1e-9);
        self::assertNull($evidence->fraction);
        self::assertNull(ClaimEvidence::of(['a' => -3.0, 'b' => -3.0], 4), 'alike under both');
        self::assertNull(ClaimEvidence::of(['a' => -INF, 'b' => -INF], 4), 'neither can be');
        self::assertSame(['a' => 0.0, 'b' => 1.0], ClaimEvidence::of(['a' => -INF, 'b' => -3.0], 4)?->shares);
    }

    public function testTheFractionsThatFit(): void
    {
        // 100 sons of a male maker, ten of them without: the likeliest fraction is a tenth, and its error about .03.
        $logs = [];
        for ($i = 1; $i <= 50; $i++) {
            $logs[(string) ($i / 100)] = 90 * log(1 - $i / 100) + 10 * log($i / 100);
        }
        [$low, $likeliest, $high] = ClaimEvidence::of(['low' => $logs['0.03'], 'high' => $logs['0.1']], 100, $logs)->fraction ?? [0.0, 0.0, 0.0];
        self::assertSame(.1, $likeliest);
        self::assertSame([.06, .17], [$low, $high]);
        self::assertNull(ClaimEvidence::of(['a' => -1.0, 'b' => -2.0], 1, ['0' => -1.0, '0.5' => -1.0])?->fraction);
    }

    public function testAYoungThatNoSchoolOfThisKindCanReadIsAMistakenRecord(): void
    {
        // Cinnamon, Black Pastel and Enchi are three alleles of one locus to the one school.
        $log = self::log('enchi-cinnamon-allelism', 'allelic', 'Cinnamon', 'Enchi', [['Cinnamon Black Pastel Enchi', null]]);
        self::assertEqualsWithDelta(log(.02), $log, 1e-9);
    }

    public function testAPedigreeThatIsNoneIsRefused(): void
    {
        $one = ['id' => 1, 'sex' => 'male', 'sire' => null, 'dam' => null, 'genes' => 'Enchi'];
        $two = ['id' => 2, 'sex' => 'female', 'sire' => null, 'dam' => null, 'genes' => 'Enchi'];
        $young = ['id' => 3, 'sex' => null, 'sire' => 1, 'dam' => 2, 'genes' => 'Enchi'];
        $reader = new CrossReader(Shelf::facts());
        $reader->check([$one, $two, $young]);
        $wrong = [
            'two animals' => [$one, ['id' => 1] + $two], 'both parents' => [$one, $two, ['sire' => null] + $young],
            'sire: no male' => [$young, $one, $two], 'dam: no female' => [$one, ['sex' => null] + $two, $young],
        ];
        foreach ($wrong as $words => $animals) {
            try {
                $reader->check($animals);
                self::fail($words);
            } catch (DocumentError $error) {
                self::assertStringContainsString($words, $error->getMessage());
            }
        }
    }
}
