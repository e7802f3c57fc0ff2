<?php

declare(strict_types=1);

namespace Tests\Core;

use Destino\Genome\UnknownSchool;
use Destino\Planning\Given\ProjectError;
use Destino\Spelling;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

final class SpellingTest extends TestCase
{
    public function testOneSlipIsALetterTooManyMissingWrongOrTwoExchanged(): void
    {
        foreach (
            [
                ['clown', 'clown', 0], ['clwon', 'clown', 1], ['cloown', 'clown', 1], ['clon', 'clown', 1], ['clawn', 'clown', 1],
                ['lcwon', 'clown', 2], ['', 'abc', 3], ['abc', '', 3], ['ca', 'abc', 3],
            ] as [$a, $b, $slips]
        ) {
            self::assertSame($slips, Spelling::distance($a, $b), "{$a} {$b}");
            self::assertSame($slips, Spelling::distance($b, $a), "{$b} {$a}");
        }
    }

    public function testIsTheShortestOfAllWaysOnRandomWords(): void
    {
        // Against plain recursion over every way to align two words.
        mt_srand(5);
        $word = static fn (): string => substr(str_shuffle('aabbcc'), 0, mt_rand(0, 5));
        for ($i = 0; $i < 300; $i++) {
            [$a, $b] = [$word(), $word()];
            self::assertSame(self::plainly($a, $b), Spelling::distance($a, $b), "{$a} {$b}");
        }
    }

    private static function plainly(string $a, string $b): int
    {
        if ($a === '' || $b === '') {
            return strlen($a) + strlen($b);
        }
        $least = min(
            self::plainly(substr($a, 1), $b) + 1, self::plainly($a, substr($b, 1)) + 1,
            self::plainly(substr($a, 1), substr($b, 1)) + ($a[0] === $b[0] ? 0 : 1),
        );
        if (strlen($a) > 1 && strlen($b) > 1 && $a[0] === $b[1] && $a[1] === $b[0]) {
            $least = min($least, self::plainly(substr($a, 2), substr($b, 2)) + 1);
        }

        return $least;
    }

    public function testAWordThatCannotHaveBeenMeantIsNotOffered(): void
    {
        $known = ['desert ghost' => 'Desert Ghost', 'genetic stripe' => 'Genetic Stripe', 'yb' => 'Yellow Belly', 'enchi' => 'Enchi'];
        self::assertSame([], Spelling::nearest('dg', $known));
        self::assertSame([], Spelling::nearest('ya', $known), 'two letters are not guessed at');
        self::assertSame([], Spelling::nearest('super stripe', $known));
        self::assertSame(['Desert Ghost'], Spelling::nearest('Dessert Gost', $known));
        self::assertSame(['Genetic Stripe'], Spelling::nearest('genetic', $known), 'the beginning of a name');
        self::assertSame(['Enchi'], Spelling::nearest('Énchi', $known), 'accents do not count');
    }

    public function testSchoolsAndAssumptionsAreMatchedInTheSameWay(): void
    {
        self::assertSame(
            ['enchi-cinnamon-allelism'],
            UnknownSchool::noSuchClaim('enchi-cinamon-alelism', array_keys(Shelf::catalogue()->claims))->suggestions,
        );
        self::assertStringContainsString(
            'Did you mean lay_rate?', ProjectError::unknownAssumption('lay_rtae', ['lay_rate', 'clutch_mean'])->getMessage(),
        );
    }
}
