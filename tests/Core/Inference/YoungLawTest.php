<?php

declare(strict_types=1);

namespace Tests\Core\Inference;

use Destino\Genome\Diplotype;
use Destino\Genome\Sex;
use Destino\Genome\State;
use Destino\Inference\Inheritance\YoungLaw;
use Destino\Pairing\Cross;
use Destino\Pairing\TargetOdds;
use Destino\Probability\Rational;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

/** The law of inheritance that inference uses is that of a pairing. */
final class YoungLawTest extends TestCase
{
    /** @return iterable<string, array{string, string, list<string>, string}> sire, dam, loci, condition */
    public static function crosses(): iterable
    {
        yield 'two hets' => ['het Clown', 'het Clown', ['clown'], 'Clown'];
        yield 'a complex' => ['Mojave/Mystic', 'Mojave', ['bel'], 'Super Mojave'];
        yield 'a compound out of two' => ['Mojave', 'Mystic', ['bel'], 'Mojave/Mystic'];
        yield 'linked to sex' => ['Banana (male maker)', 'Normal', ['sex'], 'Banana, female'];
        yield 'a dam gives it to both sexes' => ['Normal', 'Banana', ['sex'], 'Banana, male'];
        yield 'two groups' => ['Pastel het Clown', 'Pastel Clown', ['pastel', 'clown'], 'Super Pastel + Clown'];
        yield 'an uncertain sire' => ['66% het Clown', 'het Clown', ['clown'], 'Clown'];
        yield 'one of two' => ['Pastel or Enchi', 'Normal', ['pastel', 'enchi'], 'Pastel, no Enchi'];
        yield 'forms that die' => ['Spider', 'Spider', ['spider'], 'Spider'];
    }

    /** @param list<string> $keys */
    #[DataProvider('crosses')]
    public function testOddsOfAnEggAgreeWithThePairing(string $sire, string $dam, array $keys, string $condition): void
    {
        [$law, $groups] = $this->law($keys);
        [$male, $female] = [
            Shelf::facts()->reader()->read($sire, Sex::Male)->beliefOrFail(),
            Shelf::facts()->reader()->read($dam, Sex::Female)->beliefOrFail(),
        ];
        $target = Shelf::facts()->targets()->read($condition);
        $perEgg = $perHatchling = Rational::zero();
        foreach ($male->statesOver($groups) as [$left, $p]) {
            foreach ($female->statesOver($groups) as [$right, $q]) {
                foreach ($law->eggs($left, $right) as [$young, $chance]) {
                    $perEgg = ! $law->expressions->isLethal($young) && $law->expressions->meets($young, $target)
                        ? $perEgg->plus($p->times($q)->times($chance))
                        : $perEgg;
                }
                $perHatchling = $perHatchling->plus($p->times($q)->times($law->seen($left, $right, $target, false, Rational::one())));
            }
        }
        $cross = Cross::of(Shelf::catalogue(), $male, $female);
        self::assertSame(TargetOdds::of($cross, $target)->chance->perEgg()->toString(), $perEgg->toString());
        if ($male->isCertain() && $female->isCertain()) {
            self::assertSame(TargetOdds::of($cross, $target, hatched: true)->chance->perEgg()->toString(), $perHatchling->toString());
        }
    }

    /** @param list<string> $keys */
    #[DataProvider('crosses')]
    public function testEggsAndLivingYoungSumToOne(string $sire, string $dam, array $keys): void
    {
        [$law, $groups] = $this->law($keys);
        $state = static fn (string $text, Sex $sex): State =>
            Shelf::facts()->reader()->read($text, $sex)->beliefOrFail()->statesOver($groups)[0][0];
        foreach (['eggs', 'living'] as $which) {
            $sum = array_reduce(
                $law->{$which}($state($sire, Sex::Male), $state($dam, Sex::Female)),
                static fn (Rational $sum, array $young): Rational => $sum->plus($young[1]), Rational::zero(),
            );
            self::assertSame('1', $sum->toString());
        }
    }

    public function testAParentOutsideTheRecordsIsWildType(): void
    {
        [$law] = $this->law(['clown']);
        $clown = State::of(['clown' => new Diplotype(['clown'], ['clown'])]);
        self::assertSame(['+~clown'], array_keys($law->living($clown, null)));
        self::assertSame(['+~+'], array_keys($law->living(null, null)));
    }

    public function testADeadEggIsReadWithTheWeightOfItsForm(): void
    {
        [$law] = $this->law(['spider']);
        $spider = State::of(['spider' => new Diplotype(['spider'], ['+'])]);
        $saw = Shelf::facts()->targets()->read('Spider');
        // Two copies die, a quarter; among all eggs three quarters carry it.
        self::assertSame('1/4', $law->seen($spider, $spider, $saw, true, Rational::one())->toString());
        self::assertSame('3/4', $law->seen($spider, $spider, $saw, true, Rational::zero())->toString());
        self::assertSame('1/2', $law->seen($spider, $spider, $saw, true, Rational::of(1, 2))->toString());
        self::assertSame('2/3', $law->seen($spider, $spider, $saw, false, Rational::one())->toString());
    }

    /**
     * @param list<string> $keys
     * @return array{YoungLaw, list<\Destino\Genome\LinkageGroup>}
     */
    private function law(array $keys): array
    {
        $groups = array_map(
            static fn (string $key): \Destino\Genome\LinkageGroup =>
                $key === 'sex' ? Shelf::catalogue()->sexGroup() : Shelf::catalogue()->groupOf($key),
            $keys,
        );

        return [new YoungLaw(Shelf::catalogue(), $groups), $groups];
    }
}
