<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Catalogue;
use Destino\Genome\Sex;

/**
 * Reads a genotype in the keeper's words (genetics.md, section 4): "Pastel 66% het Clown", "Mojave/Mystic",
 * "Yellow Belly or Gravel", "Banana (male maker)".
 */
final readonly class GenotypeReader
{
    public const MOST_CHARACTERS = 2000;

    private NameIndex $names;

    /** @param array<string, string> $lines the line that a keeper's house rules name for a shared word, by that word */
    public function __construct(
        private Catalogue $catalogue,
        ?NameIndex $names = null,
        private array $lines = [],
        private bool $isSlashEither = false,
    ) {
        $this->names = $names ?? new NameIndex($catalogue);
    }

    /**
     * Reads everything that can be read and collects all errors, for a form.
     *
     * @param Sex|null $sex null where it is not known: a text that names one is then taken at its word
     */
    public function read(string $text, ?Sex $sex): Reading
    {
        $length = mb_strlen($text);
        if ($length > self::MOST_CHARACTERS) {
            return new Reading($text, null, [], [], [NotationError::tooLong($length, self::MOST_CHARACTERS)]);
        }
        if (trim($text) === '') {
            return new Reading(
                $text, null, [], [],
                [
                    NotationError::nothingToRead(
                        'Type what '.($sex === null ? 'it' : "the {$sex->value}").' carries, or “Normal” for an animal without any gene.',
                    ),
                ],
            );
        }
        $parser = new StatementParser($this->catalogue, $this->names, $this->lines, $text, $this->isSlashEither);
        $parser->parse();
        $said = $parser->particulars;
        $makes = array_filter($parser->statements(), static fn (Statement $one): bool => $one->maker !== null) !== [];
        $named = $said->sex ?? ($makes ? Sex::Male : null); // only a male is a maker
        $assembler = new BeliefAssembler($this->catalogue, $sex ?? $named ?? Sex::Female);
        $belief = $assembler->assemble($parser->statements());
        $errors = [...$parser->errors(), ...$assembler->errors()];
        if ($sex !== null && $said->sex !== null && $said->sex !== $sex && $said->from !== null) {
            $errors[] = NotationError::misplaced(
                $said->from->text, $said->from->from, "the text says {$said->sex->value}, and this is the {$sex->value}.",
            );
        }
        usort($errors, static fn (NotationError $a, NotationError $b): int => $a->position <=> $b->position);

        return new Reading(
            $text, $errors === [] ? $belief : null, $parser->pieces(),
            array_values(array_unique([...$parser->notes(), ...$assembler->notes()])), $errors, $parser->absent(), $named,
            $said->number,
        );
    }
}
