<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Collection\CoreId;
use App\Models\Decision;
use App\Models\User;
use Destino\Inference\Faults\FaultKind;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;

/** What a keeper holds to be wrong: "kind|a5|allele,allele|instead", several joined with ";", and why. */
class DecisionRequest extends RecordRequest
{
    protected function subject(): ?Model
    {
        return null;
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $kinds = implode('|', array_column(FaultKind::cases(), 'value'));

        return [
            'explanation' => ['required', "regex:/^(({$kinds})\\|[ac]\\d{1,12}\\|[a-z0-9,-]{0,900}(\\|[a-z0-9-]{0,60})?(;|$)){1,12}$/"],
            'reason' => ['required', 'string', 'max:1000'],
            'form_token' => ['nullable', 'uuid'], 'from' => ['nullable', 'string', 'regex:/^(animal|clutch)-\d{1,12}$/'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'explanation' => 'Choose one of the explanations.',
            'reason.required' => 'Give a reason: it is kept with the decision.',
            'reason.max' => 'A reason has at most 1,000 characters.',
        ];
    }

    public function withValidator(\Illuminate\Validation\Validator $validator): void
    {
        $validator->after(function (\Illuminate\Validation\Validator $validator): void {
            if ($validator->errors()->isEmpty() && ! $this->isOfCollection()) {
                $validator->errors()->add('explanation', 'Choose one of the explanations.');
            }
        });
    }

    /** @return list<Decision> one for each thing that is held to be wrong */
    public function addTo(User $keeper): array
    {
        return DB::transaction(function () use ($keeper): array {
            $decisions = [];
            foreach ($this->faults() as $i => [$kind, $subject, $alleles, $instead]) {
                $values = [
                    'kind' => $kind, 'animal_id' => CoreId::animal($subject), 'count_id' => CoreId::count($subject),
                    'alleles' => array_values(array_filter(explode(',', $alleles))),
                    'instead' => $instead === '' ? null : $instead, 'reason' => $this->validated('reason'),
                    'on' => now()->format('Y-m-d'),
                ];
                /** @var Decision $decision */
                $decision = $i === 0 ? $this->once($keeper->decisions(), $values) : $keeper->decisions()->create($values);
                $decisions[] = $decision;
                if ($i === 0 && ! $decision->wasRecentlyCreated) {
                    break; // the second click of a double one
                }
            }

            return $decisions;
        });
    }

    /** @return list<array{string, string, string, string}> kind, subject, alleles, what a misnamed gene is */
    private function faults(): array
    {
        return array_map(function (string $fault): array {
            [$kind, $subject, $alleles, $instead] = [...explode('|', $fault), ''];

            return [$kind, $subject, $alleles, $instead];
        }, array_values(array_filter(explode(';', (string) $this->input('explanation')))));
    }

    private function isOfCollection(): bool
    {
        /** @var User $user */
        $user = $this->user();
        $keeper = $user->keeper();
        foreach ($this->faults() as [, $subject]) {
            [$animal, $count] = [CoreId::animal($subject), CoreId::count($subject)];
            if (
                ! (
                    $animal !== null
                        ? $keeper->animals()->whereKey($animal)->exists()
                        : $keeper->clutches()->whereHas('counts', fn ($counts) => $counts->whereKey($count))->exists()
                )
            ) {
                return false;
            }
        }

        return true;
    }
}
