<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Animals\TubOptions;
use App\Catalogue\CatalogueShelf;
use App\Collection\Numbering;
use App\Exchange\Cells\DateCell;
use App\Exchange\Cells\WeightCell;
use App\Exchange\PastedList;
use App\House\House;
use App\Models\Animal;
use App\Models\CareEntry;
use App\Models\Enums\CareKind;
use App\Models\Enums\Precision;
use App\Models\Enums\SexFound;
use App\Models\Once;
use App\Models\User;
use App\Season\Unlikely;
use Closure;
use DateTimeImmutable;
use Destino\Genome\Sex;
use Destino\Inference\Evidence\Source;
use Destino\Notation\GenotypeReader;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Illuminate\Validation\Validator;

/** The form of an animal's record, and what it does when it is right. A new animal comes with its first statement. */
class AnimalRequest extends RecordRequest
{
    /** @var array<string, string> */
    private array $takenFromGenes = [];

    protected function subject(): ?Animal
    {
        $animal = $this->route('animal');

        return $animal instanceof Animal ? $animal : null;
    }

    protected function records(): HasMany
    {
        return $this->keeper()->animals();
    }

    protected function prepareForValidation(): void
    {
        parent::prepareForValidation();
        $this->takenFromGenes = $this->subject() === null ? $this->besideGenes() : [];
        $this->merge($this->takenFromGenes);
        $this->merge(['sex' => $this->input('sex') === 'unknown' ? null : $this->input('sex')]
            + ($this->has('weight') ? ['weight' => $this->opened()->house->grams($this->input('weight'))] : []));
    }

    /**
     * The year and the weight that are written beside the genes go to their fields, where these are left empty.
     *
     * @return array<string, string>
     */
    private function besideGenes(): array
    {
        $beside = PastedList::beside(is_string($this->input('genotype')) ? $this->input('genotype') : '');
        $grams = $beside['weight'] === '' ? null : WeightCell::read($beside['weight'], null)->grams;
        $isFree = fn (string $field): bool => $this->has($field) && trim((string) $this->string($field)) === '';

        return array_filter([
            'hatched_on' => $isFree('hatched_on') ? self::day($beside['year']) : '', 'weight' => $isFree('weight') && $grams !== null ? (string) $grams : '',
        ], static fn (string $one): bool => $one !== '');
    }

    /** Empty where there is none, or where it can be read in two ways. */
    private static function day(string $written): string
    {
        $cell = $written === '' ? null : DateCell::read($written, null);

        return $cell?->day === null || $cell->isUnclear ? '' : $cell->precision->write(new DateTimeImmutable($cell->day));
    }

    /** What was taken from the text of the genes, in words; empty where nothing was. */
    public function takenWords(): string
    {
        return implode(' and ', [
            ...(isset($this->takenFromGenes['hatched_on']) ? ["hatched {$this->takenFromGenes['hatched_on']}"] : []),
            ...(isset($this->takenFromGenes['weight']) ? ["{$this->takenFromGenes['weight']} g today"] : []),
        ]);
    }

    protected function takesPartOfDay(string $field): bool
    {
        return $field === 'hatched_on';
    }

    /** @return array<string, mixed> */
    public function rules(CatalogueShelf $shelf): array
    {
        $isNew = ! $this->route('animal') instanceof Animal;

        return [
            'name' => ['required', 'string', 'max:80'],
            'number' => [
                'nullable', 'string', 'max:40',
                Rule::unique('animals')->where('user_id', $this->keeper()->id)->ignore($this->route('animal')),
            ],
            'sex' => [Rule::requiredIf(fn (): bool => ! $this->has('sex')), 'nullable', Rule::enum(Sex::class)],
            'sex_found' => ['nullable', Rule::enum(SexFound::class)],
            'sex_certainty' => ['nullable', 'integer', 'between:50,100'],
            'hatched_on' => ['nullable', 'string', AnimalRules::someDay()],
            'genotype' => $isNew
                ? [
                    'required', 'string', 'max:'.GenotypeReader::MOST_CHARACTERS,
                    self::readable($shelf, Sex::tryFrom((string) $this->input('sex'))),
                ]
                : ['exclude'],
            'weight' => $isNew ? ['nullable', 'integer', 'between:1,'.CareEntry::MOST_GRAMS] : ['exclude'],
            'tub' => $isNew ? ['nullable', 'string', 'max:40'] : ['exclude'],
            'said_by' => $isNew ? ['nullable', Rule::enum(Source::class)] : ['exclude'],
            'notes' => ['nullable', 'string', 'max:10000'],
            'source' => ['nullable', 'string', 'max:120'],
            'acquired_on' => ['nullable', 'date_format:Y-m-d', 'before_or_equal:today', 'after:1980-01-01'],
            'price' => ['nullable', 'numeric', 'between:0,1000000', 'decimal:0,2'],
            'sire_id' => ['nullable', 'integer', $this->possibleParent(Sex::Male)],
            'dam_id' => ['nullable', 'integer', $this->possibleParent(Sex::Female)],
            'sire_name' => ['nullable', 'string', 'max:80'],
            'dam_name' => ['nullable', 'string', 'max:80'],
            'version' => ['nullable', 'integer'],
            'form_token' => ['nullable', 'uuid'], 'sure' => ['nullable', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give the animal a name.',
            'name.max' => 'Shorten the name to 80 characters or fewer.',
            'number.unique' => 'Another animal has this number already.',
            'number.max' => 'The number has more than 40 characters.',
            'sex' => 'Choose male, female or not known.',
            'sex_certainty' => 'Give how sure the sex is as a whole number from 50 to 100 %.',
            'genotype.required' => 'Type what it carries, or “Normal” for an animal without any gene.',
            'genotype.max' => 'The text has more than :max characters.',
            'weight' => 'The weight must be a whole number of grams from 1 to '.number_format(CareEntry::MOST_GRAMS).'.',
            'acquired_on.before_or_equal' => 'The date must be today or earlier.',
            'acquired_on' => 'Enter a date, for example 2026-07-14.',
            'price' => 'Give the price as a number, for example 350 or 349.50.',
            'source.max' => 'The source has more than 120 characters.',
            'sire_name.max' => 'The name of the sire has more than 80 characters.',
            'dam_name.max' => 'The name of the dam has more than 80 characters.',
            'notes.max' => 'The notes have more than 10,000 characters.',
        ];
    }

    public function addTo(User $keeper, House $house): Animal
    {
        return DB::transaction(function () use ($keeper, $house): Animal {
            $this->holdTub($keeper);
            $values = $this->values();
            $said = $this->opened()->shelf->reader()->read(
                (string) $this->validated('genotype'), Sex::tryFrom((string) ($values['sex'] ?? '')),
            );
            $values['sex'] ??= $said->sex; // "1.0 Pastel": the text gives what the fields leave open
            $values['number'] ??= $said->number !== null && ! $keeper->animals()->where('number', $said->number)->exists()
                ? mb_substr($said->number, 0, 40)
                : null;
            $year = isset($values['hatched_on']) ? (int) substr($values['hatched_on'], 0, 4) : (int) now()->format('Y');
            $values['number'] ??= Numbering::next($keeper, $house, $year);
            /** @var Animal $animal */
            $animal = $this->once($keeper->animals(), $values);
            if ($animal->wasRecentlyCreated) {
                $animal->statements()->create([
                    'text' => $this->validated('genotype'), 'source' => $this->validated('said_by') ?? Source::Own->value,
                    'on' => $values['acquired_on'] ?? null,
                ]);
                $this->validated('weight') === null ?: $animal->care()->create([
                    'kind' => CareKind::Weight, 'on' => Carbon::today()->format('Y-m-d'), 'grams' => (int) $this->validated('weight'),
                ]);
            }

            return $animal;
        });
    }

    /** @throws ValidationException when the record was changed in another window since this form was opened */
    public function change(Animal $animal): void
    {
        $this->locked($animal, fn (Animal $current): Animal => $current->fill($this->values()), 'This record', fn (Animal $now): string =>
            "It now says: {$now->name}, {$now->sexWords()}, ".((string) $now->notes === '' ? 'no notes' : "“{$now->notes}”").'.');
    }

    /** @return Closure says what cannot be read of a genotype */
    public static function readable(CatalogueShelf $shelf, ?Sex $sex): Closure
    {
        return function (string $attribute, mixed $value, Closure $fail) use ($shelf, $sex): void {
            foreach ($shelf->reader()->read((string) $value, $sex)->errors as $error) {
                $fail($error->getMessage());
            }
        };
    }

    /** @return array<string, mixed> */
    private function values(): array
    {
        $values = $this->safe()->except(['version', 'form_token', 'sure', 'genotype', 'said_by', 'price', 'hatched_on', 'sex_certainty',
            'weight', 'tub']);
        if ((string) $this->validated('tub') !== '') {
            $values = array_combine(['rack_id', 'rack_row', 'rack_column'], explode(':', (string) $this->validated('tub'))) + $values;
        }
        if ($this->has('sex_certainty')) {
            $values['sex_certainty'] = (int) ($this->validated('sex_certainty') ?? 100);
        }
        if ($this->has('price')) {
            $values['price_cents'] = $this->validated('price') === null ? null : (int) round(100 * (float) $this->validated('price'));
        }
        $hatched = Precision::read((string) $this->validated('hatched_on'));
        $values['hatched_on'] = $hatched[0] ?? null;
        $values['hatched_precision'] = ($hatched[1] ?? Precision::Day)->value;

        return $values;
    }

    /** Who is a sire somewhere is male, and who is a dam is female: the sex changes only when the roles do. */
    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            $animal = $this->route('animal');
            if (! $animal instanceof Animal || ! $this->has('sex')) {
                return;
            }
            foreach (Sex::cases() as $needed) {
                $young = $animal->youngAs($needed);
                if ($young !== [] && Sex::tryFrom((string) $this->input('sex')) !== $needed) {
                    $some = implode(', ', array_slice($young, 0, 3)).(count($young) > 3 ? ' and '.(count($young) - 3).' more' : '');
                    $validator->errors()->add(
                        'sex',
                        "{$animal->name} is recorded as the ".($needed === Sex::Male ? 'sire' : 'dam')
                            ." of {$some}, and is therefore {$needed->value}. Change that first.",
                    );
                }
            }
        });
        $validator->after(fn (Validator $validator) => $this->askAboutParents($validator));
    }

    /**
     * Asked where nobody else writes, so that two forms never put two animals into one tub.
     *
     * @throws ValidationException
     */
    private function holdTub(User $keeper): void
    {
        $tub = $this->validated('tub');
        $isAgain = Once::made($keeper->animals(), $this->validated('form_token')) !== null;
        if ($tub !== null && ! $isAgain && ! array_key_exists((string) $tub, TubOptions::free($keeper))) {
            throw ValidationException::withMessages([
                'tub' => 'Another animal is in this tub, or there is no such tub. Choose another.',
            ]);
        }
    }

    private function possibleParent(Sex $sex): Closure
    {
        return AnimalRules::possibleParent($sex, $this->opened()->family(), $this->subject(), (string) $this->input('hatched_on'));
    }

    /** A parent that was hardly of an age is asked about once. */
    private function askAboutParents(Validator $validator): void
    {
        $hatched = Precision::read((string) $this->input('hatched_on'));
        if ($validator->errors()->isNotEmpty() || $hatched === null || $this->boolean('sure')) {
            return;
        }
        // The latest day that is meant, so that a year alone raises no question.
        $laid = Carbon::parse($hatched[0])->addDays([Precision::Day->value => 0, Precision::Month->value => 30][$hatched[1]->value]
            ?? 364)->subDays(57);
        foreach (['dam_id', 'sire_id'] as $field) {
            $parent = $this->input($field) === null ? null : $this->opened()->family()->animal((int) $this->input($field));
            $question = $parent === null ? null : Unlikely::age($parent, $laid);
            $question === null ?: $validator->errors()->add('sure', $question);
        }
    }

    private function keeper(): User
    {
        return $this->user()->keeper();
    }
}
