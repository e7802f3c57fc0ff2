<?php

namespace App\Http\Requests;

use App\Models\Decision;
use App\Models\User;
use Destino\Inference\FaultKind;
use Illuminate\Database\Eloquent\Model;

/** What a keeper holds to be wrong: "kind|a5|allele,allele", and why. */
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
            'explanation' => ['required', "regex:/^({$kinds})\\|[ac]\\d{1,12}\\|[a-z0-9,-]{0,900}$/"],
            'reason' => ['required', 'string', 'max:1000'],
            'form_token' => ['nullable', 'uuid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['explanation' => 'Choose one of the explanations.', 'reason.required' => 'Give a reason: it is kept with the decision.', 'reason.max' => 'A reason has at most 1,000 characters.'];
    }

    public function withValidator(\Illuminate\Validation\Validator $validator): void
    {
        $validator->after(function (\Illuminate\Validation\Validator $validator): void {
            if ($validator->errors()->isEmpty() && ! $this->isOfCollection()) {
                $validator->errors()->add('explanation', 'Choose one of the explanations.');
            }
        });
    }

    public function addTo(User $keeper): Decision
    {
        [$kind, $subject, $alleles] = explode('|', (string) $this->validated('explanation'));
        $id = (int) substr($subject, 1);

        /** @var Decision */
        return $this->once($keeper->decisions(), ['kind' => $kind, 'animal_id' => $subject[0] === 'a' ? $id : null, 'clutch_count_id' => $subject[0] === 'c' ? $id : null, 'alleles' => array_values(array_filter(explode(',', $alleles))), 'reason' => $this->validated('reason'), 'on' => now()->format('Y-m-d')]);
    }

    private function isOfCollection(): bool
    {
        $subject = explode('|', (string) $this->input('explanation'))[1];
        /** @var User $user */
        $user = $this->user();
        $keeper = $user->keeper();
        $id = (int) substr($subject, 1);

        return $subject[0] === 'a' ? $keeper->animals()->whereKey($id)->exists() : $keeper->clutches()->whereHas('counts', fn ($counts) => $counts->whereKey($id))->exists();
    }
}
