<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Catalogue\UnnamedGene;
use App\Models\GeneChange;
use Closure;
use Destino\Genome\Allele;
use Destino\Genome\Inheritance;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Validation\Rule;

/** The name of a gene of the keeper's own, or the gene of the library that it turned out to be. */
class NamingRequest extends RecordRequest
{
    protected function records(): HasMany
    {
        return $this->opened()->keeper()->geneChanges();
    }

    protected function gene(): GeneChange
    {
        /** @var GeneChange */
        return $this->opened()->keeper()->geneChanges()->where('kind', 'gene')->where('gene', (string) $this->route('gene'))->firstOrFail();
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'new_name' => [
                'required_without:same_as', 'prohibits:same_as', 'nullable', 'string', 'max:60', 'regex:/^[\pL\pN][\pL\pN \'().-]*$/u',
                $this->isFree(),
            ],
            'same_as' => ['nullable', Rule::in(array_keys(self::recessives($this->opened()->shelf->catalogue()->alleles)))],
            'form_token' => ['nullable', 'uuid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'new_name.required_without' => 'Enter a name, or choose the gene that it is.', 'new_name.prohibits' => 'Give a name or choose a gene, not both.',
            'new_name.regex' => 'A name has letters, digits, blanks and hyphens only.',
            'new_name.max' => 'The name has more than 60 characters.', 'same_as' => 'Choose a recessive of the library.',
        ];
    }

    /**
     * @param array<string, Allele> $alleles
     * @return array<string, string> names by key: what such a gene can turn out to be
     */
    public static function recessives(array $alleles): array
    {
        return array_map(static fn (Allele $one): string => $one->name, array_filter(
            $alleles,
            static fn (Allele $one): bool => $one->inheritance === Inheritance::Recessive && ! str_starts_with($one->key, 'own-'),
        ));
    }

    private function isFree(): Closure
    {
        return function (string $attribute, mixed $value, Closure $fail): void {
            $own = $this->gene()->data;
            if (in_array($value, [$own['name'], ...$own['aliases'] ?? []], true)) {
                return;
            }
            $reading = $this->opened()->shelf->targets()->readAll((string) $value)[0];
            $reading === null ?: $fail("“{$value}” means something already: ".implode(', ', array_column($reading->conditions, 'piece')).'.');
        };
    }

    /** @return array{string, string} key of the gene from now on, and what to say */
    public function name(): array
    {
        $gene = $this->gene();
        $before = $gene->data['name'];
        $known = (string) $this->validated('same_as');
        if ($known !== '') {
            $name = $this->opened()->shelf->catalogue()->allele($known)->name;
            UnnamedGene::becomes($gene, $known, $this->opened()->keeper());

            return [$known, "{$before} is {$name} from now on, in every record."];
        }
        $name = trim((string) $this->validated('new_name'));
        UnnamedGene::rename($gene, $name);

        return [$gene->gene, "{$before} is called {$name} from now on, in every record."];
    }
}
