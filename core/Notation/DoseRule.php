<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Allele;
use Destino\Genome\Inheritance;

/**
 * What a word before the name of one allele means: one table of dose and inheritance, for what an animal is said to carry
 * (copies) and for what a target asks (clause), with what is noted where a keeper may have meant something else. What the
 * printer writes of one or two copies reads back by the same rows (DoseRuleTest).
 */
final readonly class DoseRule
{
    /**
     * Of a recessive gene, of one that shows in one copy, and of a dominant one: copies (null: no such form is written so), the
     * clause, the note on a statement, the note on a target.
     */
    private const TABLE = [
        'plain' => [
            'recessive' => [2, ClauseKind::TwoCopies, '', ''],
            'shows' => [1, ClauseKind::AtLeastOne, '', ''],
            'dominant' => [
                1, ClauseKind::AtLeastOne,
                '{name} is dominant: one copy is assumed, since two look the same. Write {two} for two.', '',
            ],
        ],
        'visual' => [
            'recessive' => [2, ClauseKind::TwoCopies, '', ''],
            'shows' => [1, ClauseKind::AtLeastOne, '', ''],
            'dominant' => [1, ClauseKind::AtLeastOne, '', ''],
        ],
        'het' => [
            'recessive' => [1, ClauseKind::HiddenHet, '', ''],
            'shows' => [
                1, ClauseKind::ExactlyOne, '{name} shows in one copy, so “het” adds nothing: read as one copy of {name}.',
                '{name} shows in one copy: “het” is read as exactly one copy of {name}.',
            ],
            'dominant' => [
                1, ClauseKind::ExactlyOne, '{name} shows in one copy, so “het” adds nothing: read as one copy of {name}.',
                '{name} shows in one copy: “het” is read as exactly one copy of {name}.',
            ],
        ],
        'two' => [
            'recessive' => [null, ClauseKind::TwoCopies, '', ''],
            'shows' => [2, ClauseKind::TwoCopies, '', ''],
            'dominant' => [2, ClauseKind::TwoCopies, '', ''],
        ],
        'homozygous' => [
            'recessive' => [2, ClauseKind::TwoCopies, '', ''],
            'shows' => [2, ClauseKind::TwoCopies, '', ''],
            'dominant' => [2, ClauseKind::TwoCopies, '', ''],
        ],
    ];

    /** @param int|null $copies null where a form is not written so */
    private function __construct(
        public ?int $copies,
        public ClauseKind $clause,
        public string $statementNote,
        public string $targetNote,
    ) {}

    public static function of(Dose $dose, Allele $allele): self
    {
        $row = match ($allele->inheritance) {
            Inheritance::Recessive => 'recessive',
            Inheritance::Dominant => 'dominant',
            default => 'shows',
        };
        [$copies, $clause, $statement, $target] = self::TABLE[strtolower($dose->name)][$row];
        $names = ['{name}' => $allele->name, '{two}' => $allele->twoCopyName];

        return new self($copies, $clause, strtr($statement, $names), strtr($target, $names));
    }
}
