<?php

namespace Tests\Feature;

use App\Pairing\PairPage;
use App\View\Components\Ladder\Ladder;
use App\View\Components\Shares\Shares;
use App\View\Components\Square\Square;
use Destino\Probability\Rational;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\Support\Shelf;
use Tests\TestCase;

/** What stands in the drawings of a pairing is what was reckoned: rungs, squares, bars. */
class PairDrawingTest extends TestCase
{
    use RefreshDatabase;

    public function test_each_rung_is_the_binomial_of_its_eggs(): void
    {
        foreach ([['het Clown', 'het Clown', 1 / 4], ['Pastel', 'Pastel', 3 / 4]] as [$sire, $dam, $egg]) {
            $target = $egg === 1 / 4 ? 'Clown' : 'carries Pastel';
            $ladder = new Ladder($this->pair(['sire' => $sire, 'dam' => $dam, 'target' => $target, 'eggs' => 9]));
            $this->assertGreaterThanOrEqual(9, $ladder->columns());
            foreach ($ladder->rungs as $rung) {
                $none = (1 - $egg) ** $rung['eggs'];
                $once = $rung['eggs'] * $egg * (1 - $egg) ** ($rung['eggs'] - 1);
                $this->assertEqualsWithDelta(1 - $none, $rung['one']->toFloat(), 1e-12);
                $this->assertEqualsWithDelta(1 - $none - $once, $rung['two']->toFloat(), 1e-12);
                $this->assertEqualsWithDelta($egg * $rung['eggs'], $rung['expected'], 1e-9);
            }
            foreach ($ladder->needed as $level => $eggs) {
                $this->assertNotNull($eggs);
                $this->assertGreaterThanOrEqual($level / 100, 1 - (1 - $egg) ** $eggs);
                $this->assertLessThan($level / 100, 1 - (1 - $egg) ** ($eggs - 1));
            }
        }
    }

    public function test_the_bars_of_a_ladder_rise_and_stand_apart(): void
    {
        $ladder = new Ladder($this->pair(['sire' => 'het Clown', 'dam' => 'het Clown', 'target' => 'Clown', 'eggs' => 7]));
        $bars = $ladder->bars();
        $this->assertCount($ladder->columns(), $bars);
        $this->assertSame([7], array_column(array_filter($bars, fn (array $bar): bool => $bar['isOn']), 'eggs'));
        foreach ($bars as $i => $bar) {
            $this->assertEqualsWithDelta(80, $bar['y'] + $bar['height'], .02, 'they stand on the floor');
            $this->assertEqualsWithDelta($ladder->rungs[$i]['one']->toFloat(), $bar['height'] / 68, .001);
            if ($i > 0) {
                $this->assertGreaterThan($bars[$i - 1]['x'] + $bars[$i - 1]['width'], $bar['x']);
                $this->assertGreaterThanOrEqual($bars[$i - 1]['height'], $bar['height']);
            }
        }
        $this->assertEqualsWithDelta(100.0, max(array_map($ladder->length(...), $ladder->needed)), .001);
    }

    public function test_hits_have_a_field_of_their_own_as_large_as_their_chance(): void
    {
        foreach ([['Clown', 1 / 4], ['Pastel or Clown', 5 / 8], ['at least two of Pastel, Enchi, Fire', 1 / 2]] as [$target, $of]) {
            $page = $this->pair(['sire' => 'Pastel Enchi het Clown', 'dam' => 'Fire Mojave het Clown', 'target' => $target, 'by' => 'genotype']);
            foreach ([$page->tray(), $page->narrowTray()] as $tray) {
                $isWide = $tray->width >= $tray->height;
                $ends = $starts = [];
                foreach ($tray->pieces as $piece) {
                    preg_match('/\(([\d.]+) ([\d.]+)\)/', $piece->tile->move(), $at);
                    $from = (float) $at[$isWide ? 1 : 2];
                    $piece->row->isHit() ? $ends[] = $from + ($isWide ? $piece->tile->width : $piece->tile->height) : $starts[] = $from;
                }
                $border = $of * ($isWide ? $tray->width : $tray->height);
                $this->assertLessThanOrEqual($border, max($ends), $target);
                $this->assertGreaterThanOrEqual($border, min($starts), $target);
                $this->assertLessThanOrEqual(24, count($tray->pieces));
            }
        }
    }

    public function test_a_chance_that_no_clutch_can_pass_has_no_number_of_eggs(): void
    {
        $ladder = new Ladder($this->pair(['sire' => 'het Clown', 'dam' => '66% het Clown', 'target' => 'Clown', 'eggs' => 6]));
        foreach ($ladder->needed as $level => $eggs) {
            $this->assertSame($level > 66, $eggs === null, "{$level} %");
        }
        foreach ($ladder->rungs as $rung) { // the dam is het with 2/3, and all eggs are of one dam
            $this->assertEqualsWithDelta(2 / 3 * (1 - .75 ** $rung['eggs']), $rung['one']->toFloat(), 1e-12);
        }
    }

    public function test_the_cells_of_every_square_add_up_to_one_egg(): void
    {
        $pairs = [
            ['Mojave', 'Mystic', ['Mojave/Mystic' => '1/4']], ['het Clown', 'het Clown', ['Clown' => '1/4', 'het Clown' => '1/2']],
            ['Banana (male maker)', 'Normal', []], ['Super Pastel', 'Pastel', ['Super Pastel' => '1/2', 'Pastel' => '1/2']],
            ['Spider', 'Spider', []], ['66% het Piebald', 'het Piebald', ['Piebald' => '1/6']], // 2/3 · 1/4
        ];
        $squares = 0;
        foreach ($pairs as [$sire, $dam, $expected]) {
            $by = [];
            $page = $this->pair(['sire' => $sire, 'dam' => $dam]);
            foreach ($page->squares() as $square) {
                $shown = new Square($square, $page);
                $this->assertNotSame('', $shown->title);
                $sum = Rational::zero();
                foreach (array_keys($square->paternal) as $row) {
                    foreach (array_keys($square->maternal) as $column) {
                        $sum = $sum->plus($square->probability($row, $column));
                        $words = $shown->words($square->forms($row, $column), $square->sex($row, $column));
                        $by[$words] = ($by[$words] ?? Rational::zero())->plus($square->probability($row, $column));
                    }
                }
                $this->assertSame('1', $sum->toString(), "{$sire} × {$dam}, {$shown->title}");
                $squares++;
            }
            foreach ($expected as $words => $chance) {
                $this->assertSame($chance, ($by[$words] ?? Rational::zero())->toString(), "{$sire} × {$dam}: {$words} of ".implode(', ', array_keys($by)));
            }
        }
        $this->assertGreaterThanOrEqual(count($pairs), $squares);
    }

    public function test_bars_of_shares_leave_out_nothing_that_can_be_seen(): void
    {
        $parts = (new Shares(['het Clown' => .6664, 'not het' => .3332, 'hardly' => .0004]))->parts();
        $this->assertSame(['het Clown', 'not het'], array_column($parts, 'words'));
        $this->assertEqualsWithDelta(100, array_sum(array_column($parts, 'width')), .05);
        $this->assertSame([true, true], array_map(fn (array $part): bool => $part['says'] !== null, $parts));
        $narrow = (new Shares(['a' => .95, 'b' => .05]))->parts();
        $this->assertNull($narrow[1]['says'], 'too narrow for a text');
        $this->assertSame(2, count(array_unique(array_column($narrow, 'tone'))));
    }

    public function test_mates_are_ranked_as_each_pairing_by_itself_is_reckoned(): void
    {
        $genes = ['Clown', 'het Clown', '50% het Clown', 'Pastel het Clown', 'Clown Pastel', 'Pastel', 'Normal', '66% het Clown Pastel'];
        $sire = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Pastel het Clown']);
        $odds = [];
        foreach ($genes as $i => $text) {
            $this->made(['name' => "Mate {$i}", 'sex' => 'female', 'genotype' => $text]);
            $odds["Mate {$i}"] = Shelf::odds('Pastel het Clown', $text, 'Clown Pastel')->chance->perEgg();
        }
        $odds = array_filter($odds, fn (Rational $odd): bool => ! $odd->isZero());
        uksort($odds, fn (string $a, string $b): int => $odds[$b]->compareTo($odds[$a]) ?: $a <=> $b);
        $rows = $this->get('/pair?'.http_build_query(['sire_id' => $sire->id, 'target' => 'Clown Pastel']))->assertOk()->viewData('mates')->rows;
        $this->assertSame(
            array_map(fn (Rational $odd): string => $odd->toString(), $odds),
            array_combine(
                array_map(fn (array $row): string => $row['dam']->name, $rows),
                array_map(fn (array $row): string => $row['egg']->toString(), $rows),
            ),
        );
        $this->assertCount(6, $rows, 'those that cannot give it are left out');
    }

    /** @param array<string, mixed> $query */
    private function pair(array $query): PairPage
    {
        return $this->get('/pair?'.http_build_query($query))->assertOk()->viewData('page');
    }
}
