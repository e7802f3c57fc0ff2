<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Sex;

/** Sex and number of an animal, which people write beside its genes: "1.0 Pastel", "#12 Enchi", "male Pastel". */
final class Particulars
{
    public ?Sex $sex = null;

    public ?string $number = null;

    public ?Token $from = null;

    /** @var list<string> */
    private array $notes = [];

    public function __construct(private readonly TokenStream $stream) {}

    /** @return list<string> */
    public function notes(): array
    {
        return $this->notes;
    }

    /** @throws NotationError where two sexes are named */
    public function take(NameIndex $names): bool
    {
        $token = $this->stream->current();
        if ($names->match($this->stream) !== null) {
            return false;
        }
        if ($this->takeNumber($token)) {
            return true;
        }
        $sex = $this->sexAt($token);
        if ($sex === false) {
            return false;
        }
        if ($sex !== null && $this->sex !== null && $this->sex !== $sex) {
            throw NotationError::misplaced($token->text, $token->from, 'one animal is not both male and female.');
        }
        $this->sex = $sex ?? $this->sex;
        $this->from ??= $token;
        $piece = $this->stream->slice($token->from, $this->stream->previous()->to);
        $this->notes[] = $sex === null ? "“{$piece}” says that the sex is not known." : "“{$piece}” is its sex, {$sex->value}, not a gene.";

        return true;
    }

    private function takeNumber(Token $token): bool
    {
        if (
            $token->text === '#'
            && ($this->stream->peek()->is(TokenType::Number) || $this->stream->peek()->is(TokenType::Word))
            && $this->stream->peek()->from === $token->to + 1
        ) {
            $this->stream->advance();
            $first = $this->stream->current()->from;
            do { // all that is written in one piece: "#B-7"
                $this->stream->advance();
                $between = $this->stream->slice($this->stream->previous()->to + 1, $this->stream->current()->from - 1);
            } while (
                in_array($between, ['', '-'], true)
                && ($this->stream->current()->is(TokenType::Word) || $this->stream->current()->is(TokenType::Number))
            );
            $this->number = $this->stream->slice($first, $this->stream->previous()->to);
            $this->notes[] = "“#{$this->number}” is its number, not a gene.";

            return true;
        }
        $isCode = preg_match('/^[a-z]{1,4}\d{2,}$/D', $token->word) === 1; // "PC2201: Pastel"
        if ($token->from === 1 && $token->is(TokenType::Word) && $isCode) {
            $this->stream->advance();
            $this->stream->advance($this->stream->current()->text === ':' ? 1 : 0);
            $this->number = $token->text;
            $this->notes[] = "“{$this->number}” is its number, not a gene.";

            return true;
        }

        return false;
    }

    /** @return Sex|null|false the sex that stands here, null for one that is not known; false where none does */
    private function sexAt(Token $token): Sex|null|false
    {
        $counted = ['1.0' => Sex::Male, '0.1' => Sex::Female, '0.0' => null];
        if (
            $token->is(TokenType::Number)
            && array_key_exists(str_replace(',', '.', $token->text), $counted)
            && ! $this->stream->peek()->is(TokenType::Percent)
        ) {
            $this->stream->advance();
            if ($this->stream->current()->text === '.' && in_array($this->stream->peek()->text, ['0', '1'], true)) {
                $this->stream->advance(2);
            }

            return $counted[str_replace(',', '.', $token->text)];
        }
        $sex = [
            'male' => Sex::Male, 'female' => Sex::Female, '♂' => Sex::Male, '♀' => Sex::Female, 'm' => Sex::Male, 'f' => Sex::Female,
        ][$token->is(TokenType::Word) ? $token->word : $token->text]
            ?? false;
        $this->stream->advance($sex === false ? 0 : 1);

        return $sex;
    }
}
