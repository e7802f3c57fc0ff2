<?php

declare(strict_types=1);

namespace Destino\Notation;

/** Words that several pairs of alleles share, and which a pair that the text names as well settles: "BEL (Mojave/Lesser)". */
final class OpenForms
{
    /** @var list<array{Name, NotationError}> */
    private array $open = [];

    public function __construct(private readonly FormReader $forms) {}

    /** @throws NotationError the question, where nothing that is named besides can settle it */
    public function add(Name $name, Announced $announced, NotationError $question): void
    {
        if ($announced->dose !== Dose::Plain || $announced->chance !== null || ! $this->forms->isClass($name)) {
            throw $question;
        }
        $this->open[] = [$name, $question];
    }

    /**
     * @param list<Statement> $statements
     * @return array{list<Piece>, list<NotationError>} what was settled, and what stays a question
     */
    public function settle(array $statements): array
    {
        $named = [];
        foreach ($statements as $statement) {
            $named = $statement->isCertain() ? [...$named, ...$statement->alleles()] : $named;
        }
        $pieces = $questions = [];
        foreach ($this->open as [$name, $question]) {
            $settled = array_values(array_filter($name->choices, fn (string $choice): bool => $this->isNamed($choice, $named)));
            if ($settled === []) {
                $questions[] = $question;

                continue;
            }
            $this->forms->note("{$name->text} is {$settled[0]} here, as the text says.");
            $end = $question->position + mb_strlen($question->piece) - 1;
            $pieces[] = new Piece($question->piece, $question->position, $end, $settled[0]);
        }

        return [$pieces, $questions];
    }

    /** @param list<string> $named alleles */
    private function isNamed(string $choice, array $named): bool
    {
        $pair = $this->forms->allelesNamed([$choice]);
        foreach ($pair as $allele) {
            $at = array_search($allele, $named, true);
            if ($at === false) {
                return false;
            }
            unset($named[$at]);
        }

        return $pair !== [];
    }
}
