<?php

declare(strict_types=1);

namespace App\Pairing;

use App\Collection\Beliefs;
use App\Models\Animal;
use App\Models\User;
use Destino\Genome\Belief;
use Destino\Genome\Sex;
use Destino\Pairing\Asking\Question;
use Destino\Pairing\By;
use Illuminate\Http\Request;

/** What the pairing form holds: kept as typed, whatever is wrong with it. */
class Inquiry
{
    /** @var array<string, string> message by field */
    public array $errors = [];

    public ?Animal $sireAnimal = null;

    public ?Animal $damAnimal = null;

    public string $sire;

    public string $dam;

    public string $target;

    public By $by;

    public string $eggs;

    public bool $sexed;

    public bool $hatched;

    public bool $alike;

    /** @var array<string, string> choice by claim */
    public array $schools = [];

    public function __construct(Request $request, private readonly User $keeper, private readonly Beliefs $beliefs)
    {
        $text = fn (string $field): string => is_string($request->query($field)) ? (string) $request->query($field) : '';
        $this->sireAnimal = $this->animal($text('sire_id'), Sex::Male, 'sire');
        $this->damAnimal = $this->animal($text('dam_id'), Sex::Female, 'dam');
        $this->sire = $this->carried($text('sire'), $text('sire_was'), $this->sireAnimal);
        $this->dam = $this->carried($text('dam'), $text('dam_was'), $this->damAnimal);
        $this->target = $text('target');
        $this->by = By::tryFrom($text('by')) ?? By::Look;
        $this->eggs = $text('eggs') === '' ? '6' : $text('eggs');
        $this->sexed = $request->boolean('sexed');
        $this->hatched = $request->boolean('hatched');
        $this->alike = $request->boolean('alike');
        foreach ((array) $request->query('school', []) as $claim => $choice) {
            if (is_string($choice) && $choice !== '') {
                $this->schools[(string) $claim] = $choice;
            }
        }
        if (filter_var($this->eggs, FILTER_VALIDATE_INT, ['options' => ['min_range' => 1, 'max_range' => Question::MOST_EGGS]]) === false) {
            $this->errors['eggs'] = 'Enter the eggs as a whole number from 1 to '.Question::MOST_EGGS.'.';
        }
        if ($this->isAsked() && $text('sire_id') !== '' && $text('sire_id') === $text('dam_id')) {
            $this->errors['dam'] = 'This is the same animal twice. A pairing needs a male and a female.';
        }
    }

    /** Whether anything has been asked, so that empty fields are worth a word. */
    public function isAsked(): bool
    {
        return trim($this->sire.$this->dam.$this->target) !== ''
            || $this->sireAnimal !== null
            || $this->damAnimal !== null
            || $this->errors !== [];
    }

    public function question(): Question
    {
        return new Question(
            $this->sire, $this->dam, $this->target, $this->by, max(1, min(Question::MOST_EGGS, (int) $this->eggs)), $this->sexed,
            false, $this->hatched, $this->by === By::Look && $this->alike,
        );
    }

    /**
     * The query that opens exactly this pairing again.
     *
     * @param  array<string, mixed>  $changes
     * @return array<string, mixed>
     */
    public function query(array $changes = []): array
    {
        return array_filter($changes + [
            'sire_id' => $this->sireAnimal?->id,
            'sire' => $this->sire,
            'dam_id' => $this->damAnimal?->id,
            'dam' => $this->dam,
            'target' => $this->target,
            'eggs' => $this->eggs,
            'by' => $this->by->value,
            'sexed' => $this->sexed ? 1 : null,
            'hatched' => $this->hatched ? 1 : null,
            'alike' => $this->alike ? 1 : null,
            'school' => $this->schools,
        ], fn (mixed $value): bool => $value !== null && $value !== '' && $value !== []);
    }

    /** What to call a parent: its name where it is one of the collection and carries what its record says. */
    public function nameOf(string $parent): string
    {
        $animal = $parent === 'sire' ? $this->sireAnimal : $this->damAnimal;

        return $this->asRecorded($parent) !== null && $animal !== null
            ? $animal->name
            : ($animal === null ? '' : "{$animal->name}, changed");
    }

    /** What to call a parent in a line: its name, or what was typed of it. */
    public function called(string $parent): string
    {
        $typed = trim($parent === 'sire' ? $this->sire : $this->dam);

        return $this->nameOf($parent) ?: ($typed === '' ? 'any '.($parent === 'sire' ? 'male' : 'female') : $typed);
    }

    /** What is believed of a parent of the collection, unless its text was changed here. */
    public function asRecorded(string $parent): ?Belief
    {
        $animal = $parent === 'sire' ? $this->sireAnimal : $this->damAnimal;

        return $animal !== null && $this->beliefs->text($animal->id) === trim($parent === 'sire' ? $this->sire : $this->dam)
            ? $this->beliefs->belief($animal->id)
            : null;
    }

    /** @return array{sire?: Belief, dam?: Belief} parents whose belief need not be read from a text */
    public function known(): array
    {
        // A school chosen on the page changes the facts that the beliefs were derived with: then the text is read anew.
        return $this->schools !== [] ? [] : array_filter(['sire' => $this->asRecorded('sire'), 'dam' => $this->asRecorded('dam')]);
    }

    /**
     * What a parent carries: as typed, or as its record says where nothing was typed, or where the text is still that
     * of the animal that was chosen before (a page without its script cannot change it).
     */
    private function carried(string $typed, string $was, ?Animal $chosen): string
    {
        if ($chosen === null || (trim($typed) !== '' && $was === (string) $chosen->id)) {
            return $typed;
        }
        $before = ctype_digit($was) ? $this->keeper->animals()->find((int) $was) : null;

        return trim($typed) === '' || ($before !== null && $this->beliefs->text($before->id) === trim($typed))
            ? $this->beliefs->text($chosen->id)
            : $typed;
    }

    private function animal(string $id, Sex $sex, string $field): ?Animal
    {
        if ($id === '') {
            return null;
        }
        $animal = ctype_digit($id) ? $this->keeper->animals()->find((int) $id) : null;
        if ($animal === null) {
            $this->errors[$field] = 'That animal is not in your collection. Choose another, or type what it carries.';
        } elseif ($animal->sex !== $sex) {
            $this->errors[$field] = $animal->sex === null
                ? "The sex of {$animal->name} is not known, and the {$field} must be {$sex->value}."
                : "{$animal->name} is {$animal->sex->value}, and the {$field} must be {$sex->value}.";
        }

        return $animal;
    }
}
