<?php

declare(strict_types=1);

namespace Tests\Core\Pairing;

use Destino\Pairing\Advice\Advice;
use Destino\Pairing\Advice\Advisor;
use Destino\Pairing\Advice\Stance;
use Destino\Pairing\Advice\Verdict;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

final class VerdictTest extends TestCase
{
    private const RULES = [
        'wobble' => Stance::Warn, 'kinking' => Stance::Warn, 'female-laying-trouble' => Stance::Refuse,
        Advice::DIES => Stance::Refuse,
    ];

    /** @return iterable<string, array{string, string, Stance, string}> sire, dam, stance, a word of the reason */
    public static function pairings(): iterable
    {
        yield 'nothing stands against it' => ['Pastel', 'Enchi', Stance::Inform, ''];
        yield 'young that may wobble' => ['Spider', 'Pastel', Stance::Warn, 'Wobble'];
        yield 'young that die are graver than young that wobble' => ['Spider', 'Spider', Stance::Refuse, 'Super Spider'];
        yield 'a dam that can come to harm' => ['Pastel', 'Desert', Stance::Refuse, 'The dam is Desert'];
        yield 'the same gene in the sire harms no dam' => ['Desert', 'Pastel', Stance::Inform, ''];
        yield 'kinks in two copies, from two hets of it' => ['Cinnamon', 'Black Pastel', Stance::Warn, 'kinking'];
        yield 'kinks need both copies' => ['Cinnamon', 'Pastel', Stance::Inform, ''];
    }

    #[DataProvider('pairings')]
    public function testTheStrictestRuleThatAppliesSpeaks(string $sire, string $dam, Stance $stance, string $word): void
    {
        $verdict = Verdict::of(Advisor::advise(Shelf::cross($sire, $dam)), self::RULES);
        self::assertSame($stance, $verdict->stance);
        self::assertSame($stance === Stance::Inform, $verdict->because === []);
        self::assertStringContainsStringIgnoringCase(
            $word, implode(' ', array_map(static fn (Advice $advice): string => $advice->text, $verdict->because)),
        );
    }

    public function testAnotherHouseDecidesOtherwise(): void
    {
        $advice = Advisor::advise(Shelf::cross('Spider', 'Spider'));
        self::assertSame(Stance::Inform, Verdict::of($advice, [])->stance);
        self::assertSame(Stance::Refuse, Verdict::of($advice, ['wobble' => Stance::Refuse])->stance);
        foreach (Verdict::of($advice, ['wobble' => Stance::Warn] + self::RULES)->because as $item) {
            self::assertSame(Advice::DIES, $item->condition);
        }
    }
}
