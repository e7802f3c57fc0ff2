<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Enums\BookingKind;
use App\Models\Enums\Right;
use Destino\Inference\Faults\FaultKind;

/** The kinds of record that belong to projects, to proof and to money. */
class KindsOfWork
{
    /** @return list<RecordKind> */
    public static function ofWork(): array
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
                'name' => 'string', 'target' => 'string', 'horizon' => 'integer', 'wanted' => ['one', 'two', 'three', 'pair', 'sure'],
                'weight' => 'integer', 'budget' => 'integer?', 'tubs' => 'integer?',
                'offers' => 'array', 'assumptions' => 'object', 'aim' => 'object', 'keep' => 'object', 'most_inbreeding' => 'string?',
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
    public static function ofProof(): array
    {
        return [
            new RecordKind('decision', Decision::class, 'decision', [
                'kind' => RecordKind::values(FaultKind::class), 'alleles' => 'array', 'instead' => 'string?', 'reason' => 'string',
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
    public static function ofMoney(): array
    {
        return [
            new RecordKind(
                'price', Price::class, 'price', ['target' => 'string', 'low' => 'integer', 'high' => 'integer', 'note' => 'string?'],
                removal: Right::Money, section: 'prices',
            ),
            new RecordKind('booking', Booking::class, 'booking', [
                'kind' => RecordKind::values(BookingKind::class), 'on' => 'string', 'amount' => 'integer', 'note' => 'string?',
            ], ['animal_id' => 'animal', 'project_id' => 'project'], removal: Right::Money, section: 'bookings'),
        ];
    }
}
