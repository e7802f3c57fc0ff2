<?php

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

    public function __construct(public readonly int $line) {}

    public function fail(string $field, string $message): void
    {
        $this->errors[] = ['field' => $field, 'message' => $message];
    }
}
