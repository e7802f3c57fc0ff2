<?php

namespace Tests\Feature;

use App\Drawing\Axis;
use App\Drawing\Scale;
use App\View\Lists;
use App\View\Prepared;
use App\Words\OddsWords;
use Illuminate\Support\Facades\Blade;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\View;
use PhpToken;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Templates lay out what they are given; they reckon nothing. */
class TemplatesTest extends TestCase
{
    public function test_every_template_compiles_and_holds_no_logic_of_its_own(): void
    {
        $seen = 0;
        foreach ([...File::allFiles(resource_path('views')), ...File::allFiles(app_path('View/Components'))] as $file) {
            if (! str_ends_with($file->getFilename(), '.blade.php')) {
                continue;
            }
            $text = $file->getContents();
            $this->assertDoesNotMatchRegularExpression('/@php\b/', $text, $file->getRelativePathname());
            $this->assertDoesNotMatchRegularExpression('/\b(App|Destino)\\\\/', $text, $file->getRelativePathname());
            $this->assertNotSame([], PhpToken::tokenize(Blade::compileString($text), TOKEN_PARSE), $file->getRelativePathname());
            $seen++;
        }
        $this->assertGreaterThan(100, $seen);
    }

    public function test_what_is_prepared_is_of_a_template_that_is_there(): void
    {
        foreach (array_keys(Prepared::all()) as $name) {
            $this->assertTrue(View::exists($name), $name);
        }
    }

    public function test_a_list_of_choices_says_each_value_once(): void
    {
        $lists = new Lists;
        foreach (['statusOptions', 'grades', 'courses', 'importFields', 'sexFound', 'effectOptions', 'roleOptions'] as $name) {
            $options = $lists->$name();
            $this->assertNotSame([], $options, $name);
            $this->assertSame(count($options), count(array_unique($options)), $name);
        }
        $this->assertSame(['helper', 'viewer'], array_keys($lists->roleOptions()), 'nobody is made an owner by a form');
        $this->assertLessThan(count($lists->traitLooks(true)), count($lists->traitLooks(false)));
        $this->assertNotContains('opened', array_map(fn ($kind): string => $kind->value, $lists->eggEvents()));
        foreach ($lists->assumptions() as $one) {
            $this->assertNotSame('', $one['label']);
            $this->assertIsNumeric($one['default']);
        }
    }

    /** @return iterable<string, array{float, string}> */
    public static function shares(): iterable
    {
        yield 'nothing' => [0.0, "0\u{a0}%"];
        yield 'hardly anything' => [.002, "under 1\u{a0}%"];
        yield 'a third' => [1 / 3, "33\u{a0}%"];
        yield 'nearly all' => [.9999, "over 99\u{a0}%"];
        yield 'all' => [1.0, "100\u{a0}%"];
    }

    #[DataProvider('shares')]
    public function test_a_share_is_never_said_to_be_none_or_all_when_it_is_not(float $share, string $said): void
    {
        $this->assertSame($said, OddsWords::share($share));
    }

    public function test_a_scale_is_straight_and_knows_a_range_of_one_value(): void
    {
        $scale = Scale::of(10, 20, 100, 300);
        $this->assertSame([100.0, 200.0, 300.0, 60.0], [$scale->at(10), $scale->at(15), $scale->at(20), $scale->length(3)]);
        $this->assertSame([300.0, 100.0], [Scale::of(0, 1, 300, 100)->at(0), Scale::of(0, 1, 300, 100)->at(1)], 'downwards');
        $this->assertSame(40.0, Scale::of(5, 5, 40, 80)->at(5));
    }

    public function test_an_axis_has_round_values_within_its_range(): void
    {
        foreach ([[0.0, 1.0], [29.7, 32.4], [13.0, 981.0], [-3.0, 47.0], [1e-4, 9e-4]] as [$from, $to]) {
            $ticks = Axis::ticks($from, $to);
            $this->assertGreaterThanOrEqual(2, count($ticks));
            $this->assertLessThanOrEqual(6, count($ticks));
            $step = $ticks[1] - $ticks[0];
            $this->assertEqualsWithDelta(Axis::step($step), $step, 1e-9 * $step, 'a step is 1, 2 or 5 times a power of ten');
            foreach ($ticks as $tick) {
                $this->assertGreaterThanOrEqual($from - 1e-9, $tick);
                $this->assertLessThanOrEqual($to + 1e-9, $tick);
                $this->assertEqualsWithDelta(round($tick / $step), $tick / $step, 1e-6);
            }
        }
        $this->assertSame([7.0], Axis::ticks(7, 7));
    }
}
