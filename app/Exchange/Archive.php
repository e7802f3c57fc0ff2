<?php

namespace App\Exchange;

use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Decision;
use App\Models\OddTrait;
use App\Models\Project;
use App\Models\Rack;
use App\Models\TraitEntry;
use App\Models\User;
use App\Photos\Darkroom;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Spatie\Activitylog\Models\Activity;
use ZipArchive;

/**
 * A whole collection as one zip: collection.json (docs/formats/collection.schema.json) and the photographs. Accounts and
 * passwords are not in it, nor plans, which are worked out anew from their projects. Numbers in the document are its own, counted from 1, so that two archives of equal
 * collections are equal.
 */
class Archive
{
    public const FORMAT = 'destino-collection/1';

    /** What is written of each kind of record. */
    private const FIELDS = [
        'statements' => ['text', 'source', 'who', 'on', 'certainty', 'names_all', 'note'],
        'statusEvents' => ['status', 'on', 'reason', 'review_on'],
        'observations' => ['condition', 'grade', 'on', 'note'],
        'care' => ['kind', 'on', 'grams', 'outcome', 'prey', 'words'],
        'photos' => ['on', 'caption', 'file', 'width', 'height'],
    ];

    private const ANIMAL = ['name', 'number', 'sex', 'sex_found', 'sex_certainty', 'hatched_on', 'hatched_precision', 'source', 'acquired_on', 'price_cents', 'sire_name', 'dam_name', 'rack_row', 'rack_column', 'notes'];

    private const CLUTCH = ['label', 'paired_on', 'laid_on', 'eggs_good', 'eggs_infertile', 'hatched_on', 'hatched', 'reason', 'notes'];

    private const PROJECT = ['name', 'target', 'horizon', 'wanted', 'weight', 'budget', 'tubs', 'offers', 'assumptions', 'keep', 'most_inbreeding', 'notes', 'begun_on'];

    private const ENTRY = ['name', 'sex', 'look', 'count', 'on'];

    /** Fields of history entries that hold numbers of other records. */
    private const REFERENCES = ['sire_id' => 'animal', 'dam_id' => 'animal', 'rack_id' => 'rack', 'clutch_id' => 'clutch', 'animal_id' => 'animal', 'clutch_count_id' => 'count'];

    /** @var array<string, array<int, int>> number in the document by kind and number in the database, or the other way round */
    private array $numbers = [];

    /** @var array<string, string> file of a photograph by its name in the archive */
    private array $files = [];

    public function __construct(private readonly User $keeper, private readonly Darkroom $darkroom) {}

    /** @return array<string, mixed> */
    public function document(): array
    {
        $this->numbers = $this->files = [];
        $racks = $this->keeper->racks()->get()->map(fn (Rack $rack): array => ['id' => $this->number('rack', $rack)] + $rack->only(['name', 'rows', 'columns', 'position']))->all();
        /** @var list<Animal> $all */
        $all = $this->keeper->animals()->withTrashed()->with(array_map(fn (string $relation): callable => fn ($records) => $records->withTrashed()->orderBy('id'), array_combine(array_keys(self::FIELDS), array_keys(self::FIELDS))))->orderBy('id')->get()->all();
        /** @var list<Clutch> $clutches */
        $clutches = $this->keeper->clutches()->withTrashed()->with(['sires', 'counts' => fn ($counts) => $counts->withTrashed()])->orderBy('id')->get()->all();
        foreach ($all as $animal) {
            $this->number('animal', $animal);
        }
        foreach ($clutches as $clutch) {
            $this->number('clutch', $clutch);
        }

        return [
            'format' => self::FORMAT,
            'rules' => (object) ($this->keeper->houseRules()->first()->choices ?? []),
            'genes' => $this->keeper->geneChanges()->withTrashed()->orderBy('id')->get()->map(fn ($change): array => ['id' => $this->number('gene', $change)] + $change->only(['kind', 'gene', 'data']) + $this->taken($change))->all(),
            'racks' => $racks,
            'animals' => array_map($this->animal(...), $all),
            'clutches' => array_map($this->clutch(...), $clutches),
            'projects' => $this->keeper->projects()->withTrashed()->orderBy('id')->get()->map(fn (Project $project): array => ['id' => $this->number('project', $project)] + $this->plain($project, self::PROJECT) + $this->taken($project) + [
                'forbidden' => array_map(fn (array $pair): array => array_map(fn (int $id): ?int => $this->numberOf('animal', $id), $pair), $project->forbidden),
                'pinned' => array_map(fn (int $id): ?int => $this->numberOf('animal', $id), $project->pinned),
            ])->all(),
            'decisions' => $this->keeper->decisions()->withTrashed()->orderBy('id')->get()->map(fn (Decision $decision): array => ['id' => $this->number('decision', $decision), 'animal' => $this->numberOf('animal', $decision->animal_id), 'count' => $this->numberOf('count', $decision->clutch_count_id)] + $this->plain($decision, ['kind', 'alleles', 'reason', 'on']) + $this->taken($decision))->all(),
            'traits' => $this->keeper->oddTraits()->withTrashed()->with(['entries' => fn ($entries) => $entries->withTrashed()])->orderBy('id')->get()->map($this->oddTrait(...))->all(),
            'searches' => $this->keeper->savedSearches()->get()->map(fn ($search): array => $search->only(['name', 'query']))->all(),
            'readings' => $this->keeper->readings()->orderBy('at')->orderBy('id')->get()->map(fn ($reading): array => ['at' => $reading->at->format('Y-m-d H:i:s')] + $reading->only(['place', 'kind', 'value']))->all(),
            'history' => $this->history(),
        ];
    }

    /** Writes the zip. */
    public function write(string $path): void
    {
        $document = $this->document();
        $zip = new ZipArchive;
        $zip->open($path, ZipArchive::CREATE | ZipArchive::OVERWRITE);
        $zip->addFromString('collection.json', self::json($document));
        foreach ($this->files as $name => $file) {
            $zip->addFromString($name, $this->darkroom->read($file));
        }
        $zip->close();
    }

    /** @param array<string, mixed> $document */
    public static function json(array $document): string
    {
        return json_encode($document, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION)."\n";
    }

    /**
     * What is in a zip or in the document alone.
     *
     * @return array{array<string, mixed>, array<string, string>} the document, and the photographs by file
     *
     * @throws ExchangeError
     */
    public static function open(string $path): array
    {
        $zip = new ZipArchive;
        $photos = [];
        if ($zip->open($path, ZipArchive::RDONLY) === true) {
            $text = $zip->getFromName('collection.json');
            for ($i = 0; $i < $zip->numFiles; $i++) {
                $name = (string) $zip->getNameIndex($i);
                if (preg_match('~^photos/[\w-]+\.jpg$~', $name) && ($zip->statIndex($i)['size'] ?? 0) < Darkroom::MOST_KILOBYTES * 1024) {
                    $photos[$name] = (string) $zip->getFromIndex($i);
                }
            }
            $zip->close();
        } else {
            $text = file_get_contents($path);
        }
        $document = json_decode((string) $text, true);
        if (! is_array($document) || ($document['format'] ?? null) !== self::FORMAT) {
            throw ExchangeError::notAnArchive('it holds no collection.json of the format '.self::FORMAT.'.');
        }
        $result = (new Validator)->validate(json_decode((string) $text), (string) file_get_contents(base_path('docs/formats/collection.schema.json')));
        if (! $result->isValid()) {
            $errors = (new ErrorFormatter)->formatFlat($result->error());
            throw ExchangeError::notAnArchive((string) ($errors[count($errors) - 1] ?? 'its document does not follow the schema'));
        }

        return [$document, $photos];
    }

    /**
     * Takes a whole archive into an empty collection.
     *
     * @param array<string, mixed> $document
     * @param array<string, string> $photos content by file
     * @return int animals taken in
     *
     * @throws ExchangeError when the collection is not empty
     */
    public function take(array $document, array $photos): int
    {
        $count = $this->keeper->animals()->withTrashed()->count();
        if ($count > 0) {
            throw ExchangeError::notEmpty($count);
        }
        $this->numbers = [];

        return DB::transaction(function () use ($document, $photos): int {
            activity()->disableLogging();
            try {
                $this->takeAll($document, $photos);
            } finally {
                activity()->enableLogging();
            }

            return count($document['animals']);
        });
    }

    /**
     * @param array<string, mixed> $document
     * @param array<string, string> $photos
     */
    private function takeAll(array $document, array $photos): void
    {
        if ($document['rules'] !== []) {
            $rules = $this->keeper->houseRules()->make(['choices' => $document['rules']]);
            $rules->user_id = $this->keeper->id;
            $rules->save();
        }
        foreach ($document['genes'] as $gene) {
            $this->made('gene', $gene, $this->keeper->geneChanges()->create(self::values($gene)));
        }
        foreach ($document['racks'] as $rack) {
            $this->made('rack', $rack, $this->keeper->racks()->create(self::values($rack)));
        }
        foreach ($document['animals'] as $animal) {
            $made = $this->keeper->animals()->create(array_intersect_key($animal, array_flip(self::ANIMAL)) + ['rack_id' => $this->there('rack', $animal['rack'])]);
            $this->made('animal', $animal, $made);
            foreach (array_keys(self::FIELDS) as $relation) {
                foreach ($animal[$relation] as $record) {
                    if ($relation === 'photos') {
                        $record['file'] = isset($photos[$record['file']]) ? $this->darkroom->keep($photos[$record['file']]) : $record['file'];
                    }
                    $this->made(self::kind($relation), $record, $made->{$relation}()->create(self::values($record)));
                }
            }
        }
        foreach ($document['clutches'] as $clutch) {
            $made = $this->keeper->clutches()->create(array_intersect_key($clutch, array_flip(self::CLUTCH)) + ['dam_id' => $this->there('animal', $clutch['dam'])]);
            $this->made('clutch', $clutch, $made);
            foreach ($clutch['sires'] as $sire) {
                $made->sires()->create(['animal_id' => $this->there('animal', $sire['animal']), 'name' => $sire['name']]);
            }
            foreach ($clutch['counts'] as $count) {
                $this->made('count', $count, $made->counts()->create(self::values($count)));
            }
        }
        foreach ($document['animals'] as $animal) {
            Animal::withTrashed()->whereKey($this->there('animal', $animal['id']))->update(['sire_id' => $this->there('animal', $animal['sire']), 'dam_id' => $this->there('animal', $animal['dam']), 'clutch_id' => $this->there('clutch', $animal['clutch'])]);
        }
        foreach ($document['projects'] ?? [] as $project) {
            $forbidden = array_map(fn (array $pair): array => array_map(fn (?int $id): ?int => $this->there('animal', $id), $pair), $project['forbidden']);
            $this->made('project', $project, $this->keeper->projects()->create(['forbidden' => $forbidden, 'pinned' => array_values(array_filter(array_map(fn (?int $id): ?int => $this->there('animal', $id), $project['pinned'] ?? [])))] + array_intersect_key($project, array_flip(self::PROJECT))));
        }
        foreach ($document['decisions'] ?? [] as $decision) {
            $this->made('decision', $decision, $this->keeper->decisions()->create(['animal_id' => $this->there('animal', $decision['animal']), 'clutch_count_id' => $this->there('count', $decision['count'])] + array_intersect_key($decision, array_flip(['kind', 'alleles', 'reason', 'on']))));
        }
        foreach ($document['traits'] ?? [] as $trait) {
            $made = $this->keeper->oddTraits()->create(array_intersect_key($trait, array_flip(['name', 'gene', 'notes'])));
            $this->made('trait', $trait, $made);
            foreach ($trait['entries'] as $entry) { // parents come before their young
                $this->made('trait-entry', $entry, $made->entries()->create(['sire_id' => $this->there('trait-entry', $entry['sire']), 'dam_id' => $this->there('trait-entry', $entry['dam'])] + array_intersect_key($entry, array_flip(self::ENTRY))));
            }
        }
        foreach ($document['searches'] as $search) {
            $this->keeper->savedSearches()->create($search);
        }
        foreach ($document['readings'] as $reading) {
            $this->keeper->readings()->create($reading);
        }
        $this->takeHistory($document['history']);
    }

    /** @return array<string, mixed> */
    private function animal(Animal $animal): array
    {
        $document = ['id' => $this->number('animal', $animal)] + $this->plain($animal, self::ANIMAL) + $this->taken($animal) + [
            'sire' => $this->numberOf('animal', $animal->sire_id), 'dam' => $this->numberOf('animal', $animal->dam_id), 'rack' => $this->numberOf('rack', $animal->rack_id), 'clutch' => $this->numberOf('clutch', $animal->clutch_id),
        ];
        foreach (self::FIELDS as $relation => $fields) {
            $document[$relation] = $animal->{$relation}->map(fn (Model $record): array => ['id' => $this->number(self::kind($relation), $record)] + $this->plain($record, $fields) + $this->taken($record))->all();
        }
        foreach ($document['photos'] as $i => $photo) {
            if ($this->darkroom->has($photo['file'])) {
                $name = 'photos/'.hash('xxh128', $this->darkroom->read($photo['file']))."-{$photo['id']}.jpg";
                $this->files[$name] = $photo['file'];
                $document['photos'][$i]['file'] = $name;
            }
        }

        return $document;
    }

    /** @return array<string, mixed> */
    private function clutch(Clutch $clutch): array
    {
        return ['id' => $this->number('clutch', $clutch), 'dam' => $this->numberOf('animal', $clutch->dam_id)] + $this->plain($clutch, self::CLUTCH) + $this->taken($clutch) + [
            'sires' => $clutch->sires->map(fn ($sire): array => ['animal' => $this->numberOf('animal', $sire->animal_id), 'name' => $sire->name])->all(),
            'counts' => $clutch->counts->map(fn (Model $count): array => ['id' => $this->number('count', $count)] + $this->plain($count, ['saw', 'count', 'dead', 'note']) + $this->taken($count))->all(),
        ];
    }

    /** @return array<string, mixed> */
    private function oddTrait(OddTrait $trait): array
    {
        $entries = $trait->entries->sortBy('id')->values();

        return ['id' => $this->number('trait', $trait)] + $this->plain($trait, ['name', 'gene', 'notes']) + $this->taken($trait) + [
            'entries' => $entries->map(fn (TraitEntry $entry): array => ['id' => $this->number('trait-entry', $entry)] + $this->plain($entry, self::ENTRY) + $this->taken($entry) + ['sire' => $this->numberOf('trait-entry', $entry->sire_id), 'dam' => $this->numberOf('trait-entry', $entry->dam_id)])->all(),
        ];
    }

    /** @return list<array<string, mixed>> */
    private function history(): array
    {
        $history = [];
        foreach (Activity::query()->with('causer')->orderBy('id')->cursor() as $activity) {
            $number = $this->numbers[$activity->subject_type][$activity->subject_id] ?? null;
            if ($number !== null) {
                $history[] = [
                    'kind' => $activity->subject_type, 'id' => $number, 'event' => $activity->event, 'at' => $activity->created_at?->format('Y-m-d H:i:s'), 'who' => $activity->causer->name ?? $activity->properties['who'] ?? null,
                    'before' => (object) $this->translated((array) ($activity->properties['old'] ?? [])), 'after' => (object) $this->translated((array) ($activity->properties['attributes'] ?? [])),
                ];
            }
        }

        return $history;
    }

    /** @param list<array<string, mixed>> $history */
    private function takeHistory(array $history): void
    {
        foreach ($history as $entry) {
            $properties = array_filter(['old' => $this->translated($entry['before']), 'attributes' => $this->translated($entry['after'])]) + array_filter(['who' => $entry['who']]);
            DB::table('activity_log')->insert([
                'log_name' => 'default', 'description' => $entry['event'], 'event' => $entry['event'], 'subject_type' => $entry['kind'], 'subject_id' => $this->there($entry['kind'], $entry['id']),
                'properties' => json_encode($properties), 'created_at' => $entry['at'], 'updated_at' => $entry['at'],
            ]);
        }
    }

    /**
     * @param array<string, mixed> $values
     * @return array<string, mixed> with the numbers of other records replaced by those of the other side
     */
    private function translated(array $values): array
    {
        foreach (self::REFERENCES as $field => $kind) {
            if (isset($values[$field])) {
                $values[$field] = $this->numbers[$kind][(int) $values[$field]] ?? null;
            }
        }

        return $values;
    }

    /**
     * @param list<string> $fields
     * @return array<string, mixed> as plain values
     */
    private function plain(Model $record, array $fields): array
    {
        return array_intersect_key($record->attributesToArray(), array_flip($fields));
    }

    /** @return array<string, string> when it was taken out, where it was */
    private function taken(Model $record): array
    {
        $at = $record->getAttribute('deleted_at');

        return $at === null ? [] : ['taken_out' => Carbon::parse($at)->format('Y-m-d H:i:s')];
    }

    private function number(string $kind, Model $record): int
    {
        return $this->numbers[$kind][$record->getKey()] ??= count($this->numbers[$kind] ?? []) + 1;
    }

    private function numberOf(string $kind, ?int $id): ?int
    {
        return $id === null ? null : $this->numbers[$kind][$id] ?? null;
    }

    /** @param array<string, mixed> $document */
    private function made(string $kind, array $document, Model $record): void
    {
        $this->numbers[$kind][$document['id']] = (int) $record->getKey();
        if (isset($document['taken_out'])) {
            $record->newQueryWithoutScopes()->whereKey($record->getKey())->update(['deleted_at' => $document['taken_out']]);
        }
    }

    /**
     * @param array<string, mixed> $document
     * @return array<string, mixed> what goes into the record
     */
    private static function values(array $document): array
    {
        return array_diff_key($document, ['id' => true, 'taken_out' => true]);
    }

    private function there(string $kind, ?int $number): ?int
    {
        return $number === null ? null : $this->numbers[$kind][$number] ?? null;
    }

    private static function kind(string $relation): string
    {
        return ['statements' => 'statement', 'statusEvents' => 'status', 'observations' => 'observation', 'care' => 'care', 'photos' => 'photo'][$relation];
    }
}
