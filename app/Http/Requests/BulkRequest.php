<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Animal;
use App\Models\Enums\Status;
use App\Models\Rack;
use App\Models\User;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;

/** The same for several animals: a status, a rack, or out of the records. All of them, or none. */
class BulkRequest extends FormRequest
{
    use InCollection;

    protected $errorBag = 'bulk';

    public function authorize(): Response
    {
        return Gate::inspect($this->input('do') === 'rack' ? 'log' : 'manage');
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'do' => ['required', Rule::in(['status', 'rack', 'out'])], 'chosen' => ['required', 'array', 'max:500'],
            'chosen.*' => ['integer'],
            'status' => ['nullable', 'required_if:do,status', Rule::enum(Status::class)],
            'reason' => ['nullable', 'required_if:status,'.Status::HoldBack->value, 'string', 'max:400'],
            'rack_id' => ['nullable', 'required_if:do,rack', 'integer'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'do' => 'Choose what to do.', 'chosen' => 'Choose at least one animal.', 'chosen.max' => 'At most 500 animals at once.',
            'status' => 'Choose a status.',
            'reason.required_if' => 'Say why they are held back, so that you know at the review.', 'rack_id' => 'Choose a rack.',
        ];
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            if (count($this->animals()) !== count(array_unique((array) $this->input('chosen')))) {
                $validator->errors()->add('chosen', 'One of them is not in your collection any more: choose again.');
            } elseif ($this->input('do') === 'rack') {
                $rack = $this->rack();
                $free = $rack === null ? 0 : count(self::free($rack, $this->animals()));
                $rack !== null || $validator->errors()->add('rack_id', 'That rack is not yours.');
                $rack === null || $free >= count($this->animals())
                    || $validator->errors()->add('rack_id', "{$rack->name} has room for {$free}, not for ".count($this->animals()).'.');
            }
        });
    }

    /** @return list<Animal> in the order of their names */
    private function animals(): array
    {
        /** @var User $person */
        $person = $this->user();

        return array_values(
            $person->keeper()->animals()
                ->whereIn('id', array_map(intval(...), array_filter((array) $this->input('chosen'), is_scalar(...))))->orderBy('name')
                ->get()->all(),
        );
    }

    private function rack(): ?Rack
    {
        /** @var User $person */
        $person = $this->user();

        return $person->keeper()->racks()->find((int) $this->input('rack_id'));
    }

    /**
     * Tubs that nobody but those who move is in, from the top left.
     *
     * @param list<Animal> $moving
     * @return list<array{int, int}> row and column
     */
    private static function free(Rack $rack, array $moving): array
    {
        $ids = array_map(fn (Animal $animal): int => $animal->id, $moving);
        $taken = $rack->animals()->whereNotIn('id', $ids)->get(['rack_row', 'rack_column'])
            ->map(fn (Animal $one): string => "{$one->rack_row}:{$one->rack_column}")->all();
        $free = [];
        for ($row = 1; $row <= $rack->rows; $row++) {
            for ($column = 1; $column <= $rack->columns; $column++) {
                in_array("{$row}:{$column}", $taken, true) ?: $free[] = [$row, $column];
            }
        }

        return $free;
    }

    /** @return array{said: string, undo: list<array{string, int}>} undo: kind and number of each record that can be taken back */
    public function carryOut(): array
    {
        return DB::transaction(function (): array {
            $animals = $this->animals();
            $names = count($animals) === 1 ? $animals[0]->name : count($animals).' animals';

            return match ($this->validated('do')) {
                'status' => $this->setStatus($animals, $names),
                'rack' => $this->move($animals, $names),
                default => self::takeOut($animals, $names),
            };
        });
    }

    /**
     * @param list<Animal> $animals
     * @return array{said: string, undo: list<array{string, int}>}
     */
    private function setStatus(array $animals, string $names): array
    {
        [$status, $reason] = [Status::from($this->validated('status')), $this->validated('reason')];
        $undo = [];
        foreach ($animals as $animal) {
            $event = $animal->statusEvents()->create([
                'status' => $status, 'on' => now()->format('Y-m-d'), 'reason' => $reason,
                'review_on' => $status === Status::HoldBack ? now()->addMonths(6)->format('Y-m-d') : null,
            ]);
            $status->isHere() || $animal->update(['rack_id' => null, 'rack_row' => null, 'rack_column' => null]);
            $undo[] = ['status', $event->id];
        }

        return ['said' => "{$names}: {$status->value} from today.", 'undo' => $undo];
    }

    /**
     * @param list<Animal> $animals
     * @return array{said: string, undo: list<array{string, int}>}
     */
    private function move(array $animals, string $names): array
    {
        $rack = $this->rack();
        $free = $rack === null ? [] : self::free($rack, $animals);
        foreach ($animals as $animal) {
            $animal->update(['rack_id' => null, 'rack_row' => null, 'rack_column' => null]); // so that they may change places
        }
        foreach ($animals as $i => $animal) {
            $animal->update(['rack_id' => $rack?->id, 'rack_row' => $free[$i][0], 'rack_column' => $free[$i][1]]);
        }

        return ['said' => "{$names} in {$rack?->name} now.", 'undo' => []];
    }

    /**
     * @param list<Animal> $animals
     * @return array{said: string, undo: list<array{string, int}>}
     */
    private static function takeOut(array $animals, string $names): array
    {
        $undo = [];
        foreach ($animals as $animal) {
            $animal->update(['rack_id' => null, 'rack_row' => null, 'rack_column' => null]);
            $animal->delete();
            $undo[] = ['animal', $animal->id];
        }

        return ['said' => "Removed: {$names}.", 'undo' => $undo];
    }
}
