<?php

namespace Tests\Feature;

use App\Catalogue\CatalogueShelf;
use App\Collection\AnimalCard;
use App\Collection\Beliefs;
use App\Collection\Kept;
use App\Collection\Records;
use App\Drawing\Bead;
use App\Drawing\GeneLetters;
use App\Drawing\TextFit;
use App\Drawing\Tile;
use App\Drawing\Treemap;
use App\House\House;
use App\Models\Animal;
use App\Pairing\OutcomeRow;
use App\Pairing\TrayPiece;
use App\Words\OddsWords;
use Brick\Math\BigInteger;
use Destino\Genome\Sex;
use Destino\Pairing\Outcome;
use Destino\Probability\ClutchChance;
use Destino\Probability\Rational;
use Illuminate\Support\Carbon;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\Shelf;
use Tests\TestCase;

class DrawingTest extends TestCase
{
    public function test_tiles_have_their_share_of_the_area_and_do_not_overlap(): void
    {
        foreach ([[1], [0.5, 0.5], [0.4, 0.3, 0.2, 0.1], array_fill(0, 23, 1 / 23), [0.9, 0.05, 0.03, 0.01, 0.005, 0.005]] as $shares) {
            $tiles = Treemap::cut($shares, 860, 380);
            $this->assertCount(count($shares), $tiles);
            foreach ($tiles as $i => $tile) {
                $this->assertEqualsWithDelta($shares[$i] * 860 * 380, $tile['width'] * $tile['height'], 1e-6);
                $this->assertGreaterThanOrEqual(-1e-6, min($tile['x'], $tile['y']));
                $this->assertLessThanOrEqual(860 + 1e-6, $tile['x'] + $tile['width']);
                $this->assertLessThanOrEqual(380 + 1e-6, $tile['y'] + $tile['height']);
                foreach (array_slice($tiles, $i + 1) as $other) {
                    $across = min($tile['x'] + $tile['width'], $other['x'] + $other['width']) - max($tile['x'], $other['x']);
                    $down = min($tile['y'] + $tile['height'], $other['y'] + $other['height']) - max($tile['y'], $other['y']);
                    $this->assertLessThan(1e-6, min($across, $down), 'two tiles overlap');
                }
            }
        }
    }

    public function test_the_rest_never_squeezes_the_others_into_slivers(): void
    {
        foreach (
            [
                [[0.25, ...array_fill(0, 23, 1 / 128)], 0.57], [[0.3, 0.2, 0.1], 0.4], [[0.5, 0.3], 0.2], [[0.4, 0.1, 0.1], 0.2],
            ] as [$shares, $rest]
        ) {
            $total = array_sum($shares) + $rest;
            $tiles = Treemap::cutWithRest($shares, $rest, 860, 380);
            foreach ([...$shares, $rest] as $i => $share) {
                $this->assertEqualsWithDelta($share / $total * 860 * 380, $tiles[$i]['width'] * $tiles[$i]['height'], 1e-6);
                $this->assertLessThan(8, max($tiles[$i]['width'] / $tiles[$i]['height'], $tiles[$i]['height'] / $tiles[$i]['width']));
                $this->assertTrue(
                    $tiles[$i]['x'] > -1e-6
                    && $tiles[$i]['y'] > -1e-6
                    && $tiles[$i]['x'] + $tiles[$i]['width'] < 860 + 1e-6
                    && $tiles[$i]['y'] + $tiles[$i]['height'] < 380 + 1e-6,
                );
            }
            $this->assertLessThanOrEqual($tiles[count($shares)]['x'] + 1e-6, $tiles[0]['x'], 'the likeliest lies left of the rest');
        }
    }

    public function test_a_label_is_broken_between_words_and_shortened_openly(): void
    {
        $this->assertSame(['Mojave/Mystic', '66% het Clown'], TextFit::lines('Mojave/Mystic 66% het Clown', 120, 14, 3));
        $this->assertSame(['Pastel Enchi', 'het Clown…'], TextFit::lines('Pastel Enchi het Clown het Piebald', 100, 14, 2));
        $this->assertStringEndsWith('…', TextFit::lines('Pastel Enchi Mojave Spotnose Leopard', 100, 14, 1)[0]);
        $this->assertSame([], TextFit::lines('Pastel', 20, 14, 3), 'no room, no crumbs');
    }

    /** @return iterable<string, array{string, array{float, string}, array{float, string}}> */
    public static function beads(): iterable
    {
        yield 'one copy' => ['Pastel', [1.0, 'Pa'], [0.0, '']];
        yield 'two copies' => ['Clown', [1.0, 'Cl'], [1.0, 'Cl']];
        yield 'a compound in two colours' => ['Mojave/Mystic', [1.0, 'Mo'], [1.0, 'My']];
        yield 'a 66 % het, filled by height' => ['66% het Clown', [2 / 3, 'Cl'], [0.0, '']];
        yield 'surely one copy, perhaps two' => ['Pinstripe (33% two copies)', [1.0, 'Pi'], [1 / 3, 'Pi']];
        yield 'one of two alleles: neither is named' => ['Mojave or Mystic', [1.0, '?'], [0.0, '']];
        yield 'one that is sure, and one of two' => ['Mojave/Mystic or Mojave/Lesser', [1.0, 'Mo'], [1.0, '?']];
    }

    /**
     * @param  array{float, string}  $left
     * @param  array{float, string}  $right
     */
    #[DataProvider('beads')]
    public function test_a_bead_shows_what_is_sure_and_what_is_not(string $text, array $left, array $right): void
    {
        $belief = Shelf::belief($text, Sex::Female);
        $group = Shelf::catalogue()->groups[$belief->groups()[0]];
        $bead = Bead::ofBelief($belief->marginalAt($group->loci[0], $group), Shelf::catalogue(), $text);

        $this->assertEqualsWithDelta($left[0], $bead->left['fill'], 1e-12);
        $this->assertEqualsWithDelta($right[0], $bead->right['fill'], 1e-12);
        $this->assertSame([$left[1], $right[1]], [$bead->left['letters'], $bead->right['letters']]);
    }

    public function test_no_two_genes_share_their_letters(): void
    {
        $catalogue = Shelf::catalogue();
        $letters = array_map(fn (string $allele): string => GeneLetters::of($allele, $catalogue), array_keys($catalogue->alleles));

        $lower = array_map(mb_strtolower(...), $letters);
        $this->assertSame($lower, array_unique($lower));
        foreach ($letters as $two) {
            $this->assertMatchesRegularExpression('/^\p{Lu}[\p{L}\p{N}]$/u', $two);
        }
        $this->assertSame('A2', GeneLetters::of('axanthic-2', $catalogue), 'lines are told by their number');
    }

    public function test_the_left_half_is_the_sires(): void
    {
        $form = Shelf::catalogue()->form('pastel', 'pastel', '+');
        $this->assertSame(['Pa', ''], self::letters(Bead::ofForm($form, Shelf::catalogue(), true)));
        $this->assertSame(['', 'Pa'], self::letters(Bead::ofForm($form, Shelf::catalogue(), false)));
    }

    public function test_a_fraction_that_cannot_be_read_is_said_in_words(): void
    {
        $this->assertSame('35/72', OddsWords::fraction(Rational::of(35, 72)));
        $this->assertSame('1', OddsWords::fraction(Rational::of(1)));
        $this->assertSame('about 1 in 13', OddsWords::fraction(Rational::of(81, 1024)));
        $this->assertSame("about 83\u{a0}%", OddsWords::fraction(Rational::of(3333, 4001)));
        $this->assertStringContainsString('<summary>exact</summary>81/1024', OddsWords::exact(Rational::of(81, 1024), 'exact'));
        $this->assertSame('1/16', OddsWords::exact(Rational::of(1, 16), 'exact'));
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function odds(): iterable
    {
        yield 'a unit fraction' => ['1/8', "13\u{a0}%", '1 in 8'];
        yield 'two thirds' => ['2/3', "67\u{a0}%", 'about 1 in 1.5'];
        yield 'small' => ['7/200', "3.5\u{a0}%", 'about 1 in 29'];
        yield 'very small' => ['1/1470', "0.068\u{a0}%", '1 in 1,470'];
        yield 'nearly sure' => ['9999/10000', "99.99\u{a0}%", 'about 1 in 1'];
        yield 'sure' => ['1', "100\u{a0}%", 'always'];
        yield 'never' => ['0', "0\u{a0}%", 'never'];
        yield 'one in a million' => ['1/1048576', "0.000095\u{a0}%", '1 in 1,048,576'];
    }

    #[DataProvider('odds')]
    public function test_odds_in_words_claim_nothing_false(string $chance, string $percent, string $oneIn): void
    {
        $this->assertSame([$percent, $oneIn], [OddsWords::percent(Rational::parse($chance)), OddsWords::oneIn(Rational::parse($chance))]);
    }

    /** @return iterable<string, array{float, float, bool, string, float}> */
    public static function pieces(): iterable
    {
        yield 'a wide one' => [240, 120, true, '★ 3/128', 19];
        yield 'one that is no hit' => [240, 120, false, '3/128', 19];
        yield 'a narrow one' => [84, 50, true, '★ 3/128', 14];
        yield 'one in which the star has no room: its edge tells it' => [64, 50, true, '3/128', 13];
        yield 'a very narrow one' => [56, 50, true, '3/128', 11];
        yield 'one in which nothing can be read' => [40, 50, true, '', 14];
        yield 'a flat one' => [240, 30, true, '', 14];
    }

    #[DataProvider('pieces')]
    public function test_a_piece_of_the_tray_shows_as_much_of_its_share_as_can_be_read(
        float $width, float $height, bool $isHit, string $share, float $size,
    ): void {
        $outcome = new Outcome('Clown', [], Rational::of(3, 128), null, [], false, [], BigInteger::one(), []);
        $row = new OutcomeRow(1, $outcome, [], null, [], $isHit ? Rational::one() : Rational::zero());
        $piece = new TrayPiece($row, new Tile(['x' => 0, 'y' => 0, 'width' => $width, 'height' => $height]));
        $this->assertSame([$share, $size], [$piece->share, $piece->size]);
        $this->assertStringContainsString('3/128 per egg', $piece->reading('egg'), 'all of it is read out wherever one points');
        $this->assertSame($isHit, str_contains($piece->reading('egg'), 'Meets the target'));
    }

    public function test_how_many_clutches(): void
    {
        $chance = fn (string $text): ClutchChance => ClutchChance::certain(Rational::parse($text));
        $this->assertSame('likely in one clutch', OddsWords::clutches($chance('1/8'), 6));
        $this->assertSame('likely to take 2 clutches', OddsWords::clutches($chance('1/16'), 6));
        $this->assertSame('likely to take more than twelve clutches', OddsWords::clutches($chance('1/256'), 6));
        $this->assertSame('may never come from these parents', OddsWords::clutches($chance('0'), 6));
    }

    public function test_age_in_years_months_weeks_and_days(): void
    {
        $today = Carbon::parse('2026-11-23');
        $age = fn (?string $hatched): string => (
            new AnimalCard(
                new Animal(['name' => 'Skiff', 'sex' => 'male', 'hatched_on' => $hatched]),
                new Beliefs(new Records, app(CatalogueShelf::class), new House, app(Kept::class)), Shelf::catalogue(),
            )
        )->age($today);

        $this->assertSame(
            ['4 years 3 months', '1 year', '3 months', '12 weeks', '4 weeks', '3 weeks', '20 days', '1 day', 'less than a day', ''],
            array_map($age, [
                '2022-08-11', '2025-11-23', '2026-08-23', '2026-08-28', '2026-10-20', '2026-11-02', '2026-11-03', '2026-11-22', '2026-11-23', null,
            ]),
        );
    }

    /** @return array{string, string} */
    private static function letters(Bead $bead): array
    {
        return [$bead->left['letters'], $bead->right['letters']];
    }
}
