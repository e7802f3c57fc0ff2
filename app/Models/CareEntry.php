<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Enums\CareKind;
use App\Models\Enums\FeedOutcome;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * Something noted in the care of an animal.
 *
 * @property int $id
 * @property int $animal_id
 * @property CareKind $kind
 * @property Carbon $on
 * @property int|null $grams
 * @property FeedOutcome|null $outcome
 * @property string|null $prey
 * @property string|null $words
 * @property Animal $animal
 */
class CareEntry extends Model implements Removable
{
    use KeepsHistory;
    use OfAnimal;
    use SoftDeletes;

    /** A ball python beyond this is a slip of the finger. */
    public const MOST_GRAMS = 8000;

    protected $fillable = ['kind', 'on', 'grams', 'outcome', 'prey', 'words', 'form_token'];

    protected $attributes = ['grams' => null, 'outcome' => null, 'prey' => null, 'words' => null, 'deleted_at' => null];

    protected $casts = ['kind' => CareKind::class, 'on' => 'date:Y-m-d', 'grams' => 'integer', 'outcome' => FeedOutcome::class];

    /**
     * The last entry of a kind of each animal that has one: one step down the index for each, rather than a look at every entry
     * that was ever made.
     *
     * @param list<int> $animals
     * @return list<int> ids of entries
     */
    public static function latestOf(array $animals, CareKind $kind): array
    {
        $last = DB::table('care_entries', 'one')->select('one.id')
            ->whereColumn('one.animal_id', 'animals.id')
            ->where('one.kind', $kind->value)
            ->whereNull('one.deleted_at')
            ->orderByDesc('one.on')->orderByDesc('one.id')->limit(1);

        return array_values(
            DB::table('animals')->whereIntegerInRaw('animals.id', $animals)->selectSub($last, 'last')->pluck('last')->filter()->all(),
        );
    }

    /**
     * Loads the last weight and the last meal of many animals at once.
     *
     * @param Collection<int, Animal> $animals
     */
    public static function loadLatest(Collection $animals): void
    {
        $ids = array_values(array_map(intval(...), $animals->modelKeys()));
        foreach (['latestWeight' => CareKind::Weight, 'latestFeed' => CareKind::Feed] as $relation => $kind) {
            $latest = self::query()->whereIntegerInRaw('id', self::latestOf($ids, $kind))->get()->keyBy('animal_id');
            foreach ($animals as $animal) {
                $animal->setRelation($relation, $latest->get($animal->id));
            }
        }
    }

    /** "1,420 g", "rat pup refused", "shed", with the words behind it. */
    public function sentence(): string
    {
        $what = match ($this->kind) {
            CareKind::Weight => number_format((int) $this->grams).' g',
            CareKind::Feed => trim(($this->prey ?? 'fed').', '.($this->outcome->value ?? 'offered')),
            CareKind::Shed => 'shed',
            CareKind::Note => '',
        };

        return trim($what.($this->words === null ? '' : ($what === '' ? '' : ': ').$this->words));
    }

    public function home(): string
    {
        return route('animals.show', $this->animal_id).'#care';
    }
}
