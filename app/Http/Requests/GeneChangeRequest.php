<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Catalogue\CatalogueShelf;
use App\Catalogue\CueRules;
use App\Catalogue\Extension;
use App\Catalogue\OwnChances;
use App\Catalogue\OwnGene;
use App\Models\GeneChange;
use App\Models\User;
use Closure;
use Destino\Genome\Effect;
use Destino\Genome\Inheritance;
use Destino\Genome\Viability;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;

/** A further name of a gene, a gene of one's own, or another weight of a cue. */
class GeneChangeRequest extends RecordRequest
{
    protected function records(): HasMany
    {
        return $this->opened()->keeper()->geneChanges();
    }

    /** @return array<string, mixed> */
    public function rules(CatalogueShelf $shelf): array
    {
        $catalogue = $shelf->catalogue();
        $known = ['required', Rule::in(array_keys($catalogue->alleles))];

        return [
            'kind' => ['required', Rule::in(['alias', 'gene', 'cue'])], 'form_token' => ['nullable', 'uuid'],
        ] + match ($this->input('kind')) {
            'alias' => [
                'gene' => $known,
                'name' => ['required', 'string', 'max:60', 'regex:/^[\pL\pN][\pL\pN \'().-]*$/u', $this->isFree($shelf)],
            ],
            'cue' => [
                'gene' => $known, 'rule' => ['required', Rule::in(array_keys(CueRules::of($shelf, (string) $this->input('gene'))))],
                'chances' => [
                    'required', 'string', 'max:200',
                    fn (
                        string $attribute, mixed $value, Closure $fail,
                    ) => $this->own($shelf)->fault() === null ?: $fail($this->own($shelf)->fault()),
                ],
            ],
            default => [
                'name' => ['required', 'string', 'max:60', 'regex:/^[\pL\pN][\pL\pN \'().-]*$/u', $this->isFree($shelf)],
                'inheritance' => ['required', Rule::in([...array_column(Inheritance::cases(), 'value'), Extension::UNKNOWN])],
                'locus' => ['nullable', Rule::in(array_keys($catalogue->loci))],
                'effect' => ['required', Rule::enum(Effect::class)],
                'note' => ['nullable', 'string', 'max:2000'],
            ] + $this->further(),
        };
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give a name.', 'name.regex' => 'A name has letters, digits, blanks and hyphens only.',
            'name.max' => 'The name has more than 60 characters.',
            'inheritance' => 'Choose how it is inherited; “not known” will do.', 'locus' => 'Choose a complex, or none.',
            'effect' => 'Choose what it mainly does.',
            'gene' => 'That gene is not in the library.', 'rule' => 'Choose a cue.',
            'chances.required' => 'Give a percentage for each state.', 'note.max' => 'The note has more than 2,000 characters.',
        ];
    }

    /** @return array<string, mixed> what a shipped gene can hold besides: its two-copy form, compounds, nicknames */
    private function further(): array
    {
        $name = ['nullable', 'string', 'max:60', "regex:/^[\\pL\\pN][\\pL\\pN '().-]*$/u"];

        return [
            'two_name' => $name, 'two_looks' => ['nullable', 'string', 'max:500'],
            'two_viability' => ['nullable', Rule::enum(Viability::class)],
            'two_told_apart' => ['nullable', Rule::in(['yes', 'no', 'unknown'])],
            'aliases' => ['nullable', 'string', 'max:300'],
            'compounds' => ['nullable', 'string', 'max:2000', $this->compoundLines()],
            'nicknames' => ['nullable', 'string', 'max:2000', self::nicknameLines()],
            'effects' => ['nullable', 'string', 'max:2000', $this->effectLines()],
            'two_effects' => ['nullable', 'string', 'max:2000', $this->effectLines()],
            'cues' => ['nullable', 'string', 'max:3000', $this->cueLines()],
        ];
    }

    private function compoundLines(): Closure
    {
        return self::eachLine(
            fn (string $line): ?string => OwnGene::compound($line, $this->opened()->shelf->catalogue())['allele'] ?? null,
            'names no compound. Write a line for each: other allele = name of the compound, dies (or weak, or lives).',
        );
    }

    private function effectLines(): Closure
    {
        $axes = $this->opened()->shelf->document()['axes'];

        return self::eachLine(
            fn (string $line): ?string => OwnGene::effect($line, $axes)[0] ?? null,
            'says nothing of a look. Write a line for each: what changes = how much, from -3 to 3. Known are: '
                .implode(', ', array_map(fn (array $axis): string => $axis['name'], $axes)).'.',
        );
    }

    private function cueLines(): Closure
    {
        $cues = $this->opened()->shelf->document()['cues'];

        return self::eachLine(
            fn (string $line): ?string => OwnGene::cue($line, $cues)['cue'] ?? null,
            'is no cue. Write a line for each: cue = a percentage for each of its states, together 100. For example “'
                .$cues[0]['name'].' = '.implode(', ', array_fill(0, count($cues[0]['states']), 'x')).'” for '.implode(', ',
                    $cues[0]['states']).'.',
        );
    }

    private static function nicknameLines(): Closure
    {
        return self::eachLine(
            fn (string $line): ?string => OwnGene::nickname($line)['name'] ?? null,
            'is no nickname. Write a line for each: nickname = genes that it is short for.',
        );
    }

    /**
     * Every line says something, and no two say something of the same: only one of them could be kept.
     *
     * @param Closure(string): (string|null) $subject what a line is about; null where it says no such thing
     */
    private static function eachLine(Closure $subject, string $wrong): Closure
    {
        return function (string $attribute, mixed $value, Closure $fail) use ($subject, $wrong): void {
            $said = [];
            foreach (OwnGene::lines((string) $value) as $line) {
                $about = $subject($line);
                if ($about === null) {
                    $fail("“{$line}” {$wrong}");

                    continue;
                }
                $about = mb_strtolower($about);
                isset($said[$about]) ? $fail("“{$said[$about]}” and “{$line}” speak of the same: leave one out.") : $said[$about] = $line;
            }
        };
    }

    public function addTo(User $keeper): GeneChange
    {
        $valid = $this->safe();
        $values = match ($this->validated('kind')) {
            'alias' => ['kind' => 'alias', 'gene' => $valid['gene'], 'data' => ['name' => trim($valid['name'])]],
            'cue' => [
                'kind' => 'cue', 'gene' => $valid['gene'],
                'data' => $this->own($this->opened()->shelf)->data(),
            ],
            default => [
                'kind' => 'gene', 'gene' => 'own-'.Str::slug($valid['name']),
                'data' => [
                    'name' => trim($valid['name']), 'inheritance' => $valid['inheritance'],
                    'locus' => (string) ($valid['locus'] ?? ''), 'effect' => $valid['effect'],
                    'note' => (string) ($valid['note'] ?? ''),
                ] + OwnGene::further($this->validated(), $this->opened()->shelf->catalogue(), $this->opened()->shelf->document()),
            ],
        };

        /** @var GeneChange */
        return $this->once($keeper->geneChanges(), $values);
    }

    private function own(CatalogueShelf $shelf): OwnChances
    {
        return new OwnChances($shelf, (string) $this->input('gene'), (string) $this->input('rule'), (string) $this->input('chances'));
    }

    private function isFree(CatalogueShelf $shelf): Closure
    {
        return function (string $attribute, mixed $value, Closure $fail) use ($shelf): void {
            $reading = $shelf->targets();
            try {
                $meant = $reading->read((string) $value);
            } catch (\Destino\DestinoError) {
                return; // the name is not in use
            }
            if ($meant->conditions !== []) {
                $fail(
                    "“{$value}” means something already: "
                        .implode(', ', array_map(fn ($condition): string => $condition->piece, $meant->conditions)).'.',
                );
            }
        };
    }
}
