<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Enums\BookingKind;
use App\Models\Enums\CareKind;
use App\Models\Enums\Course;
use App\Models\Enums\EventKind;
use App\Models\Enums\FeedOutcome;
use App\Models\Enums\Grade;
use App\Models\Enums\Precision;
use App\Models\Enums\Right;
use App\Models\Enums\SexFound;
use App\Models\Enums\Status;
use BackedEnum;
use Destino\Inference\Evidence\Source;
use Destino\Inference\Faults\FaultKind;
use Illuminate\Database\Eloquent\Model;
use InvalidArgumentException;

/** Every kind of record of a collection, in the order in which an archive is taken in: what is named comes before what names it. */
final class Kinds
{
    /** @return array<string, RecordKind> by name */
    public static function all(): array
    {
        $kinds = [];
        foreach ([...self::ofTheHouse(), ...self::ofAnimals(), ...self::animals(), ...self::ofClutches(), ...self::ofWork(), ...self::ofMoney()] as $kind) {
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
                ['kind' => ['gene', 'alias', 'cue'], 'gene' => 'string', 'data' => 'object'], removal: Right::Manage,
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
                'text' => 'string', 'source' => self::values(Source::class), 'who' => 'string?', 'on' => 'string?',
                'certainty' => 'integer', 'names_all' => 'boolean', 'note' => 'string?',
            ], removal: Right::Manage),
            new RecordKind(
                'status', StatusEvent::class, 'status',
                ['status' => self::values(Status::class), 'on' => 'string', 'reason' => 'string?', 'review_on' => 'string?'],
                removal: Right::Manage,
            ),
            new RecordKind(
                'observation', Observation::class, 'condition',
                [
                    'condition' => 'string', 'grade' => self::values(Grade::class), 'on' => 'string', 'place' => 'string?',
                    'decision' => [...self::values(Course::class), null], 'note' => 'string?',
                ],
                removal: Right::Log,
            ),
            new RecordKind('care', CareEntry::class, 'care', [
                'kind' => self::values(CareKind::class), 'on' => 'string', 'grams' => 'integer?',
                'outcome' => [...self::values(FeedOutcome::class), null], 'prey' => 'string?', 'words' => 'string?',
            ], removal: Right::Log),
            new RecordKind(
                'photo', Photo::class, 'photograph',
                ['on' => 'string', 'caption' => 'string?', 'file' => 'string', 'width' => 'integer', 'height' => 'integer'],
                removal: Right::Log,
            ),
            new RecordKind(
                'sighting', Sighting::class, 'cue',
                ['cue' => 'string', 'state' => 'string', 'on' => 'string', 'who' => 'string?'], removal: Right::Log,
            ),
            new RecordKind('sale', Sale::class, 'sale', [
                'asking' => 'integer?', 'deposit' => 'integer?', 'price' => 'integer?', 'buyer' => 'string?', 'sent_on' => 'string?',
                'note' => 'string?',
            ]),
        ];
    }

    /** @return list<RecordKind> after those that belong to them */
    private static function animals(): array
    {
        return [
            new RecordKind('animal', Animal::class, 'record', [
                'name' => 'string', 'number' => 'string?', 'sex' => ['male', 'female', null],
                'sex_found' => [...self::values(SexFound::class), null], 'sex_certainty' => 'integer',
                'hatched_on' => 'string?', 'hatched_precision' => self::values(Precision::class), 'source' => 'string?',
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
        $happens = array_values(array_diff(self::values(EventKind::class), [EventKind::Counted->value]));

        return [
            new RecordKind('incubator', Incubator::class, 'incubator', [
                'name' => 'string', 'place' => 'string', 'celsius' => 'number', 'low' => 'number', 'high' => 'number',
                'humid_low' => 'integer?', 'humid_high' => 'integer?', 'notes' => 'string?',
            ], removal: Right::Manage, section: 'incubators'),
            new RecordKind('sire', ClutchSire::class, 'possible sire', ['name' => 'string?', 'kept' => 'integer?'], ['animal_id' => 'animal']),
            new RecordKind('egg', Egg::class, 'egg', [
                'number' => 'integer', 'slug' => 'boolean', 'across' => 'integer', 'down' => 'integer', 'marked' => 'boolean',
                'apart' => 'boolean', 'clump' => 'integer?', 'grams' => 'integer?', 'note' => 'string?',
            ], removal: Right::Log),
            new RecordKind(
                'event', ClutchEvent::class, 'event',
                [
                    'kind' => $happens, 'on' => 'string?', 'count' => 'integer?', 'infertile' => 'integer?', 'who' => 'string?',
                    'saw' => 'string?', 'note' => 'string?',
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

    /** @return list<RecordKind> */
    private static function ofWork(): array
    {
        return [
            new RecordKind(
                'alike', AlikeSet::class, 'set of alike hatchlings', ['target' => 'string'], ['clutch_id' => 'clutch'],
                ['animals' => 'animal'],
                removal: Right::Log, section: 'alike', relation: 'alikeSets',
            ),
            new RecordKind('plan', Plan::class, 'plan', [], isNumbered: false),
            new RecordKind('import', Import::class, 'list brought in', [], isNumbered: false), // of this installation, not of the animals
            new RecordKind('project', Project::class, 'project', [
                'name' => 'string', 'target' => 'string', 'horizon' => 'integer', 'wanted' => ['one', 'pair', 'sure'],
                'weight' => 'integer', 'budget' => 'integer?', 'tubs' => 'integer?',
                'offers' => 'array', 'assumptions' => 'object', 'keep' => 'object', 'most_inbreeding' => 'string?',
                'notes' => 'string?', 'begun_on' => 'string?',
            ], lists: ['forbidden' => 'animal', 'pinned' => 'animal'], removal: Right::Manage, section: 'projects'),
            ...self::ofProof(),
            new RecordKind(
                'search', SavedSearch::class, 'kept search', ['name' => 'string', 'query' => 'string'], section: 'searches',
                relation: 'savedSearches', isNumbered: false,
            ),
            new RecordKind('drill', Drill::class, 'drill', [
                'who' => 'string', 'item' => 'string', 'box' => 'integer', 'due_on' => 'string', 'right' => 'integer', 'wrong' => 'integer',
            ], section: 'drills', isNumbered: false),
            new RecordKind(
                'reading', Reading::class, 'reading',
                ['place' => 'string', 'kind' => ['temperature', 'humidity'], 'value' => 'number', 'at' => 'string'],
                section: 'readings', isNumbered: false,
            ),
        ];
    }

    /** @return list<RecordKind> */
    private static function ofProof(): array
    {
        return [
            new RecordKind('decision', Decision::class, 'decision', [
                'kind' => self::values(FaultKind::class), 'alleles' => 'array', 'instead' => 'string?', 'reason' => 'string',
                'on' => 'string',
            ], ['animal_id' => 'animal', 'count_id' => 'count'], removal: Right::Manage, section: 'decisions'),
            new RecordKind('trait-entry', TraitEntry::class, 'entry of a notebook', [
                'name' => 'string', 'sex' => ['male', 'female'], 'look' => array_keys(TraitEntry::LOOKS), 'count' => 'integer',
                'on' => 'string',
            ], ['sire_id' => 'trait-entry', 'dam_id' => 'trait-entry'], removal: Right::Manage),
            new RecordKind(
                'trait', OddTrait::class, 'notebook', ['name' => 'string', 'gene' => 'string?', 'notes' => 'string?'],
                children: ['entries' => 'trait-entry'], removal: Right::Manage, section: 'traits', relation: 'oddTraits',
            ),
        ];
    }

    /** @return list<RecordKind> */
    private static function ofMoney(): array
    {
        return [
            new RecordKind(
                'price', Price::class, 'price', ['target' => 'string', 'low' => 'integer', 'high' => 'integer', 'note' => 'string?'],
                removal: Right::Manage, section: 'prices',
            ),
            new RecordKind('booking', Booking::class, 'booking', [
                'kind' => self::values(BookingKind::class), 'on' => 'string', 'amount' => 'integer', 'note' => 'string?',
            ], ['animal_id' => 'animal', 'project_id' => 'project'], removal: Right::Manage, section: 'bookings'),
        ];
    }

    /**
     * @param class-string<BackedEnum> $enum
     * @return list<string>
     */
    private static function values(string $enum): array
    {
        return array_map(fn (BackedEnum $case): string => (string) $case->value, $enum::cases());
    }
}
