<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Animal;
use App\Models\Rack;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** An animal goes to a tub: "rack:row:column", or nowhere. */
class PlaceRequest extends RecordRequest
{
    protected function ability(): string
    {
        return 'log';
    }

    protected function subject(): Model
    {
        return $this->route('animal');
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['to' => ['present', 'nullable', 'string', 'regex:/^(\d+:\d+:\d+)?$/']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['to' => 'Choose a tub.'];
    }

    /** @return string what happened, in a sentence */
    public function move(Animal $animal): string
    {
        $to = (string) $this->validated('to');
        if ($to === '') {
            DB::transaction(fn () => $animal->update(['rack_id' => null, 'rack_row' => null, 'rack_column' => null]));

            return "{$animal->name} is without a tub.";
        }
        [$rackId, $row, $column] = array_map(intval(...), explode(':', $to));

        return DB::transaction(function () use ($animal, $rackId, $row, $column): string {
            $rack = Rack::query()->where('user_id', $animal->user_id)->find($rackId);
            if ($rack === null || $row < 1 || $row > $rack->rows || $column < 1 || $column > $rack->columns) {
                throw ValidationException::withMessages(['to' => 'There is no such tub.']);
            }
            $there = $rack->animals()->where('rack_row', $row)->where('rack_column', $column)->first();
            $from = $animal->only(['rack_id', 'rack_row', 'rack_column']);
            if ($there !== null && $there->id !== $animal->id) {
                $there->update(['rack_id' => null, 'rack_row' => null, 'rack_column' => null]);
                $animal->update(['rack_id' => $rack->id, 'rack_row' => $row, 'rack_column' => $column]);
                $there->update($from);

                return "{$animal->name} and {$there->name} have changed places.";
            }
            $animal->update(['rack_id' => $rack->id, 'rack_row' => $row, 'rack_column' => $column]);

            return "{$animal->name} is in {$rack->name}, tub {$row}·{$column}.";
        });
    }
}
