<?php

declare(strict_types=1);

namespace Tests\Core\Probability;

use Destino\Probability\Luck;
use Destino\Probability\LuckTogether;
use Destino\Probability\Rational;
use PHPUnit\Framework\TestCase;

final class LuckTogetherTest extends TestCase
{
    public function test_one_run_is_that_run(): void
    {
        foreach ([0, 1, 2, 5, 7] as $hits) {
            $one = new Luck(Rational::of(2, 7), 7, $hits);
            $together = new LuckTogether([$one]);
            $this->assertTrue($together->tail()->equals($one->tail()), "{$hits} hits");
            $this->assertTrue($together->expected()->equals($one->expected()));
        }
    }

    public function test_runs_of_one_chance_are_one_longer_run(): void
    {
        $split = new LuckTogether([new Luck(Rational::of(1, 4), 5, 0), new Luck(Rational::of(1, 4), 6, 1)]);
        $this->assertTrue($split->tail()->equals((new Luck(Rational::of(1, 4), 11, 1))->tail()));
        $this->assertSame([11, 1, true], [$split->eggs, $split->hits, $split->isBelowExpected()]);
    }

    public function test_it_agrees_with_counting_every_outcome(): void
    {
        $chances = [[Rational::of(1, 4), 3, 2], [Rational::of(1, 2), 2, 1], [Rational::of(1, 6), 4, 3]];
        $together = new LuckTogether(array_map(fn (array $run): Luck => new Luck(...$run), $chances));
        $eggs = array_merge(...array_map(fn (array $run): array => array_fill(0, $run[1], $run[0]), $chances));
        $sum = Rational::zero();
        for ($which = 0; $which < 2 ** count($eggs); $which++) {
            if (substr_count(decbin($which), '1') < 6) {
                continue; // fewer hits than were seen
            }
            $p = Rational::one();
            foreach ($eggs as $i => $chance) {
                $p = $p->times(($which >> $i & 1) === 1 ? $chance : $chance->complement());
            }
            $sum = $sum->plus($p);
        }
        $this->assertFalse($together->isBelowExpected());
        $this->assertTrue($together->tail()->equals($sum), $together->tail()->toString().' and '.$sum->toString());
    }

    public function test_what_is_sure_or_never_adds_no_luck(): void
    {
        $sure = new LuckTogether([new Luck(Rational::one(), 4, 4), new Luck(Rational::zero(), 3, 0), new Luck(Rational::of(1, 2), 1, 0)]);
        $this->assertTrue($sure->tail()->equals(Rational::of(1, 2)));
        $this->assertTrue((new LuckTogether([]))->tail()->isOne());
    }
}
