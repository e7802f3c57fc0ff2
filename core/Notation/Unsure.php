<?php

declare(strict_types=1);

namespace Destino\Notation;

/** Asks where a text leaves open how likely something is, or whether a het or a visual animal is meant. */
final readonly class Unsure
{
    public function __construct(private FormReader $forms) {}

    /**
     * @param bool $isBehindHet whether a het stands before: a recessive without the word is then a question
     * @param non-empty-list<list<string>> $choices
     *
     * @throws NotationError where the text leaves open what is meant
     */
    public function ask(string $piece, Token $start, Announced $announced, Behind $behind, array $choices, bool $isBehindHet): void
    {
        $form = $this->forms->words->textOf($choices[0]);
        $isVisual = $this->forms->words->isVisualRecessive($choices[0]);
        $het = $this->forms->words->hetTextOf($choices[0]);
        $chance = $announced->chance ?? $behind->chance;
        if ($behind->isUnsure) {
            throw NotationError::howLikely($piece, $start->from, $het);
        }
        if ($announced->isPossible && $chance === null) {
            throw NotationError::howLikely($piece, $start->from, $form);
        }
        $isPlain = $announced->dose === Dose::Plain && $isVisual && $behind->dose === Dose::Plain;
        if ($isPlain && $chance !== null && ! $announced->isPossible && ! $behind->isInParentheses) {
            $percent = Percentage::print($chance);
            $meant = $chance->isOne() ? [$het, "visual {$form}"] : ["{$percent} {$het}", "possible {$form} ({$percent})"];
            throw NotationError::question($piece, $start->from, 'A percentage nearly always belongs to a het.', $meant);
        }
        if ($isPlain && $chance === null && $isBehindHet) {
            throw NotationError::question($piece, $start->from, 'Behind a het in a list it may be one as well.', [$het, "visual {$form}"]);
        }
    }
}
