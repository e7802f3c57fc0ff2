<?php

declare(strict_types=1);

namespace Tests\Core\Identification;

use Destino\Appearance\Axis;
use Destino\Appearance\Look;
use Destino\Appearance\Noise;
use Destino\Appearance\Sureness;
use Destino\Genome\Form;
use Destino\Identification\CueChances;
use Destino\Identification\CuesRead;
use Destino\Identification\Reading\Amounts;
use Destino\Identification\Reading\StateChances;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Shelf;

/**
 * What is said with 98 % is right about as often: young of five genes, each a little different, of lines that differ from the drawing
 * on every axis, and a keeper who slips in one reading of twenty-five.
 */
final class CueCalibrationTest extends TestCase
{
    private const YOUNG = 240;

    private const DAYS = 3;

    private const LINE = .2;

    private const SLIP = .04;

    private const GENES = ['pastel' => 1, 'enchi' => 1, 'spotnose' => 1, 'leopard' => 1, 'clown' => 2];

    private CueChances $chances;

    /** @var array<string, Axis> */
    private array $axes;

    protected function setUp(): void
    {
        $this->chances = new CueChances(Shelf::catalogue(), Shelf::facts()->looks());
        $this->axes = Shelf::facts()->looks()->axes;
    }

    public function testWhatIsSaidIsRightAsOftenAsItIsSaid(): void
    {
        $chance = new Randomizer(new Mt19937(41));
        $said = [];
        for ($i = 1; $i <= self::YOUNG; $i++) {
            $own = array_filter(self::forms(), static fn (): bool => $chance->getInt(0, 1) === 1);
            foreach ($this->believed($this->seen($own, $i, $chance)) as $gene => $p) {
                $said[] = [$p, isset($own[$gene])];
            }
        }
        $right = static function (float $from, float $to) use ($said): array {
            $in = array_filter($said, static fn (array $one): bool => $one[0] >= $from && $one[0] <= $to);

            return [count($in), array_sum(array_column($in, 0)) / count($in), count(array_filter(array_column($in, 1))) / count($in)];
        };
        [$count, $mean, $share] = $right(.96, 1.0);
        self::assertGreaterThan(100, $count);
        self::assertEqualsWithDelta($mean, $share, .025, "said {$mean}, right {$share} of {$count}");
        self::assertGreaterThanOrEqual(.96, $share);
        [$count, $mean, $share] = $right(.0, .04);
        self::assertGreaterThan(100, $count);
        self::assertLessThanOrEqual(.04, $share, "said {$mean}, right {$share} of {$count}");
        [$count, $mean, $share] = $right(.2, .8);
        self::assertGreaterThan(50, $count);
        self::assertEqualsWithDelta($mean, $share, .12, "said {$mean}, right {$share} of {$count}");
    }

    /** @return array<string, Form> by gene */
    private static function forms(): array
    {
        $catalogue = Shelf::catalogue();
        $forms = [];
        foreach (self::GENES as $gene => $copies) {
            $allele = $catalogue->allele($gene);
            $forms[$gene] = $copies === 2 ? $catalogue->twoCopies($allele) : $catalogue->oneCopy($allele);
        }

        return $forms;
    }

    /**
     * @param array<string, Form> $own
     * @return array<string, int> state by cue, as this young looks to this keeper
     */
    private function seen(array $own, int $seed, Randomizer $chance): array
    {
        $look = Shelf::facts()->looks()->look(Shelf::catalogue(), array_values($own), self::DAYS, $seed);
        $line = Noise::of(intdiv($seed, 6) + 10_000);
        $values = $look->values;
        foreach (array_keys($this->axes) as $i => $axis) {
            if (! $this->axes[$axis]->comesAlone() || ($values[$axis] ?? 0.0) > 0.0) {
                $values[$axis] = ($values[$axis] ?? 0.0) + self::LINE * $line->gauss($i + 1);
            }
        }
        $amounts = new Amounts([], new Look($values, [], Sureness::Known, [], self::DAYS, $seed));
        $seen = [];
        foreach (Shelf::facts()->cues() as $key => $cue) {
            if ($cue->reading === null || $cue->fromDays > self::DAYS || $cue->reading->askedFrom !== []) {
                continue;
            }
            $chances = StateChances::of($cue->reading, $amounts, self::DAYS);
            $draw = $chance->getInt(0, 999_999) / 1e6;
            $state = -1;
            do {
                $draw -= $chances[++$state];
            } while ($draw > 0 && $state < count($chances) - 1);
            $seen[$key] = $chance->getInt(0, 99) < 100 * self::SLIP ? $chance->getInt(0, count($chances) - 1) : $state;
        }

        return $seen;
    }

    /**
     * @param array<string, int> $seen
     * @return array<string, float> P(the young has the gene), of genotypes that are all alike beforehand
     */
    private function believed(array $seen): array
    {
        $read = [];
        foreach ($seen as $key => $state) {
            $read[$key] = ['cue' => Shelf::facts()->cues()[$key], 'state' => $state, 'days' => self::DAYS];
        }
        $possible = [];
        foreach (self::forms() as $form) {
            $possible[$form->locus] = [Shelf::catalogue()->form($form->locus, '+', '+'), $form];
        }
        $groups = CuesRead::observed($this->chances, $read)[0]->among($possible);
        $sum = 0.0;
        $with = array_fill_keys(array_keys(self::GENES), 0.0);
        for ($set = 0; $set < 1 << count(self::GENES); $set++) {
            $own = $forms = [];
            foreach (array_keys(self::GENES) as $bit => $gene) {
                ($set >> $bit & 1) === 0 ?: $own[$gene] = self::forms()[$gene];
            }
            foreach ($own as $form) {
                $forms[$form->locus] = $form;
            }
            $p = 1.0;
            foreach ($groups as $group) {
                $p *= $group->of($forms, null)->toFloat();
            }
            $sum += $p;
            foreach (array_keys($own) as $gene) {
                $with[$gene] += $p;
            }
        }

        return array_map(static fn (float $p): float => $p / $sum, $with);
    }
}
