<?php

namespace Tests\Feature;

use App\Clutch\EggTray as Box;
use App\Drawing\EggSigns;
use App\House\House;
use App\Luck\LuckChart;
use App\Models\Enums\EggState;
use App\Models\Enums\EventKind;
use App\Season\Due;
use App\Season\Ribbon;
use App\View\Components\EggTray\EggTray;
use App\View\Components\Field\Field;
use App\View\Components\SeasonRibbon\SeasonRibbon;
use App\View\Components\Shares\Shares;
use App\View\Components\Station\Station;
use Destino\Probability\Luck;
use Destino\Probability\Rational;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Carbon;
use Tests\TestCase;

/** What is drawn stands where its numbers say. */
class DrawingKitTest extends TestCase
{
    use RefreshDatabase;

    public function test_the_bars_of_a_law_are_as_high_as_their_chances(): void
    {
        foreach ([[1, 6, 40, 2], [1, 4, 12, 3], [1, 100, 300, 9], [2, 3, 5, 5]] as [$numerator, $denominator, $eggs, $hits]) {
            $chart = new LuckChart($luck = new Luck(Rational::of($numerator, $denominator), $eggs, $hits));
            $bars = $chart->bars();
            $here = array_values(array_filter($bars, fn (array $bar): bool => $bar['isHere']));

            $this->assertSame([$hits], array_column($here, 'hits'), 'what happened is in the window');
            $this->assertTrue($here[0]['isLabelled'] && $here[0]['inTail']);
            $highest = $bars[array_search(max(array_column($chart->law(), 'chance')), array_column($chart->law(), 'chance'), true)];
            $this->assertSame(172.0, $highest['height']);
            foreach ($bars as $i => $bar) {
                $share = $luck->probabilityOf($bar['hits'])->toFloat() / $luck->probabilityOf($highest['hits'])->toFloat();
                $this->assertEqualsWithDelta(max(1.0, 172 * $share), $bar['height'], .01);
                $this->assertEqualsWithDelta(202.0, $bar['y'] + $bar['height'], .02, 'it stands on the floor');
                $this->assertLessThanOrEqual(900.0, $bar['x'] + $bar['width']);
                $i === 0 || $this->assertGreaterThan($bars[$i - 1]['x'] + $bars[$i - 1]['width'], $bar['x'], 'beside the one before');
            }
            $this->assertGreaterThan(.999, array_sum(array_column($chart->law(), 'chance')), 'the window holds nearly all of it');
        }
    }

    public function test_a_share_is_as_wide_as_it_is(): void
    {
        $parts = (new Shares(['het Clown' => .66, 'Normal' => .3399, 'Clown' => .0001]))->parts();

        $this->assertSame(['het Clown', 'Normal'], array_column($parts, 'words'), 'what nobody could see is not drawn');
        $this->assertSame([66.0, 33.99], array_column($parts, 'width'));
        $this->assertSame(["66\u{a0}%", "34\u{a0}%"], array_column($parts, 'says'));
        $this->assertNull((new Shares(['a' => .95, 'b' => .05]))->parts()[1]['says'], 'too narrow to be read in');
    }

    public function test_eggs_lie_where_they_were_put_and_look_as_they_stand(): void
    {
        $dam = $this->made(['name' => 'Inlet', 'sex' => 'female']);
        $clutch = $this->keeper()->clutches()->create(['dam_id' => $dam->id, 'laid_on' => '2026-05-01', 'eggs_good' => 3]);
        Box::layOut($clutch);
        $eggs = $clutch->eggs()->orderBy('number')->get();
        $eggs[0]->update(['across' => 20, 'down' => 50, 'clump' => 1]);
        $eggs[1]->update(['across' => 40, 'down' => 10, 'clump' => 1]);
        $eggs[2]->update(['across' => 90, 'down' => 90, 'clump' => 2]);
        $drawing = new EggTray(new Box($clutch->refresh(), new House, $eggs[1]->id));
        [$first, $second] = $drawing->tray->eggs->values()->all();

        $this->assertSame([30.0, 50.0], $drawing->at($first));
        $this->assertSame(['30,50 60,10'], $drawing->clumps(), 'one egg alone is no clump');
        $this->assertSame([false, true], [$drawing->isInHand($first), $drawing->isInHand($second)]);
        $this->assertNull($drawing->sign($first));
        $this->assertStringStartsWith('M', $drawing->grain());
        $this->assertSame($drawing->grain(), (new EggTray($drawing->tray))->grain(), 'the same box is the same picture');
        foreach (EventKind::troubles() as $trouble) {
            $this->assertStringStartsWith('M', $drawing->trouble($trouble));
        }
        $signs = [];
        foreach (array_diff_key(EggState::cases(), [0 => 1, 1 => 1]) as $state) {
            $signs[] = EggSigns::of($state->value) ?? 'none';
        }
        $this->assertNotContains('none', $signs, 'every state but a plain egg and a slug has its sign');
        $this->assertSame($signs, array_unique($signs));
    }

    public function test_a_band_begins_and_ends_with_its_phase(): void
    {
        $dam = $this->made(['name' => 'Inlet', 'sex' => 'female']);
        $clutch = $this->keeper()->clutches()->create(['dam_id' => $dam->id]);
        foreach (['introduced' => '2026-01-01', 'ovulation' => '2026-03-01', 'laid' => '2026-04-01'] as $kind => $day) {
            $clutch->events()->create(['kind' => $kind, 'on' => $day]);
        }
        $today = Carbon::parse('2026-05-16');
        $clutches = $this->keeper()->clutches()->with('dam', 'sires.animal', 'events')->get();
        $drawing = new SeasonRibbon(new Ribbon($clutches, Due::among($this->keeper(), $today), $today));
        $spans = array_column($drawing->ribbon->bands[0]['spans'], null, 'phase');

        $this->assertSame(210.0, $drawing->x(0.0));
        $this->assertSame(1000.0, $drawing->x(1.0));
        $this->assertEqualsWithDelta($drawing->x($spans['paired']['to']), $drawing->x($spans['gravid']['from']), .01);
        $days = fn (string $phase): float => $spans[$phase]['to'] - $spans[$phase]['from'];
        $this->assertEqualsWithDelta(59 / 31, $days('paired') / $days('gravid'), 1e-6, 'January and February against March');
        $this->assertGreaterThan($drawing->width($spans['gravid']), $drawing->width($spans['paired']));
        $this->assertSame(3.0, $drawing->width(['from' => .5, 'to' => .5]), 'a day can be seen');
        $this->assertFalse($drawing->isNamed(['phase' => 'eggs', 'from' => .5, 'to' => .51]));
        $this->assertSame('Inlet', $drawing->pair($clutches[0]));
        $this->assertSame(72, $drawing->height());
    }

    public function test_a_field_knows_its_error_and_the_frame_where_it_is(): void
    {
        $this->assertSame('assumptions-lay_rate-', Field::idOf('assumptions[lay_rate]'));
        $this->assertSame('', Field::errorOf('name', 'default'));
        $station = new Station('Money', 'house');
        $this->assertTrue($station->isFurther(), 'the house stands behind “More” on a phone');
        $this->assertFalse((new Station('Pair', 'pair'))->isFurther());
        $this->assertCount(9, $station->stations());
        $this->assertSame([true, true, true, true, false], array_map($station->isFirst(...), range(0, 4)));
        $this->assertNull((new Station('Guide', 'guide'))->chapter, 'the guide needs no way to itself');
    }
}
