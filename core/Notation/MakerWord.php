<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Catalogue;
use Destino\Genome\Sex;

/** "male maker" behind a gene that is not linked to sex ("Banana Clown, male maker") belongs to the one gene of the text that is. */
final class MakerWord
{
    /** @var list<array{Sex, int, string}> which young it makes, where it stands, name of the gene before it */
    private array $found = [];

    public function __construct(private readonly TokenStream $stream, private readonly Catalogue $catalogue) {}

    /** @param list<Statement> $before statements that stand before it */
    public function take(array $before): bool
    {
        $open = $this->stream->current();
        $shift = $open->is(TokenType::Open) ? 1 : 0;
        [$maker, $length] = self::at($this->stream, $shift);
        if ($maker === null || ($shift === 1 && ! $this->stream->peek($shift + $length)->is(TokenType::Close))) {
            return false;
        }
        $this->stream->advance($length + 2 * $shift);
        $last = $before === [] ? '' : $this->catalogue->allele($before[count($before) - 1]->alternatives[0][1][0] ?? '')->name;
        $this->found[] = [$maker, $open->from, $last];

        return true;
    }

    /** @return array{Sex|null, int} which young are made by what stands so many tokens ahead, and how many tokens say it */
    public static function at(TokenStream $stream, int $ahead): array
    {
        $token = $ahead === 0 ? $stream->current() : $stream->peek($ahead);
        if (Keyword::of($token) === Keyword::Maker) {
            return [$token->isWord('mm') ? Sex::Male : Sex::Female, 1];
        }
        $sex = Sex::tryFrom($token->word);

        return $sex !== null && $stream->peek($ahead + 1)->isWord('maker') ? [$sex, 2] : [null, 0];
    }

    /**
     * The statements with what was said of the maker.
     *
     * @param list<Statement> $statements
     * @return array{list<Statement>, list<NotationError>}
     */
    public function settle(array $statements): array
    {
        $errors = [];
        foreach ($this->found as [$maker, $from, $name]) {
            $linked = array_keys(array_filter($statements, fn (Statement $one): bool => $one->maker === null && $this->isLinked($one)));
            if (count($linked) === 1) {
                $statements[$linked[0]] = $statements[$linked[0]]->makerOf($maker);
            } else {
                $errors[] = NotationError::misplaced(
                    '(… maker)', $from,
                    $linked === [] ? "{$name} is not linked to sex, so it makes neither more males nor more females."
                        : 'write it behind the gene that it belongs to.',
                    $name === '' ? [] : [$name],
                );
            }
        }

        return [array_values($statements), $errors];
    }

    private function isLinked(Statement $one): bool
    {
        $alleles = $one->alternatives[0][1];

        return count($one->alternatives) === 1 && count($alleles) === 1
            && $this->catalogue->groupOf($this->catalogue->allele($alleles[0])->locus)->holdsSex();
    }
}
