<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Catalogue\CatalogueShelf;
use App\Models\OddTrait;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;

/** An odd animal of which nobody knows what it is, to begin a notebook with. */
class OddTraitRequest extends RecordRequest
{
    /** @return array<string, mixed> */
    public function rules(CatalogueShelf $shelf): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'first' => ['required', 'string', 'max:80'],
            'sex' => ['required', Rule::in(['male', 'female'])],
            'gene' => ['nullable', Rule::in(array_keys($shelf->catalogue()->alleles))],
            'on' => ['required', ...self::DAY],
            'notes' => ['nullable', 'string', 'max:5000'],
            'form_token' => ['nullable', 'uuid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return self::DAY_MESSAGES + [
            'name' => 'Give the look a name of at most 80 characters.', 'first' => 'Name the animal that looks so.',
            'sex' => 'Choose its sex.', 'gene' => 'Choose a gene of the library.',
            'notes' => 'The notes have more than 5,000 characters.',
        ];
    }

    public function addTo(User $keeper): OddTrait
    {
        return DB::transaction(function () use ($keeper): OddTrait {
            /** @var OddTrait $trait */
            $trait = $this->once(
                $keeper->oddTraits(),
                ['name' => $this->validated('name'), 'gene' => $this->validated('gene'), 'notes' => $this->validated('notes')],
            );
            if ($trait->wasRecentlyCreated) {
                $trait->entries()->create([
                    'name' => $this->validated('first'), 'sex' => $this->validated('sex'), 'look' => 'odd',
                    'on' => $this->validated('on'),
                ]);
            }

            return $trait;
        });
    }
}
