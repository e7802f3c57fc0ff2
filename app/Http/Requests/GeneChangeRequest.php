<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Catalogue\CatalogueShelf;
use App\Catalogue\Extension;
use App\Catalogue\OwnGene;
use App\Catalogue\UnnamedGene;
use App\Clutch\GeneShares;
use App\Looks\CountsFile;
use App\Looks\OwnEyes;
use App\Models\GeneChange;
use App\Models\User;
use Closure;
use Destino\DestinoError;
use Destino\Genome\Effect;
use Destino\Genome\Inheritance;
use Destino\Genome\Sex;
use Destino\Genome\Viability;
use Destino\Identification\Reading\EyeFit;
use Destino\Identification\Reading\OwnEye;
use Destino\Notation\Printer;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;

/** A further name of a gene, a gene of one's own, how the keeper reads a cue, or a friend's counts. */
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
            'kind' => ['required', Rule::in(['alias', 'gene', 'unnamed', 'eye', 'counts', 'nickname'])], 'form_token' => ['nullable', 'uuid'],
        ] + match ($this->input('kind')) {
            'alias' => [
                'gene' => $known,
                'name' => ['required', 'string', 'max:60', 'regex:/^[\pL\pN][\pL\pN \'().-]*$/u', $this->isFree($shelf)],
            ],
            'nickname' => [
                'combination' => ['required', 'string', 'max:60', 'regex:/^[\pL\pN][\pL\pN \'().-]*$/u', $this->isFree($shelf)],
                'means' => ['required', 'string', 'max:400', $this->isCombination($shelf)],
            ],
            'unnamed' => [
                'unnamed' => ['nullable', 'string', 'max:60', 'regex:/^[\pL\pN][\pL\pN \'().-]*$/u', $this->isFree($shelf)],
                'note' => ['nullable', 'string', 'max:2000'],
            ],
            'eye' => ['gene' => ['required', Rule::in(array_keys($shelf->cues())), $this->isRead()]],
            'counts' => [
                'from' => ['required', 'string', 'max:60'], 'weight' => ['required', 'integer', 'between:1,100'],
                'file' => ['required', 'file', 'max:2048', $this->isCounts()],
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
            'unnamed.regex' => 'A name has letters, digits, blanks and hyphens only.', 'unnamed.max' => 'The name has more than 60 characters.',
            'combination.required' => 'Enter the name.', 'combination.regex' => 'A name has letters, digits, blanks and hyphens only.',
            'means.required' => 'Enter the genes, for example Pastel Enchi Clown.',
            'gene' => 'That gene is not in the library.', 'from.required' => 'Say whose counts they are.',
            'weight' => 'Give a weight between 1 and 100 %.', 'file.required' => 'Choose the file of counts.',
            'file.max' => 'The file is larger than 2 MB.', 'note.max' => 'The note has more than 2,000 characters.',
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
                .$cues[0]['name'].' = '.implode(', ', array_fill(0, count($cues[0]['states']), 'x')).'” for '
                .implode(', ', array_column($cues[0]['states'], 'name')).'.',
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
            'nickname' => [
                'kind' => 'nickname', 'gene' => 'named-'.Str::slug($valid['combination']),
                'data' => ['name' => trim($valid['combination'])] + self::meant((string) $valid['means'], $this->opened()->shelf),
            ],
            'unnamed' => UnnamedGene::values((string) ($valid['unnamed'] ?? ''), (string) ($valid['note'] ?? ''), $keeper),
            'eye' => ['kind' => 'eye', 'gene' => $valid['gene'], 'data' => $this->ownEye((string) $valid['gene'])],
            'counts' => ['kind' => 'counts', 'gene' => 'counts', 'data' => [
                'from' => trim($valid['from']), 'weight' => $valid['weight'] / 100,
            ] + self::given((string) $this->file('file')?->get())],
            default => [
                'kind' => 'gene', 'gene' => 'own-'.Str::slug($valid['name']),
                'data' => [
                    'name' => trim($valid['name']), 'inheritance' => $valid['inheritance'],
                    'locus' => (string) ($valid['locus'] ?? ''), 'effect' => $valid['effect'],
                    'note' => (string) ($valid['note'] ?? ''),
                ] + OwnGene::further($this->validated(), $this->opened()->shelf->catalogue(), $this->opened()->shelf->document()),
            ],
        };

        return DB::transaction(function () use ($keeper, $values): GeneChange {
            /** @var GeneChange $made */
            $made = $this->once($keeper->geneChanges(), $values);
            if ($values['kind'] === 'eye') { // one for a cue
                $keeper->geneChanges()->where('kind', 'eye')->where('gene', $values['gene'])->whereKeyNot($made->id)->get()->each->delete();
            }

            return $made;
        });
    }

    /** @return array<string, mixed> */
    private static function given(string $text): array
    {
        $file = CountsFile::of($text);

        return ['readings' => $file->readings, 'animals' => $file->animals];
    }

    /** @return array{shift: float, spread: float, readings: int} */
    private function ownEye(string $cue): array
    {
        $eyes = new OwnEyes($this->opened());
        $eye = $eyes->eye($cue) ?? new OwnEye;

        return ['shift' => $eye->shift, 'spread' => $eye->spread, 'readings' => $eyes->count($cue)];
    }

    private function isRead(): Closure
    {
        return function (string $attribute, mixed $value, Closure $fail): void {
            if (is_string($value) && (new OwnEyes($this->opened()))->eye($value) === null) {
                $fail('There are fewer than '.EyeFit::ENOUGH.' confirmed readings of this cue now.');
            }
        };
    }

    private function isCounts(): Closure
    {
        return function (string $attribute, mixed $value, Closure $fail): void {
            try {
                CountsFile::of($value instanceof UploadedFile ? (string) $value->get() : '')->check($this->opened()->shelf);
            } catch (DestinoError $error) {
                $fail($error->getMessage());
            }
        };
    }

    /** A name stands for genes that are sure: what is only possible has none. */
    private function isCombination(CatalogueShelf $shelf): Closure
    {
        return function (string $attribute, mixed $value, Closure $fail) use ($shelf): void {
            $reading = $shelf->reader()->read((string) $value, Sex::Male);
            match (true) {
                $reading->belief === null => $fail($reading->errors[0]->getMessage()),
                ! $reading->belief->isCertain() => $fail('Enter genes that are sure, without chances.'),
                count(self::meant((string) $value, $shelf)['alleles']) < 2 => $fail('A name stands for two genes or more.'),
                default => null,
            };
        };
    }

    /** @return array{means: string, alleles: list<string>} the genes as they are printed, whatever names they were typed by */
    private static function meant(string $text, CatalogueShelf $shelf): array
    {
        $belief = $shelf->reader()->read($text, Sex::Male)->beliefOrFail();
        $catalogue = $shelf->catalogue();
        $alleles = array_values(array_filter(
            array_keys(GeneShares::of($belief, $catalogue)), fn (string $key): bool => $catalogue->allele($key)->locus !== Sex::LOCUS,
        ));

        return ['means' => (new Printer($catalogue))->belief($belief), 'alleles' => $alleles];
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
