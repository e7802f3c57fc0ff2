<?php

declare(strict_types=1);

namespace Tests\Core\Money;

use Destino\Money\Money;
use Destino\Money\MoneyError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

class MoneyTest extends TestCase
{
    /** @return iterable<string, array{string, int}> */
    public static function amounts(): iterable
    {
        foreach ([
            '400' => 40000, '349.50' => 34950, '349,5' => 34950, '1,250' => 125000, '1.250' => 125000, '1,250.50' => 125050,
            '1.250,50' => 125050,
            '1 250' => 125000, "1'250" => 125000, '€80' => 8000, '80 €' => 8000, ' € 1,250.5 ' => 125050, '0' => 0, '-20' => -2000,
            '−20.10' => -2010,
            '1,000,000' => 100000000, '1.000.000,25' => 100000025, '.5' => 50, '12.34' => 1234, '0.07' => 7,
        ] as $text => $minor) {
            yield (string) $text => [(string) $text, $minor];
        }
    }

    #[DataProvider('amounts')]
    public function testAmountsAreReadAsPeopleWriteThem(string $text, int $minor): void
    {
        $this->assertSame($minor, Money::parse($text, '€')->minor);
    }

    /** @return iterable<string, array{string, string}> */
    public static function none(): iterable
    {
        yield 'nothing' => ['', 'is not an amount'];
        yield 'a word' => ['gift', 'is not an amount'];
        yield 'another currency' => ['£80', 'not in €'];
        yield 'with words' => ['400 (with enclosure)', 'not in €'];
        yield 'three decimals beside a thousand' => ['1,250.505', 'is not an amount'];
        yield 'two points' => ['1.2.3', 'is not an amount'];
        yield 'a point alone' => ['.', 'is not an amount'];
        yield 'too many digits' => ['12345678901234', 'more than anybody pays'];
        yield 'broken text' => ["\xff1", ''];
    }

    #[DataProvider('none')]
    public function testWhatIsNoAmountIsToldSo(string $text, string $says): void
    {
        try {
            $money = Money::parse($text, '€');
            $this->fail("{$text} was read as {$money->words()}");
        } catch (MoneyError $error) {
            $this->assertStringContainsString($says, $error->getMessage());
        }
    }

    public function testAmountsAddUpExactly(): void
    {
        $sum = Money::zero('€');
        for ($i = 0; $i < 1000; $i++) {
            $sum = $sum->plus(Money::parse('0.10', '€'));
        }
        $this->assertSame(['€ 100', 10000], [$sum->words(), $sum->minor]);
        $this->assertSame('−€ 0.05', $sum->minus(Money::parse('100.05', '€'))->words());
        $this->assertSame('€ 1,250.50', Money::of(125050, '€')->words());
        $this->assertTrue(Money::of(-1, '€')->isNegative());
    }

    public function testCurrenciesNeverMix(): void
    {
        $this->expectExceptionObject(MoneyError::mixed('€', 'kr'));
        Money::of(1, '€')->plus(Money::of(1, 'kr'));
    }
}
