<?php

namespace Tests\Feature;

use App\Clutch\EggTray as Box;
use App\Drawing\EggSigns;
use App\House\House;
use App\Luck\Heap;
use App\Models\Enums\EggState;
use App\Models\Enums\EventKind;
use App\Season\Due;
use App\Season\Ribbon;
use App\View\Components\EggTray\EggTray;
use App\View\Components\Field\Field;
use App\View\Components\LuckHeap\LuckHeap;
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

    public function test_a_heap_has_a_hundred_dots_and_those_of_the_tail_are_its_share(): void
    {
        foreach ([[1, 6, 40, 2], [1, 4, 12, 3], [1, 100, 300, 9], [2, 3, 5, 5], [1, 2, 2, 1], [1, 4, 60, 0], [1, 1, 4, 4]] as $case) {
            [$numerator, $denominator, $eggs, $hits] = $case;
            $part = new LuckHeap($luck = new Luck(Rational::of($numerator, $denominator), $eggs, $hits));
            $columns = $part->heap->columns;
            $this->assertSame(100, array_sum(array_column($columns, 'dots')));
            $this->assertSame([$hits], array_column(array_filter($columns, fn (array $one): bool => $one['isHere']), 'hits'));
            $this->assertSame((int) round(100 * $luck->tail()->toFloat()), $part->heap->inTail());
            $drawn = [];
            foreach ($columns as $i => $column) {
                $this->assertEqualsWithDelta(100 * $luck->probabilityOf($column['hits'])->toFloat(), $column['dots'], 1.5);
                $this->assertCount($column['dots'], $part->dots($i));
                foreach ($part->dots($i) as [$x, $y]) {
                    $this->assertTrue($x > 0 && $x < $part->width() && $y > 0 && $y < 170, "{$x} {$y}");
                    $drawn["{$x} {$y}"] = true;
                }
            }
            $this->assertCount(100, $drawn, 'no dot lies on another');
        }
        $this->assertSame('Of 100 such runs of 60 eggs, not one would have as few hits or fewer.', (new Heap(new Luck(Rational::of(1, 4), 60, 0)))->sentence());
        $this->assertSame('Of 100 such runs of 5 eggs, 13 have as many hits or more.', (new Heap(new Luck(Rational::of(2, 3), 5, 5)))->sentence());
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
