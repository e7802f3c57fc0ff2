<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Allele;
use Destino\Genome\Inheritance;

/** How many of something a target asks for: "at least three of", "any two of", "two co-dominants". */
final readonly class Amount
{
    private const NUMBERS = ['one' => 1, 'two' => 2, 'three' => 3, 'four' => 4, 'five' => 5, 'six' => 6, 'seven' => 7, 'eight' => 8];

    private const KINDS = [
        'recessive' => [Inheritance::Recessive], 'dominant' => [Inheritance::Dominant],
        'codominant' => [Inheritance::IncompleteDominant], 'codom' => [Inheritance::IncompleteDominant],
        'gene' => [Inheritance::Recessive, Inheritance::IncompleteDominant, Inheritance::Dominant],
    ];

    /** @param list<Inheritance>|null $kinds what is counted where genes of a kind are; null where a list follows */
    private function __construct(public int $atLeast, public ?array $kinds) {}

    /** Takes the words of an amount, where some stand here; the stream stays where it was otherwise. */
    public static function take(TokenStream $stream): ?self
    {
        $ahead = $stream->current()->isWord('at') && $stream->peek()->isWord('least') ? 2 : ($stream->current()->isWord('any') ? 1 : 0);
        $number = $stream->peek($ahead);
        $count = self::NUMBERS[$number->word] ?? ($number->is(TokenType::Number) && ctype_digit($number->text) ? (int) $number->text : 0);
        if ($count < 1 || $stream->peek($ahead + 1)->is(TokenType::Percent)) {
            return null;
        }
        $ahead++;
        if ($stream->peek($ahead)->isWord('of')) {
            $stream->advance($ahead + 1);
            $stream->take('these', 'the');

            return new self($count, null);
        }
        $isHyphened = $stream->peek($ahead)->isWord('co');
        $word = ($isHyphened ? 'co' : '').rtrim($stream->peek($ahead + ($isHyphened ? 1 : 0))->word, 's');
        $word = $word === 'codom' || $word === 'codominant' ? $word : ($isHyphened ? '' : $word);
        if (isset(self::KINDS[$word])) {
            $stream->advance($ahead + ($isHyphened ? 2 : 1));

            return new self($count, self::KINDS[$word]);
        }

        return null;
    }

    /** @param Allele $allele whether it is of the kind that is counted */
    public function counts(Allele $allele): bool
    {
        return in_array($allele->inheritance, $this->kinds ?? [], true);
    }
}
