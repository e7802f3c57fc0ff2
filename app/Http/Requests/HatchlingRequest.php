<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Catalogue\CatalogueShelf;
use App\Clutch\NewHatchling;
use App\House\House;
use App\Models\Animal;
use App\Models\CareEntry;
use App\Models\Clutch;
use App\Models\Enums\SexFound;
use Destino\Genome\Sex;
use Destino\Inference\Evidence\Source;
use Destino\Notation\GenotypeReader;
use Illuminate\Auth\Access\Response;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** A hatchling becomes an animal with its parents. Saying what it carries takes the right to change genetics. */
class HatchlingRequest extends RecordRequest
{
    protected $errorBag = 'hatchling';

    protected function subject(): Model
    {
        return $this->route('clutch');
    }

    private function clutch(): Clutch
    {
        /** @var Clutch */
        return $this->route('clutch');
    }

    public function authorize(): Response
    {
        return Gate::inspect(trim((string) $this->input('genotype')) === '' ? 'log' : 'manage', $this->subject());
    }

    protected function prepareForValidation(): void
    {
        parent::prepareForValidation();
        $this->merge(['sex' => $this->input('sex') === 'unknown' ? null : $this->input('sex')]);
    }

    /** @return array<string, mixed> */
    public function rules(CatalogueShelf $shelf): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'sex' => ['nullable', Rule::enum(Sex::class)],
            'sire_id' => ['nullable', 'integer', Rule::in($this->clutch()->sires->pluck('animal_id')->filter()->all())],
            'genotype' => [
                'nullable', 'string', 'max:'.GenotypeReader::MOST_CHARACTERS,
                AnimalRequest::readable($shelf, Sex::tryFrom((string) $this->input('sex'))),
            ],
            'certainty' => ['nullable', 'integer', 'between:1,100'],
            'grams' => ['nullable', 'integer', 'between:1,'.CareEntry::MOST_GRAMS],
            'form_token' => ['required', 'uuid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name' => 'Give the hatchling a name or a number for now.',
            'sex' => 'Choose male, female or not known.',
            'sire_id' => 'That animal is not among the possible sires of this clutch.',
            'certainty' => 'Give how sure you are as a whole number from 1 to 100 %.',
            'grams' => 'The weight must be a whole number of grams.',
        ];
    }

    public function addTo(Clutch $clutch, House $house): Animal
    {
        return DB::transaction(function () use ($clutch, $house): Animal {
            $keeper = $clutch->dam->keeper()->firstOrFail();
            $day = $clutch->hatched_on ?? now();
            $sex = $this->validated('sex');
            /** @var Animal $animal */
            $animal = $this->once($keeper->animals(), (new NewHatchling($clutch, $keeper, $house))->values(
                (string) $this->validated('name'), $sex, $this->validated('sire_id') === null ? null : (int) $this->validated('sire_id'),
            ) + ['sex_found' => $sex === null ? null : SexFound::Popped]);
            if ($animal->wasRecentlyCreated) {
                if ($this->validated('genotype') !== null) {
                    $animal->statements()->create([
                        'text' => $this->validated('genotype'), 'source' => Source::Own, 'on' => $day->format('Y-m-d'),
                        'certainty' => $this->validated('certainty') ?? 100,
                    ]);
                }
                if ($this->validated('grams') !== null) {
                    $animal->care()->create(['kind' => 'weight', 'on' => $day->format('Y-m-d'), 'grams' => $this->validated('grams')]);
                }
            }

            return $animal;
        });
    }
}
