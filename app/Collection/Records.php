<?php

declare(strict_types=1);

namespace App\Collection;

use App\Models\Enums\EventKind;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * The rows of a collection that beliefs follow from, read at once.
 *
 * @phpstan-type AnimalRow array{id: int, sex: string|null, sire_id: int|null, dam_id: int|null, sire_name: string|null, clutch_id: int|null}
 * @phpstan-type StatementRow array{id: int, text: string, source: string, certainty: int, names_all: bool}
 * @phpstan-type AlikeRow array{id: int, clutch: int, target: string, animals: list<int>}
 * @phpstan-type ClutchRow array{id: int, dam: int, hatched: int|null, sires: list<int|null>, kept: list<int|null>}
 */
final readonly class Records
{
    /**
     * @param array<int, AnimalRow> $animals
     * @param array<int, list<StatementRow>> $statements by animal
     * @param list<ClutchRow> $clutches
     * @param list<array<string, mixed>> $counts what was counted in clutches
     * @param list<array<string, mixed>> $decisions what the keeper holds to be wrong
     * @param array<int, array<string, array{string, int|null}>> $sightings state and days by animal and cue
     * @param list<AlikeRow> $alike siblings that are the same for something
     */
    public function __construct(
        public array $animals = [],
        public array $statements = [],
        public array $clutches = [],
        public array $counts = [],
        public array $decisions = [],
        public array $sightings = [],
        public array $alike = [],
    ) {}

    public static function of(User $keeper): self
    {
        $animals = [];
        $rows = DB::table('animals')->where('user_id', $keeper->id)->whereNull('deleted_at')->orderBy('id')
            ->get(['id', 'sex', 'sire_id', 'dam_id', 'sire_name', 'clutch_id']);
        foreach ($rows as $row) {
            /** @var AnimalRow $animal */
            $animal = (array) $row;
            $animals[(int) $row->id] = $animal;
        }
        $clutches = self::clutchesOf($keeper->id);
        $counts = DB::table('clutch_events')->whereIn('clutch_id', array_column($clutches, 'id'))->whereNull('deleted_at')->orderBy('id')
            ->where('kind', EventKind::Counted->value)->get(['id', 'clutch_id', 'saw', 'count', 'dead']);
        $decisions = DB::table('decisions')->where('user_id', $keeper->id)->whereNull('deleted_at')->orderBy('id')
            ->get(['id', 'animal_id', 'count_id', 'kind', 'alleles', 'instead']);
        $asArray = fn (object $row): array => (array) $row;

        return new self(
            $animals, self::statementsOf($keeper->id), $clutches, array_values($counts->map($asArray)->all()),
            array_values($decisions->map($asArray)->all()), self::sightingsOf($keeper->id),
            self::alikeOf(array_column($clutches, 'id')),
        );
    }

    /** Equal for equal rows. */
    public function mark(): string
    {
        return hash('xxh128', serialize($this));
    }

    /** @return array<int, list<StatementRow>> by animal */
    private static function statementsOf(int $keeper): array
    {
        $statements = [];
        $rows = DB::table('statements')->join('animals', 'animals.id', '=', 'statements.animal_id')
            ->where('animals.user_id', $keeper)->whereNull('statements.deleted_at')->orderBy('statements.on')->orderBy('statements.id')
            ->get(['statements.id', 'animal_id', 'text', 'statements.source', 'certainty', 'names_all']);
        foreach ($rows as $row) {
            $statements[(int) $row->animal_id][] = [
                'id' => (int) $row->id, 'text' => (string) $row->text, 'source' => (string) $row->source,
                'certainty' => (int) $row->certainty, 'names_all' => (bool) $row->names_all,
            ];
        }

        return $statements;
    }

    /** @return list<ClutchRow> */
    private static function clutchesOf(int $keeper): array
    {
        $clutches = [];
        foreach (DB::table('clutches')->where('user_id', $keeper)->whereNull('deleted_at')->orderBy('id')->get(['id', 'dam_id']) as $row) {
            $clutches[(int) $row->id] = ['id' => (int) $row->id, 'dam' => (int) $row->dam_id, 'hatched' => null, 'sires' => [],
                'kept' => []];
        }
        $hatched = DB::table('clutch_events')->whereIn('clutch_id', array_keys($clutches))->whereNull('deleted_at')->orderBy('id')
            ->where('kind', EventKind::Hatched->value)->get(['clutch_id', 'count']);
        foreach ($hatched as $row) {
            $clutches[(int) $row->clutch_id]['hatched'] = self::number($row->count);
        }
        $sires = DB::table('clutch_sires')->whereIn('clutch_id', array_keys($clutches))->orderBy('id')
            ->get(['clutch_id', 'animal_id', 'kept']);
        foreach ($sires as $row) {
            $clutches[(int) $row->clutch_id]['sires'][] = self::number($row->animal_id);
            $clutches[(int) $row->clutch_id]['kept'][] = self::number($row->kept);
        }

        return array_values($clutches);
    }

    private static function number(mixed $value): ?int
    {
        return is_numeric($value) ? (int) $value : null;
    }

    /**
     * The latest reading of each cue by the keeper, with the age at it; what others saw counts for nothing.
     *
     * @return array<int, array<string, array{string, int|null}>>
     */
    private static function sightingsOf(int $keeper): array
    {
        $seen = [];
        $rows = DB::table('sightings')->join('animals', 'animals.id', '=', 'sightings.animal_id')->where('sightings.user_id', $keeper)
            ->whereNull('sightings.deleted_at')->whereNull('animals.deleted_at')->whereNull('who')->orderBy('sightings.id')
            ->get(['animal_id', 'cue', 'state', 'sightings.on', 'hatched_on']);
        foreach ($rows as $row) {
            $days = $row->hatched_on === null ? null
                : max(0, (int) Carbon::parse($row->hatched_on)->diffInDays(Carbon::parse($row->on), false));
            $seen[(int) $row->animal_id][(string) $row->cue] = [(string) $row->state, $days];
        }

        return $seen;
    }

    /**
     * @param list<int> $clutches
     * @return list<AlikeRow>
     */
    private static function alikeOf(array $clutches): array
    {
        $sets = [];
        $rows = DB::table('alike_sets')->whereIn('clutch_id', $clutches)->whereNull('deleted_at')->orderBy('id')
            ->get(['id', 'clutch_id', 'target', 'animals']);
        foreach ($rows as $row) {
            $ids = array_values((array) json_decode((string) $row->animals, true));
            $animals = array_map(fn (mixed $id): int => is_numeric($id) ? (int) $id : 0, $ids);
            $sets[] = ['id' => (int) $row->id, 'clutch' => (int) $row->clutch_id, 'target' => (string) $row->target, 'animals' => $animals];
        }

        return $sets;
    }
}
