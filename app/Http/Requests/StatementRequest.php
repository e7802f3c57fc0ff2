<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Catalogue\CatalogueShelf;
use App\Models\Animal;
use App\Models\Statement;
use Destino\Inference\Evidence\Source;
use Destino\Notation\GenotypeReader;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Validation\Rule;

/** One statement about an animal's genes: made anew, or corrected. */
class StatementRequest extends RecordRequest
{
    protected $errorBag = 'statement';

    protected function subject(): Model
    {
        return $this->route('statement') ?? $this->route('animal');
    }

    protected function prepareForValidation(): void
    {
        parent::prepareForValidation();
        $this->merge(['names_all' => $this->boolean('names_all')]);
    }

    /** @return array<string, mixed> */
    public function rules(CatalogueShelf $shelf): array
    {
        $subject = $this->subject();
        /** @var Animal $animal */
        $animal = $subject instanceof Statement ? $subject->animal : $subject;

        return [
            'text' => ['required', 'string', 'max:'.GenotypeReader::MOST_CHARACTERS, AnimalRequest::readable($shelf, $animal->sex)],
            'source' => ['required', Rule::enum(Source::class)],
            'who' => ['nullable', 'string', 'max:80'],
            'on' => ['nullable', ...self::DAY],
            'certainty' => ['required', 'integer', 'between:1,100'],
            'names_all' => ['boolean'],
            'note' => ['nullable', 'string', 'max:2000'],
            'form_token' => ['nullable', 'uuid'],
            'version' => ['nullable', 'integer'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'text.required' => 'Type what is said of it, or “Normal”.',
            'source' => 'Say who says so.',
            'who.max' => 'Shorten the name to 80 characters or fewer.',
            'certainty' => 'Give how sure it is as a whole number from 1 to 100 %.',
            'note.max' => 'The note has more than 2,000 characters.',
        ] + self::DAY_MESSAGES;
    }

    public function addTo(Animal $animal): Statement
    {
        /** @var Statement */
        return $this->once($animal->statements(), $this->safe()->except('form_token', 'version'));
    }

    public function change(Statement $statement): Statement
    {
        return $this->changed($statement, $this->safe()->except('form_token', 'version'), 'statement');
    }
}
