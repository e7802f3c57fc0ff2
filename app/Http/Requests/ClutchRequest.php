<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Clutch\Followers;
use App\Models\Animal;
use App\Models\Clutch;
use App\Models\User;
use App\Season\Unlikely;
use Closure;
use Destino\Genome\Sex;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Illuminate\Validation\Validator;

/**
 * A pairing and what came of it. A pairing that is still to be made obeys the house rules; what has been laid already is
 * a fact and is recorded whatever they say.
 */
class ClutchRequest extends RecordRequest
{
    /** Percent that kept sperm gets where the keeper gives none: rare beside a male of the season. An assumption. */
    private const KEPT = 5;

    protected function ability(): string
    {
        return 'log';
    }

    protected function subject(): ?Model
    {
        return $this->route('clutch');
    }

    protected function records(): HasMany
    {
        return $this->keeper()->clutches();
    }

    protected function prepareForValidation(): void
    {
        parent::prepareForValidation();
        $this->merge([
            'sires' => array_values(array_filter((array) $this->input('sires', []), fn (mixed $id): bool => $id !== null && $id !== '')),
        ]);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'dam_id' => ['required', 'integer'],
            'sires' => ['array', 'max:8'],
            'sires.*' => ['integer', 'distinct'],
            'sire_name' => ['nullable', 'string', 'max:80'],
            'kept_id' => ['nullable', 'integer'], 'kept' => ['nullable', 'integer', 'between:1,100'],
            'label' => ['nullable', 'string', 'max:'.Clutch::LONGEST_LABEL],
            'paired_on' => ['nullable', ...self::DAY],
            'laid_on' => ['nullable', ...self::DAY],
            'eggs_good' => ['nullable', 'integer', 'between:0,40'],
            'eggs_infertile' => ['nullable', 'integer', 'between:0,40'],
            'hatched_on' => ['nullable', ...self::DAY],
            'hatched' => ['nullable', 'integer', 'between:0,40'],
            'target' => ['nullable', 'string', 'max:400', function (string $attribute, mixed $value, Closure $fail): void {
                [, $faults] = $this->opened()->shelf->targetsWithChoices()->readAll((string) $value);
                $faults === [] ?: $fail($faults[0]->getMessage());
            }],
            'reason' => ['nullable', 'string', 'max:2000'],
            'notes' => ['nullable', 'string', 'max:10000'],
            'version' => ['nullable', 'integer'],
            'form_token' => ['nullable', 'uuid'], 'sure' => ['nullable', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $day = fn (string $field): array => [
            "{$field}.before_or_equal" => 'The date must be today or earlier.', $field => 'Enter a date, for example 2026-07-14.',
        ];

        return [
            'dam_id' => 'Choose the dam.',
            'sires.*.distinct' => 'The same sire is chosen twice.',
            'eggs_good' => 'Give the good eggs as a whole number from 0 to 40.',
            'eggs_infertile' => 'Give the infertile eggs as a whole number from 0 to 40.',
            'hatched' => 'Give the hatched as a whole number from 0 to 40.',
            'sire_name.max' => 'The name of the sire has more than 80 characters.',
            'kept' => 'Give how likely it is that she kept his sperm as a whole number from 1 to 100 %.',
            'label.max' => 'The label has more than 60 characters.',
            'reason.max' => 'The reason has more than 2,000 characters.',
            'notes.max' => 'The notes have more than 10,000 characters.',
        ] + $day('paired_on') + $day('laid_on') + $day('hatched_on');
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            $dam = $this->keeper()->animals()->find((int) $this->input('dam_id'));
            if ($dam === null) {
                $validator->errors()->add('dam_id', 'The dam is not in your collection.');
            } elseif ($dam->sex !== Sex::Female) {
                $validator->errors()->add('dam_id', "{$dam->name} is not female.");
            }
            $sires = $this->sires();
            foreach (
                array_diff(
                    array_map(intval(...), $this->input('sires')), array_map(fn (Animal $sire): int => $sire->id, $sires),
                ) as $missing
            ) {
                $validator->errors()->add('sires', "A sire (number {$missing}) is not in your collection.");
            }
            foreach ($sires as $sire) {
                if ($sire->sex !== Sex::Male) {
                    $validator->errors()->add('sires', "{$sire->name} is not male.");
                }
            }
            $this->kept($validator);
            ClutchRules::order($validator);
            if ($validator->errors()->isEmpty() && $this->input('laid_on') === null && $dam !== null) {
                ClutchRules::askTheHouse($validator, $this->opened(), $dam, $sires);
            }
            if ($validator->errors()->isEmpty() && $dam !== null && ! $this->boolean('sure')) {
                foreach ($this->unlikely($dam, $sires) as $question) {
                    $validator->errors()->add('sure', $question);
                }
            }
        });
    }

    public function addTo(User $keeper): Clutch
    {
        return DB::transaction(function () use ($keeper): Clutch {
            /** @var Clutch $clutch */
            $clutch = $this->once($keeper->clutches(), $this->values());
            if ($clutch->wasRecentlyCreated) {
                $this->writeSires($clutch);
                $clutch->tellApart();
            }

            return $clutch;
        });
    }

    /** @throws ValidationException when the record was changed in another window since this form was opened */
    public function change(Clutch $clutch): void
    {
        $this->locked($clutch, function (Clutch $current): void {
            $followers = new Followers($current);
            $current->fill($this->values())->save();
            $current->sires()->delete();
            $this->writeSires($current);
            $followers->follow();
        }, 'This clutch', fn (): string => 'Look at it there.');
    }

    /** A male of an earlier season is of the collection, male, and not among those of this one; somebody of this season may be unknown. */
    private function kept(Validator $validator): void
    {
        $id = $this->input('kept_id') === null ? null : (int) $this->input('kept_id');
        $male = $id === null ? null : $this->keeper()->animals()->find($id);
        if ($id !== null && ($male === null || $male->sex !== Sex::Male)) {
            $validator->errors()->add('kept_id', 'That male is not in your collection.');
        } elseif ($id !== null && in_array($id, array_map(intval(...), $this->input('sires')), true)) {
            $validator->errors()->add('kept_id', "{$male?->name} is among the sires of this season already.");
        } elseif ($id !== null && (int) $this->input('kept') === 100 && ($this->input('sires') !== [] || filled($this->input('sire_name')))) {
            $validator->errors()->add('kept', "At 100 % {$male?->name} is the sire. Take the other males out, or lower the chance.");
        }
    }

    /**
     * @param list<Animal> $sires
     * @return list<string>
     */
    private function unlikely(Animal $dam, array $sires): array
    {
        $day = fn (string $field): ?Carbon => $this->input($field) === null ? null : Carbon::parse($this->input($field));
        $itself = $this->subject();

        return Unlikely::ofClutch(
            ['paired' => $day('paired_on'), 'laid' => $day('laid_on'), 'hatched' => $day('hatched_on')],
            (int) $this->input('eggs_good') + (int) $this->input('eggs_infertile'), $dam, $sires,
            $itself instanceof Clutch ? $itself : null, $this->input('form_token'),
        );
    }

    /** @return array<string, mixed> */
    private function values(): array
    {
        return $this->safe()->except(['sires', 'sire_name', 'kept_id', 'kept', 'version', 'form_token', 'sure']);
    }

    private function writeSires(Clutch $clutch): void
    {
        foreach ($this->sires() as $sire) {
            $clutch->sires()->create(['animal_id' => $sire->id]);
        }
        if ($this->validated('kept_id') !== null) {
            $clutch->sires()->create(['animal_id' => (int) $this->validated('kept_id'),
                'kept' => (int) ($this->validated('kept') ?? self::KEPT)]);
        }
        if ($this->validated('sire_name') !== null) {
            $clutch->sires()->create(['name' => $this->validated('sire_name')]);
        }
    }

    /** @return list<Animal> */
    private function sires(): array
    {
        return $this->keeper()->animals()->whereIn('id', $this->input('sires'))->orderBy('id')->get()->all();
    }

    private function keeper(): User
    {
        return $this->user()->keeper();
    }
}
