<?php

declare(strict_types=1);

namespace App\Exchange;

/** One row of a list: what was understood, what was not, and what would be written. */
class ImportRow
{
    /** @var list<array{field: string, message: string}> what stands in the way */
    public array $errors = [];

    /** @var list<string> what was assumed */
    public array $notes = [];

    /** @var list<string> texts that fit no field and go into the notes */
    public array $kept = [];

    /** What it repeats: an animal of the collection or an earlier row; empty where nothing. */
    public string $repeats = '';

    /** @var array<string, mixed> of the animal */
    public array $values = [];

    public string $genes = '';

    /** The genes in the printer's words. */
    public string $read = '';

    public bool $genesUnread = false;

    public string $saidBy = 'own';

    public ?string $sire = null;

    public ?string $dam = null;

    public ?string $status = null;

    public ?int $grams = null;

    public ?string $rack = null;

    /**
     * @var list<array{field: string, text: string, message: string}> cells that were not taken, or not wholly: their text stays
     *     with the animal
     */
    public array $remarks = [];

    /** @var list<array{field: string, text: string, question: string, choices: list<string>}> what only the keeper can say */
    public array $asked = [];

    /** Day of the weight; null where it is not known. */
    public ?string $weighedOn = null;

    public function __construct(public readonly int $line) {}

    /** What is not taken is kept word for word. */
    public function remark(string $field, string $text, string $message): void
    {
        $this->remarks[] = ['field' => $field, 'text' => $text, 'message' => $message];
        $this->notes[] = $message;
        $this->kept[] = "{$field} as written: {$text}";
    }

    /** @param list<string> $choices */
    public function ask(string $field, string $text, string $question, array $choices): void
    {
        $this->asked[] = ['field' => $field, 'text' => $text, 'question' => $question, 'choices' => $choices];
        $this->remark($field, $text, $question);
    }

    public function fail(string $field, string $message): void
    {
        $this->errors[] = ['field' => $field, 'message' => $message];
    }

    /** Whether the row says nothing of an animal. */
    public function isNone(): bool
    {
        return $this->errors !== [];
    }

    /** Whether it can be brought in, and should be looked at before. */
    public function wantsALook(): bool
    {
        return ! $this->isNone() && $this->state() !== 'ready';
    }

    public function state(): string
    {
        return match (true) {
            $this->isNone() => 'no animal',
            $this->repeats !== '' => 'repeats',
            $this->genesUnread => 'genes to read',
            $this->remarks !== [] => 'with remarks',
            default => 'ready',
        };
    }
}
