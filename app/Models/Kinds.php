<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Enums\CareKind;
use App\Models\Enums\Course;
use App\Models\Enums\EventKind;
use App\Models\Enums\FeedOutcome;
use App\Models\Enums\Grade;
use App\Models\Enums\Precision;
use App\Models\Enums\Right;
use App\Models\Enums\SexFound;
use App\Models\Enums\Status;
use Destino\Inference\Evidence\Source;
use Illuminate\Database\Eloquent\Model;
use InvalidArgumentException;

/** Every kind of record of a collection, in the order in which an archive is taken in: what is named comes before what names it. */
final class Kinds
{
    /** @return array<string, RecordKind> by name */
    public static function all(): array
    {
        $kinds = [];
        $all = [
            ...self::ofTheHouse(), ...self::ofAnimals(), ...self::animals(), ...self::ofClutches(), ...KindsOfWork::ofWork(),
            ...KindsOfWork::ofMoney(),
        ];
        foreach ($all as $kind) {
            $kinds[$kind->name] = $kind;
        }

        return $kinds;
    }

    public static function named(string $name): RecordKind
    {
        return self::all()[$name] ?? throw new InvalidArgumentException("There is no kind of record called {$name}.");
    }

    public static function of(Model $record): RecordKind
    {
        return self::named($record->getMorphClass());
    }

    /** @return list<RecordKind> those that stand in an archive by themselves */
    public static function sections(): array
    {
        return array_values(array_filter(self::all(), fn (RecordKind $kind): bool => $kind->section !== ''));
    }

    /** @return list<RecordKind> */
    private static function ofTheHouse(): array
    {
        return [
            new RecordKind('rules', HouseRules::class, 'house rules', [], isNumbered: false),
            new RecordKind(
                'gene', GeneChange::class, 'change of the gene facts',
                ['kind' => ['gene', 'alias', 'cue', 'eye', 'counts', 'nickname'], 'gene' => 'string', 'data' => 'object'],
                removal: Right::Manage,
                section: 'genes', relation: 'geneChanges',
            ),
            new RecordKind(
                'rack', Rack::class, 'rack',
                ['name' => 'string', 'rows' => 'integer', 'columns' => 'integer', 'position' => 'integer?'], section: 'racks',
            ),
        ];
    }

    /** @return list<RecordKind> */
    private static function ofAnimals(): array
    {
        return [
            new RecordKind('statement', Statement::class, 'statement', [
                'text' => 'string', 'source' => RecordKind::values(Source::class), 'who' => 'string?', 'on' => 'string?',
                'certainty' => 'integer', 'names_all' => 'boolean', 'note' => 'string?',
            ], removal: Right::Manage),
            new RecordKind(
                'status', StatusEvent::class, 'status',
                ['status' => RecordKind::values(Status::class), 'on' => 'string', 'reason' => 'string?', 'review_on' => 'string?'],
                removal: Right::Manage,
            ),
            new RecordKind(
                'observation', Observation::class, 'condition',
                [
                    'condition' => 'string', 'grade' => RecordKind::values(Grade::class), 'on' => 'string', 'place' => 'string?',
                    'decision' => [...RecordKind::values(Course::class), null], 'note' => 'string?',
                ],
                removal: Right::Log,
            ),
            new RecordKind('care', CareEntry::class, 'care', [
                'kind' => RecordKind::values(CareKind::class), 'on' => 'string', 'grams' => 'integer?',
                'outcome' => [...RecordKind::values(FeedOutcome::class), null], 'prey' => 'string?', 'words' => 'string?',
            ], removal: Right::Log),
            ...self::ofLooks(),
            new RecordKind('sale', Sale::class, 'sale', [
                'asking' => 'integer?', 'deposit' => 'integer?', 'price' => 'integer?', 'buyer' => 'string?', 'sent_on' => 'string?',
                'note' => 'string?',
            ]),
        ];
    }

    /** @return list<RecordKind> what was seen of an animal */
    private static function ofLooks(): array
    {
        return [
            new RecordKind(
                'photo', Photo::class, 'photograph',
                [
                    'on' => 'string', 'caption' => 'string?', 'file' => 'string', 'width' => 'integer', 'height' => 'integer',
                    'across' => 'integer?', 'down' => 'integer?', 'side' => 'integer?',
                ],
                removal: Right::Log,
            ),
            new RecordKind(
                'sighting', Sighting::class, 'cue',
                ['cue' => 'string', 'state' => 'string', 'on' => 'string', 'who' => 'string?'], removal: Right::Log,
            ),
        ];
    }

    /** @return list<RecordKind> after those that belong to them */
    private static function animals(): array
    {
        return [
            new RecordKind('animal', Animal::class, 'record', [
                'name' => 'string', 'number' => 'string?', 'sex' => ['male', 'female', null],
                'sex_found' => [...RecordKind::values(SexFound::class), null], 'sex_certainty' => 'integer',
                'hatched_on' => 'string?', 'hatched_precision' => RecordKind::values(Precision::class), 'source' => 'string?',
                'acquired_on' => 'string?', 'price_cents' => 'integer?',
                'sire_name' => 'string?', 'dam_name' => 'string?', 'rack_row' => 'integer?', 'rack_column' => 'integer?',
                'notes' => 'string?', 'genes_open' => 'string?',
            ], ['sire_id' => 'animal', 'dam_id' => 'animal', 'rack_id' => 'rack', 'clutch_id' => 'clutch'], children: [
                'statements' => 'statement', 'statusEvents' => 'status', 'observations' => 'observation', 'care' => 'care',
                'photos' => 'photo', 'sightings' => 'sighting', 'sales' => 'sale',
            ], removal: Right::Manage, section: 'animals'),
        ];
    }

    /** @return list<RecordKind> */
    private static function ofClutches(): array
    {
        $happens = array_values(array_diff(RecordKind::values(EventKind::class), [EventKind::Counted->value]));

        return [
            new RecordKind('incubator', Incubator::class, 'incubator', [
                'name' => 'string', 'place' => 'string', 'celsius' => 'number', 'low' => 'number', 'high' => 'number',
                'humid_low' => 'integer?', 'humid_high' => 'integer?', 'notes' => 'string?',
            ], removal: Right::Manage, section: 'incubators'),
            new RecordKind('sire', ClutchSire::class, 'possible sire', ['name' => 'string?', 'kept' => 'integer?'],
                ['animal_id' => 'animal']),
            new RecordKind('egg', Egg::class, 'egg', [
                'number' => 'integer', 'slug' => 'boolean', 'across' => 'integer', 'down' => 'integer', 'marked' => 'boolean',
                'apart' => 'boolean', 'clump' => 'integer?', 'grams' => 'integer?', 'note' => 'string?',
            ], removal: Right::Log),
            new RecordKind(
                'event', ClutchEvent::class, 'event',
                [
                    'kind' => $happens, 'on' => 'string?', 'count' => 'integer?', 'infertile' => 'integer?', 'grams' => 'integer?',
                    'who' => 'string?', 'saw' => 'string?', 'note' => 'string?',
                ],
                ['egg_id' => 'egg'], removal: Right::Log,
            ),
            new RecordKind(
                'count', ClutchCount::class, 'count',
                ['saw' => 'string', 'count' => 'integer', 'dead' => 'boolean', 'note' => 'string?'], removal: Right::Log,
            ),
            new RecordKind('clutch', Clutch::class, 'clutch', [
                'label' => 'string?', 'target' => 'string?', 'reason' => 'string?', 'notes' => 'string?',
            ], ['dam_id' => 'animal', 'incubator_id' => 'incubator'], children: [
                'sires' => 'sire', 'eggs' => 'egg', 'events' => 'event', 'counts' => 'count',
            ], removal: Right::Manage, section: 'clutches'),
        ];
    }
}
