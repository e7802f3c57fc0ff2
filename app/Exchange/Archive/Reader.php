<?php

declare(strict_types=1);

namespace App\Exchange\Archive;

use App\Exchange\Errors\ExchangeError;
use App\Models\Kinds;
use App\Models\RecordKind;
use App\Models\User;
use App\Photos\Darkroom;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

/** Takes a document into an empty collection, by the description of the kinds of records. */
class Reader
{
    private readonly Numbers $numbers;

    /** @var list<array{Model, array<string, mixed>}> what can be said only once every record is there */
    private array $later = [];

    /** @var array<string, string> photographs that were put into their folder, by the name that the document gives them */
    private array $files = [];

    /** @param array<string, array{content: string, width: int, height: int}> $photos by the name that the document gives them */
    public function __construct(private readonly User $keeper, private readonly Darkroom $darkroom, private readonly array $photos)
    {
        $this->numbers = new Numbers;
    }

    /** @return list<string> photographs that were put into their folder */
    public function files(): array
    {
        return array_values($this->files);
    }

    /** @param array<string, mixed> $document in the present format */
    public function take(array $document): void
    {
        if ($document['rules'] !== []) {
            $rules = $this->keeper->houseRules()->make(['choices' => $document['rules']]);
            $rules->user_id = $this->keeper->id;
            $rules->save();
        }
        foreach (Kinds::sections() as $kind) {
            foreach ($document[$kind->section] ?? [] as $record) {
                $this->record($kind, $record, $this->keeper, $kind->relation());
            }
        }
        foreach ($this->later as [$record, $names]) {
            $record->newQueryWithoutScopes()->whereKey($record->getKey())->update($this->numbered(Kinds::of($record), $names));
        }
        $this->history($document['history']);
    }

    /** @param array<string, mixed> $document */
    private function record(RecordKind $kind, array $document, Model $owner, string $relation): void
    {
        $values = array_intersect_key($document, $kind->fields);
        if ($kind->name === 'photo' && isset($this->photos[$values['file']])) {
            $photo = $this->photos[$values['file']];
            $file = $this->files[$values['file']] ??= $this->darkroom->keep($photo['content']);
            $values = ['file' => $file, 'width' => $photo['width'], 'height' => $photo['height']] + $values;
        }
        $named = $this->numbered($kind, $document);
        $lists = [];
        foreach ($kind->lists as $field => $of) {
            $lists[$field] = $this->numbers->within($of, $document[$field] ?? []);
        }
        $this->checkDays($kind, $document);
        $made = $this->made($kind, $owner, $relation, $values + $lists + array_filter($named, fn (?int $number): bool => $number !== null));
        if (isset($document['id'])) {
            $this->numbers->set($kind->name, (int) $document['id'], (int) $made->getKey());
        }
        if (
            array_filter(
                $kind->references,
                fn (string $of, string $field): bool => $named[$field] === null && ($document[RecordKind::plain($field)] ?? null) !== null,
                ARRAY_FILTER_USE_BOTH,
            ) !== []
        ) {
            $this->later[] = [$made, $document];
        }
        foreach ($kind->children as $children => $child) {
            foreach ($document[$children] ?? [] as $one) {
                $this->record(Kinds::named($child), $one, $made, $children);
            }
        }
        if (isset($document['taken_out'])) {
            $made->newQueryWithoutScopes()->whereKey($made->getKey())->update(['deleted_at' => $document['taken_out']]);
        }
    }

    /** @param array<string, mixed> $values */
    private function made(RecordKind $kind, Model $owner, string $relation, array $values): Model
    {
        try {
            return $owner->{$relation}()->create($values);
        } catch (QueryException $error) {
            if (! in_array(substr((string) $error->getCode(), 0, 2), ['22', '23'], true)) {
                throw $error; // busy, and not the document's fault
            }
            throw ExchangeError::notAnArchive("a {$kind->words} in it names something that is not in it, is there twice, or lacks what it needs.");
        }
    }

    /**
     * @param array<string, mixed> $document
     *
     * @throws ExchangeError where something happened on a day that there is not
     */
    private function checkDays(RecordKind $kind, array $document): void
    {
        foreach (array_intersect_key($document, $kind->fields + ['taken_out' => true]) as $field => $value) {
            $isDay = in_array($field, ['on', 'at', 'taken_out'], true) || str_ends_with($field, '_on');
            if ($isDay && $value !== null && ! self::isDay((string) $value)) {
                throw ExchangeError::notAnArchive('“'.mb_substr((string) $value, 0, 40)."” is no day, at {$field} of a {$kind->words}.");
            }
        }
    }

    /** Whether it begins with a day of the calendar, and goes on with a time of day if with anything. */
    private static function isDay(string $text): bool
    {
        return preg_match('/^(\d{4})-(\d\d)-(\d\d)(?:[ T]\d\d:\d\d(?::\d\d(?:\.\d+)?)?(?:Z|[+-]\d\d:?\d\d)?)?$/D', $text, $found) === 1
            && checkdate((int) $found[2], (int) $found[3], (int) $found[1]);
    }

    /**
     * @param array<string, mixed> $document
     * @return array<string, int|null> numbers of the records that it names, by field; null where they are not there yet
     */
    private function numbered(RecordKind $kind, array $document): array
    {
        $numbers = [];
        foreach ($kind->references as $field => $of) {
            $numbers[$field] = $this->numbers->of($of, $document[RecordKind::plain($field)] ?? null);
        }

        return $numbers;
    }

    /** @param list<array<string, mixed>> $history */
    private function history(array $history): void
    {
        foreach ($history as $entry) {
            if ($entry['at'] !== null && ! self::isDay($entry['at'])) {
                throw ExchangeError::notAnArchive('“'.mb_substr($entry['at'], 0, 40).'” in its history is no day.');
            }
            $properties = array_filter([
                'old' => $this->numbers->inHistory($entry['before']), 'attributes' => $this->numbers->inHistory($entry['after']),
                'who' => $entry['who'],
            ]);
            DB::table('activity_log')->insert([
                'log_name' => 'default', 'description' => $entry['event'], 'event' => $entry['event'],
                'subject_type' => $entry['kind'], 'subject_id' => $this->numbers->of($entry['kind'], $entry['id']),
                'properties' => json_encode($properties), 'created_at' => $entry['at'], 'updated_at' => $entry['at'],
            ]);
        }
    }
}
