<?php

declare(strict_types=1);

namespace Destino\Notation;

/** "Normal", "wild type": nothing shows. Beside a gene that shows that is a contradiction; beside hets it is not. */
final class NormalWord
{
    private ?Token $at = null;

    public function __construct(private readonly TokenStream $stream) {}

    public function read(Token $start): Piece
    {
        $this->stream->advance();
        if ($start->isWord('wild')) {
            $this->stream->take('type');
        }
        $this->at = $start;
        $to = $this->stream->previous()->to;

        return new Piece($this->stream->slice($start->from, $to), $start->from, $to, 'no gene that shows');
    }

    /**
     * @param list<Statement> $statements
     * @return list<NotationError>
     */
    public function against(array $statements, FormReader $forms): array
    {
        $errors = [];
        foreach ($this->at === null ? [] : $statements as $statement) {
            $form = $statement->isCertain() ? $forms->words->formOf($statement->alleles()) : null;
            if ($this->at !== null && $form !== null && $form->shows !== []) {
                $errors[] = NotationError::misplaced($this->at->text, $this->at->from, "the text also names {$form->text}, which shows.");
            }
        }

        return $errors;
    }
}
