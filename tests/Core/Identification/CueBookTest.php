<?php

declare(strict_types=1);

namespace Tests\Core\Identification;

use Destino\Identification\Cue;
use Destino\Identification\CueBook;
use Destino\Identification\IdentificationError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

final class CueBookTest extends TestCase
{
    public function testTheShippedCuesAreReadAndEveryRuleCanHold(): void
    {
        $cues = Shelf::facts()->cues();
        self::assertGreaterThan(30, count($cues));
        foreach ($cues as $cue) {
            self::assertTrue($cue->reading !== null || $cue->rules[count($cue->rules) - 1]->when === null, $cue->key);
            foreach ($cue->rules as $rule) {
                self::assertCount(count($cue->states), $rule->chances);
            }
        }
    }

    public function testDecimalsAreTakenAsWritten(): void
    {
        $cue = self::read(['given' => [['when' => 'Pastel', 'chances' => [0.15, 0.85]], ['chances' => [0.5, 0.5]]]]);
        self::assertSame(['3/20', '17/20'], array_map(static fn ($chance): string => $chance->toString(), $cue->rules[0]->chances));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'one state' => [['states' => ['a'], 'given' => [['chances' => [1]]]], 'two states or more'];
        yield 'too few chances' => [['given' => [['chances' => [1]]]], 'it has 2 states and 1 chances'];
        yield 'chances that do not add up' => [['given' => [['chances' => [.5, .4]]]], 'add up to 0.9, not to 1'];
        yield 'a chance below 0' => [['given' => [['chances' => [1.5, -.5]]]], 'no chance is below 0'];
        yield 'no last rule' => [['given' => [['when' => 'Pastel', 'chances' => [.5, .5]]]], 'wants a last rule'];
        yield 'no rule at all' => [['given' => []], 'wants a last rule'];
        yield 'an unknown gene' => [
            ['given' => [['when' => 'Pstel', 'chances' => [.5, .5]], ['chances' => [.5, .5]]]], 'Did you mean Pastel?',
        ];
        yield 'a rule that can never hold' => [
            [
                'given' => [
                    ['when' => 'Pastel', 'chances' => [.5, .5]], ['when' => 'Super Pastel', 'chances' => [.4, .6]], ['chances' => [.5, .5]],
                ],
            ],
            'the rule for Super Pastel can never hold, since the one for Pastel before it always does',
        ];
        yield 'something behind the last rule' => [
            ['given' => [['chances' => [.5, .5]], ['when' => 'Pastel', 'chances' => [.5, .5]]]], 'wants a last rule',
        ];
        yield 'a cue that repeats nobody' => [['repeats' => 'nothing', 'given' => [['chances' => [.5, .5]]]], 'There is no cue “nothing”'];
    }

    /** @param array<string, mixed> $wrong */
    #[DataProvider('wrong')]
    public function testWhatIsWrongIsNamed(array $wrong, string $says): void
    {
        $this->expectException(IdentificationError::class);
        $this->expectExceptionMessage($says);
        self::read($wrong);
    }

    public function testARuleForWhatIsNotThereLeavesRoomForOthers(): void
    {
        foreach ([['no Enchi', 'Pastel'], ['not Pastel', 'Clown'], ['Pastel', 'no Enchi'], ['only Pastel', 'Pastel']] as $rules) {
            $given = [...array_map(static fn (string $when): array => ['when' => $when, 'chances' => [.5, .5]], $rules), ['chances' => [.5, .5]]];
            self::assertCount(3, self::read(['given' => $given])->rules, implode(', ', $rules));
        }
        foreach ([['no Enchi', 'no Enchi, no Pastel'], ['Pastel', 'only Super Pastel'], ['not Pastel', 'no Pastel']] as $rules) {
            $given = [...array_map(static fn (string $when): array => ['when' => $when, 'chances' => [.5, .5]], $rules), ['chances' => [.5, .5]]];
            try {
                self::read(['given' => $given]);
                self::fail(implode(' before ', $rules).' was taken');
            } catch (IdentificationError $error) {
                self::assertStringContainsString('can never hold', $error->getMessage());
            }
        }
    }

    public function testACompoundMayStandBehindItsParts(): void
    {
        $cue = self::read(
            [
                'given' => [
                    ['when' => 'Pastel + Enchi', 'chances' => [.1, .9]], ['when' => 'Pastel', 'chances' => [.5, .5]],
                    ['chances' => [.5, .5]],
                ],
            ],
        );
        self::assertCount(3, $cue->rules);
    }

    /** @param array<string, mixed> $entry */
    private static function read(array $entry): Cue
    {
        return (
            new CueBook(Shelf::catalogue(), Shelf::facts()->targets())
        )->read([$entry + ['key' => 'edge', 'states' => ['a', 'b']]])['edge'];
    }
}
