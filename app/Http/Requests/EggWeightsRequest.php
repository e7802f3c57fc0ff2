<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Clutch;
use App\Models\Egg;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;

/** Weights of the eggs of a clutch, taken one after another. A row that cannot be kept holds back no other. */
class EggWeightsRequest extends RecordRequest
{
    protected function ability(): string
    {
        return 'log';
    }

    protected function subject(): Model
    {
        return $this->clutch();
    }

    private function clutch(): Clutch
    {
        /** @var Clutch */
        return $this->route('clutch');
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return $this->expectsJson()
            ? ['rows' => ['required', 'array', 'max:60']]
            : ['rows' => ['required', 'array', 'max:60'], 'rows.*' => ['nullable', ...EggRequest::GRAMS]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['rows.*' => EggRequest::GRAMS_MESSAGE];
    }

    /** @return array<int, array{state: string, name?: string, why?: string}> what became of each egg's row */
    public function write(): array
    {
        return DB::transaction(function (): array {
            $eggs = $this->clutch()->eggs()->withTrashed()->lockForUpdate()->get()->keyBy('id');
            $answers = [];
            foreach ($this->validated('rows') as $id => $typed) {
                if (! $this->expectsJson() && trim((string) $typed) === '') {
                    continue; // a whole form: rows left empty are left alone
                }
                $egg = $eggs->get($id);
                $answers[(int) $id] = $egg === null || $egg->trashed()
                    ? ['state' => 'gone', 'why' => 'This egg is not in the clutch any more.']
                    : ['name' => "egg {$egg->number}"] + $this->row($egg, trim((string) $typed));
            }

            return $answers;
        });
    }

    /** @return array{state: string, why?: string} */
    private function row(Egg $egg, string $typed): array
    {
        $isRight = $typed === '' || validator(['grams' => $typed], ['grams' => EggRequest::GRAMS])->passes();
        if (! $isRight) {
            return ['state' => 'refused', 'why' => EggRequest::GRAMS_MESSAGE];
        }
        $egg->update(['grams' => $typed === '' ? null : (int) $typed]);

        return ['state' => $egg->wasChanged() ? 'kept' : 'there'];
    }
}
