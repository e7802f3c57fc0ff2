<?php

namespace App\Http\Requests;

use App\Catalogue\CatalogueShelf;
use App\Family\Family;
use App\Models\Animal;
use App\Models\User;
use Closure;
use Destino\Genome\Sex;
use Destino\Notation\GenotypeReader;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/** The form of an animal's record, and what it does when it is right. */
class AnimalRequest extends FormRequest
{
    public function authorize(): Response
    {
        $animal = $this->route('animal');

        return $animal instanceof Animal ? Gate::inspect('update', $animal) : Gate::inspect('create', Animal::class);
    }

    /** @return array<string, mixed> */
    public function rules(CatalogueShelf $shelf): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'sex' => ['required', Rule::enum(Sex::class)],
            'hatched_on' => ['nullable', 'date_format:Y-m-d', 'before_or_equal:today', 'after:1980-01-01'],
            'genotype' => ['required', 'string', 'max:'.GenotypeReader::MOST_CHARACTERS, $this->readable($shelf)],
            'notes' => ['nullable', 'string', 'max:10000'],
            'sire_id' => ['nullable', 'integer', $this->possibleParent(Sex::Male)],
            'dam_id' => ['nullable', 'integer', $this->possibleParent(Sex::Female)],
            'sire_name' => ['nullable', 'string', 'max:80'],
            'dam_name' => ['nullable', 'string', 'max:80'],
            'version' => ['nullable', 'integer'],
            'form_token' => ['nullable', 'uuid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give the animal a name or a number.',
            'name.max' => 'The name has more than 80 characters.',
            'sex' => 'Choose male or female.',
            'hatched_on.date_format' => 'Write the hatch date as year-month-day, for example 2022-08-11.',
            'hatched_on.before_or_equal' => 'The hatch date lies in the future.',
            'hatched_on.after' => 'The hatch date lies too far back.',
            'genotype.required' => 'Type what it carries, or “Normal” for an animal without any gene.',
            'genotype.max' => 'The text has more than :max characters.',
            'sire_name.max' => 'The name of the sire has more than 80 characters.',
            'dam_name.max' => 'The name of the dam has more than 80 characters.',
            'notes.max' => 'The notes have more than 10,000 characters.',
        ];
    }

    public function addTo(User $keeper): Animal
    {
        return DB::transaction(fn (): Animal => $this->input('form_token') === null
            ? $keeper->animals()->create($this->safe()->except('version'))
            // A double click sends the same form twice: the second one finds what the first one made.
            : $keeper->animals()->createOrFirst(['form_token' => $this->validated('form_token')], $this->safe()->except(['version', 'form_token'])));
    }

    /** @throws ValidationException when the record was changed in another window since this form was opened */
    public function change(Animal $animal): void
    {
        DB::transaction(function () use ($animal): void {
            $current = Animal::query()->lockForUpdate()->findOrFail($animal->id);
            if ($this->input('version') !== null && (int) $this->validated('version') !== $current->version) {
                throw ValidationException::withMessages(['version' => 'This record was changed in another window since you opened it. It now says: '
                    ."{$current->name}, {$current->sex->value}, “{$current->genotype}”. What you typed is still below: save again to put it in place of that."]);
            }
            $current->fill($this->safe()->except(['version', 'form_token']));
            $current->version++;
            $current->save();
        });
    }

    /** A parent is of the right sex, of the same collection, older, and no descendant. */
    private function possibleParent(Sex $sex): Closure
    {
        return function (string $attribute, mixed $value, Closure $fail) use ($sex): void {
            $role = $sex === Sex::Male ? 'sire' : 'dam';
            $family = Family::of($this->user());
            $parent = $family->animal((int) $value);
            $animal = $this->route('animal');
            $hatched = strtotime((string) $this->input('hatched_on'));
            if ($parent === null) {
                $fail("The {$role} is not in your collection. Choose another, or write its name.");
            } elseif ($parent->sex !== $sex) {
                $fail("{$parent->name} is {$parent->sex->value}, and the {$role} must be {$sex->value}.");
            } elseif ($animal instanceof Animal && $family->descends($parent, $animal)) {
                $fail($parent->id === $animal->id ? 'An animal is not its own parent.' : "{$parent->name} descends from {$animal->name} and cannot be a parent of it.");
            } elseif ($hatched !== false && $parent->hatched_on !== null && $parent->hatched_on->getTimestamp() >= $hatched) {
                $fail("{$parent->name} hatched on {$parent->hatched_on->format('j F Y')}, which is not before this animal.");
            }
        };
    }

    private function readable(CatalogueShelf $shelf): Closure
    {
        return function (string $attribute, mixed $value, Closure $fail) use ($shelf): void {
            $sex = Sex::tryFrom((string) $this->input('sex')) ?? Sex::Female;
            foreach ((new GenotypeReader($shelf->catalogue(), $shelf->names()))->read((string) $value, $sex)->errors as $error) {
                $fail($error->getMessage());
            }
        };
    }
}
