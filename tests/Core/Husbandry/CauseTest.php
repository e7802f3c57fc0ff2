<?php

declare(strict_types=1);

namespace Tests\Core\Husbandry;

use Destino\Husbandry\Cause;
use InvalidArgumentException;
use PHPUnit\Framework\TestCase;

class CauseTest extends TestCase
{
    public function testOnlyTwoCopyYoungSpeakForTheGenes(): void
    {
        $cause = Cause::weigh(2, 2, 0, 4);
        // genes 1/3 × (49/50)^4, incubation 2! 4! / 7!, chance (1/50)² (49/50)^4
        $genes = (1 / 3) * .98 ** 4;
        $incubation = 48 / 5040;
        $chance = .02 ** 2 * .98 ** 4;
        $all = $genes + $incubation + $chance;
        $this->assertEqualsWithDelta(
            [$genes / $all, $incubation / $all, $chance / $all],
            [$cause->genes->toFloat(), $cause->incubation->toFloat(), $cause->chance->toFloat()], 1e-12,
        );
        $this->assertGreaterThan(.95, $cause->genes->toFloat());
    }

    public function testAllAlikeSpeakForIncubation(): void
    {
        $cause = Cause::weigh(2, 2, 4, 4);
        $this->assertGreaterThan(.99, $cause->incubation->toFloat());
    }

    public function testOneInALargeClutchMayBeChance(): void
    {
        $cause = Cause::weigh(0, 0, 1, 9);
        $this->assertSame('0', $cause->genes->toString());
        $this->assertGreaterThan($cause->incubation->toFloat(), $cause->chance->toFloat());
    }

    public function testTheThreeAddUpToOne(): void
    {
        $met = 0;
        for ($of = 0; $of <= 4; $of++) {
            for ($rest = 0; $rest <= 4; $rest++) {
                for ($affected = 0; $affected <= $of; $affected++) {
                    for ($others = 0; $others <= $rest; $others++) {
                        $cause = Cause::weigh($affected, $of, $others, $rest);
                        $this->assertTrue($cause->genes->plus($cause->incubation)->plus($cause->chance)->isOne());
                        $met++;
                    }
                }
            }
        }
        $this->assertSame(225, $met);
    }

    public function testMoreThanThereAreCannotBe(): void
    {
        $this->expectException(InvalidArgumentException::class);
        Cause::weigh(3, 2, 0, 0);
    }
}
