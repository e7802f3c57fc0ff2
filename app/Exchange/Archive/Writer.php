<?php

declare(strict_types=1);

namespace App\Exchange\Archive;

use App\Models\Kinds;
use App\Models\RecordKind;
use App\Models\User;
use App\Photos\Darkroom;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;
use Spatie\Activitylog\Models\Activity;

/** Writes a collection as a document, by the description of its kinds of records. */
class Writer
{
    private readonly Numbers $numbers;

    /** @var array<string, string> file of a photograph by its name in the archive */
    public array $files = [];

    public function __construct(private readonly User $keeper, private readonly Darkroom $darkroom)
    {
        $this->numbers = new Numbers;
    }

    /** @return array<string, mixed> */
    public function document(): array
    {
        $document = ['format' => Schema::FORMAT, 'rules' => (object) ($this->keeper->houseRules()->first()->choices ?? [])];
        $all = [];
        foreach (Kinds::sections() as $kind) {
            $all[$kind->section] = $this->recordsOf($this->keeper, $kind->relation(), $kind);
            $this->count($kind, $all[$kind->section]);
        }
        foreach (Kinds::sections() as $kind) {
            $document[$kind->section] = array_map(fn (Model $record): array => $this->record($kind, $record), $all[$kind->section]);
        }

        return $document + ['history' => $this->history()];
    }

    /** @return list<Model> those that were taken out included */
    private function recordsOf(Model $owner, string $relation, RecordKind $kind): array
    {
        /** @var HasMany<Model, Model> $records */
        $records = $owner->{$relation}();
        $query = $records->getQuery()->reorder('id')->with(array_map(self::withAll(...), array_flip(array_keys($kind->children))));
        if (in_array(SoftDeletes::class, class_uses_recursive($kind->class), true)) {
            $query->withoutGlobalScope(\Illuminate\Database\Eloquent\SoftDeletingScope::class);
        }

        return array_values($query->get()->all());
    }

    /** @return callable(\Illuminate\Contracts\Database\Eloquent\Builder): mixed */
    private static function withAll(): callable
    {
        return fn ($children) => (
            in_array(SoftDeletes::class, class_uses_recursive($children->getRelated()), true) ? $children->withTrashed() : $children
        )->reorder('id');
    }

    /** @param list<Model> $records */
    private function count(RecordKind $kind, array $records): void
    {
        foreach ($records as $record) {
            $this->numbers->give($kind->name, (int) $record->getKey());
            foreach ($kind->children as $relation => $child) {
                $this->count(Kinds::named($child), array_values($record->{$relation}->all()));
            }
        }
    }

    /** @return array<string, mixed> */
    private function record(RecordKind $kind, Model $record): array
    {
        $values = $record->setVisible([...array_keys($kind->fields), 'deleted_at'])->attributesToArray();
        $document = (
            $kind->isNumbered ? ['id' => $this->numbers->of($kind->name, (int) $record->getKey())] : []
        ) + array_intersect_key($values, $kind->fields);
        foreach ($kind->fields as $field => $type) {
            $document[$field] = $type === 'object' ? (object) ($document[$field] ?? []) : $document[$field] ?? null;
        }
        foreach ($kind->references as $field => $of) {
            $document[RecordKind::plain($field)] = $this->numbers->of($of, $record->getAttribute($field));
        }
        foreach ($kind->lists as $field => $of) {
            $document[$field] = $this->numbers->within($of, $record->getAttribute($field) ?? []);
        }
        foreach ($kind->children as $relation => $child) {
            $document[$relation] = array_map(
                fn (Model $one): array => $this->record(Kinds::named($child), $one), array_values($record->{$relation}->all()),
            );
        }
        if (isset($values['deleted_at'])) {
            $document['taken_out'] = Carbon::parse($values['deleted_at'])->setTimezone(date_default_timezone_get())->format('Y-m-d H:i:s');
        }

        return match ($kind->name) {
            'photo' => $this->photograph($document),
            'reading' => ['at' => Carbon::parse($values['at'])->utc()->format('Y-m-d H:i:s')] + $document,
            default => $document,
        };
    }

    /**
     * @param array<string, mixed> $photo
     * @return array<string, mixed>
     */
    private function photograph(array $photo): array
    {
        if ($this->darkroom->has($photo['file'])) {
            $name = 'photos/'.hash('xxh128', $this->darkroom->read($photo['file'])).'.jpg'; // one that shows several animals is there once
            $this->files[$name] = $photo['file'];
            $photo['file'] = $name;
        }

        return $photo;
    }

    /** @return list<array<string, mixed>> */
    private function history(): array
    {
        $history = [];
        foreach (Activity::query()->with('causer')->orderBy('id')->cursor() as $activity) {
            $number = $this->numbers->of((string) $activity->subject_type, $activity->subject_id);
            if ($number !== null) {
                $history[] = [
                    'kind' => $activity->subject_type, 'id' => $number, 'event' => $activity->event,
                    'at' => $activity->created_at?->format('Y-m-d H:i:s'),
                    'who' => $activity->causer->name ?? $activity->properties['who'] ?? null,
                    'before' => (object) $this->numbers->inHistory((array) ($activity->properties['old'] ?? [])),
                    'after' => (object) $this->numbers->inHistory((array) ($activity->properties['attributes'] ?? [])),
                ];
            }
        }

        return $history;
    }
}
