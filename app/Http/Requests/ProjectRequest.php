<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Catalogue\CatalogueShelf;
use App\Models\Once;
use App\Models\Plan;
use App\Models\Project;
use App\Models\RemovedSince;
use App\Models\User;
use Closure;
use Destino\DestinoError;
use Destino\Genome\Sex;
use Destino\Planning\Given\Aim;
use Destino\Planning\Given\PlanAssumptions;
use Destino\Planning\Given\Project as PlannedProject;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/** The form of a project. Offers are written one a line: "female, Clown het Piebald, 24 months, 400". */
class ProjectRequest extends RecordRequest
{
    /** Limits of relatedness that can be chosen for a project. */
    public const INBREEDING = ['0', '1/16', '1/8', '1/4'];

    protected function subject(): ?Model
    {
        return $this->route('project');
    }

    /** @return array<string, mixed> */
    public function rules(CatalogueShelf $shelf): array
    {
        $rules = [
            'name' => ['required', 'string', 'max:80'],
            'target' => ['required', 'string', 'max:400', $this->readableTarget($shelf)],
            'horizon' => ['required', 'integer', 'between:1,'.PlannedProject::MOST_SEASONS],
            'wanted' => ['required', Rule::in(['one', 'two', 'three', 'pair', 'sure'])],
            'first' => ['nullable', Rule::in(['early', 'surely'])],
            'most_inbreeding' => ['nullable', Rule::in(self::INBREEDING)],
            'weight' => ['required', 'integer', 'between:1,9'],
            'budget' => ['nullable', 'integer', 'between:0,10000000'],
            'tubs' => ['nullable', 'integer', 'between:0,500'],
            'offers' => ['nullable', 'string', 'max:5000', $this->readableOffers($shelf)],
            'forbidden' => ['array', 'max:50'],
            'forbidden.*' => ['regex:/^\d{1,12}:\d{1,12}$/'],
            'begun_on' => ['nullable', ...self::DAY],
            'notes' => ['nullable', 'string', 'max:10000'],
            'assumptions' => ['array'],
            'version' => ['nullable', 'integer'],
            'form_token' => ['nullable', 'uuid'],
        ];
        foreach (array_keys((new PlanAssumptions)->toArray()) as $name) {
            $rules["assumptions.{$name}"] = ['nullable', 'numeric'];
        }

        return $rules;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name' => 'Give the project a name of at most 80 characters.',
            'target.required' => 'Type what you want, for example “Clown + Piebald”.',
            'horizon' => 'Look 1 to '.PlannedProject::MOST_SEASONS.' seasons ahead.',
            'first' => 'Choose what counts more.', 'weight' => 'Choose a priority from 1 to 9.',
                'budget' => 'Enter the budget as a whole number.',
            'tubs' => 'Enter a number of tubs from 0 to 500.',
            'begun_on' => 'Enter a date up to today, for example 2026-07-14.', 'assumptions.*' => 'Give a number.',
            'forbidden.*' => 'Choose a pair.', 'notes.max' => 'The notes have more than 10,000 characters.',
        ];
    }

    public function withValidator(\Illuminate\Validation\Validator $validator): void
    {
        $validator->after(function (\Illuminate\Validation\Validator $validator): void {
            if ($validator->errors()->isEmpty()) {
                try {
                    PlanAssumptions::of($this->assumptions());
                } catch (DestinoError $error) {
                    $validator->errors()->add('assumptions', $error->getMessage());
                }
            }
        });
    }

    /**
     * A project and its first plan, together or not at all; one that has no plan gets it when its form is sent again.
     *
     * @param  callable(Project): array<string, mixed>  $begin  what the first plan holds
     * @return Project|Plan the first plan, where it was made now
     *
     * @throws RemovedSince
     */
    public function addTo(User $keeper, callable $begin): Project|Plan
    {
        $made = Once::made($keeper->projects(), $this->validated('form_token'));
        if ($made instanceof Project && $made->plans()->exists()) {
            return $made;
        }
        $first = $begin($made instanceof Project ? $made : $keeper->projects()->make($this->values())->setRelation('keeper', $keeper));

        return DB::transaction(function () use ($keeper, $first): Project|Plan {
            /** @var Project $project */
            $project = $this->once($keeper->projects(), $this->values());

            return $project->plans()->exists() ? $project : $project->plans()->create($first);
        });
    }

    /** @throws ValidationException when the record was changed in another window since this form was opened */
    public function change(Project $project): void
    {
        $this->changed($project, $this->values(), 'project');
    }

    /** @return array<string, int|float> */
    private function assumptions(): array
    {
        $defaults = (new PlanAssumptions)->toArray();
        $given = array_filter((array) $this->input('assumptions', []), fn (mixed $value): bool => $value !== null && $value !== '');
        $chosen = [];
        foreach ($given as $name => $value) {
            if (isset($defaults[$name]) && is_numeric($value)) {
                $number = is_int($defaults[$name]) ? (int) $value : (float) $value;
                $number === $defaults[$name] || $chosen[$name] = $number;
            }
        }

        return $chosen;
    }

    /** @return array<string, mixed> */
    private function values(): array
    {
        $project = $this->route('project');
        $own = $project instanceof Project ? Aim::fromArray($project->aim ?? []) : new Aim;
        $isEarly = ($this->validated('first') ?? ($own->early ? 'early' : 'surely')) === 'early';

        return [
            'aim' => (new Aim($isEarly, $own->tubs, $own->clutches))->toArray(),
            'offers' => array_values(array_filter(OfferLines::read((string) $this->validated('offers')), is_array(...))),
            'assumptions' => $this->assumptions(),
            'forbidden' => array_map(
                fn (string $pair): array => array_map(intval(...), explode(':', $pair)),
                (array) ($this->validated('forbidden') ?? []),
            ),
        ] + $this->safe()->except(['first', 'offers', 'assumptions', 'forbidden', 'version', 'form_token']);
    }

    private function readableTarget(CatalogueShelf $shelf): Closure
    {
        return function (string $attribute, mixed $value, Closure $fail) use ($shelf): void {
            try {
                $shelf->targetsWithChoices()->read((string) $value)->loci() !== [] || $fail('Name at least one gene that is wanted or to be cleared.');
            } catch (DestinoError $error) {
                $fail($error->getMessage());
            }
        };
    }

    private function readableOffers(CatalogueShelf $shelf): Closure
    {
        return function (string $attribute, mixed $value, Closure $fail) use ($shelf): void {
            foreach (OfferLines::read((string) $value) as $i => $offer) {
                if (is_string($offer)) {
                    $fail($offer);

                    continue;
                }
                foreach ($shelf->reader()->read($offer['genes'], Sex::from($offer['sex']))->errors as $error) {
                    $fail('Offer '.($i + 1).": {$error->getMessage()}");
                }
            }
        };
    }
}
