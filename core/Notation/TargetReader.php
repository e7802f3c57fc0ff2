<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Catalogue;

/** Reads a target: "Clown + Super Pastel, not Spider, female" (commands.md). */
final readonly class TargetReader
{
    private NameIndex $names;

    /**
     * @param array<string, string> $lines the line that a keeper's house rules name for a shared word, by that word
     * @param bool $takesChoices whether "or" between genes and "at least two of" can be answered where its targets are used
     */
    public function __construct(
        private Catalogue $catalogue,
        ?NameIndex $names = null,
        private array $lines = [],
        private bool $takesChoices = false,
    ) {
        $this->names = $names ?? new NameIndex($catalogue);
    }

    /** The same where "or" between genes and "at least two of" can be answered. */
    public function withChoices(): self
    {
        return new self($this->catalogue, $this->names, $this->lines, takesChoices: true);
    }

    /** @throws NotationError at the first piece that cannot be read */
    public function read(string $text): Target
    {
        [$target, $errors] = $this->readAll($text);

        return $target ?? throw $errors[0];
    }

    /**
     * Reads everything that can be read and collects all errors.
     *
     * @return array{Target, array{}}|array{null, non-empty-list<NotationError>}
     */
    public function readAll(string $text): array
    {
        if (mb_strlen($text) > GenotypeReader::MOST_CHARACTERS) {
            return [null, [NotationError::tooLong(mb_strlen($text), GenotypeReader::MOST_CHARACTERS)]];
        }
        $parser = new TargetParser($this->catalogue, $this->names, $this->lines, new TokenStream($text), $this->takesChoices);
        $found = $parser->pieces();
        $errors = $parser->errors;
        if ($errors === [] && $found->isEmpty()) {
            $errors[] = NotationError::nothingToRead('Type what you want to hatch, for example “Clown + Pastel”.');
        }

        return $errors === [] ? [$found->saidAs(trim($text), $parser->notes()), []] : [null, $errors];
    }
}
