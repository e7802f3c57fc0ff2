<?php

declare(strict_types=1);

namespace App\Http\Controllers\Api;

use App\Http\Controllers\Controller;
use App\Models\Animal;
use App\Models\CareEntry;
use App\Models\Once;
use App\Models\RemovedSince;
use App\Models\User;
use App\People\CurrentKeeper;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Validator;

/** Takes weights from a scale. Each message is answered by itself, so that one fault stops no round. */
class WeightController extends Controller
{
    private const MOST = 500;

    public function store(Request $request, #[CurrentKeeper] User $keeper): JsonResponse
    {
        $this->authorize('log');
        // How many there are is asked before any of them is looked at.
        $weights = $request->validate(
            ['weights' => ['required', 'array', 'min:1', 'max:'.self::MOST]],
            ['weights.max' => 'A message can hold up to '.self::MOST.' weights.'],
        )['weights'];
        $results = DB::transaction(
            fn (): array => array_map(fn (mixed $one): array => $this->take($keeper, is_array($one) ? $one : []), array_values($weights)),
        );
        $isKept = array_filter($results, fn (array $result): bool => in_array($result['result'], ['kept', 'kept already'], true)) !== [];

        $errors = [];
        foreach ($results as $i => $result) {
            foreach ($result['errors'] ?? [] as $field => $messages) {
                $errors["weights.{$i}.{$field}"] = $messages;
            }
        }

        return response()->json(['results' => $results] + ($isKept || $errors === [] ? [] : ['errors' => $errors]), $isKept ? 201 : 422);
    }

    /**
     * @param  array<mixed>  $weight
     * @return array{token: string|null, result: string, animal: string|null, errors?: array<string, list<string>>}
     */
    private function take(User $keeper, array $weight): array
    {
        $token = is_string($weight['token'] ?? null) ? $weight['token'] : null;
        $validator = Validator::make($weight, [
            'number' => ['nullable', 'string', 'max:40'], 'tub' => ['nullable', 'string', 'max:80'], 'grams' => ['required', 'integer'],
            'on' => ['nullable', 'date_format:Y-m-d', 'before_or_equal:today', 'after:1980-01-01'], 'token' => ['required', 'uuid'],
        ]);
        if ($validator->fails()) {
            return ['token' => $token, 'result' => 'refused', 'animal' => null, 'errors' => $validator->errors()->toArray()];
        }
        $weight = $validator->validated();
        $animal = $this->animal($keeper, $weight);
        $answer = fn (string $result): array => ['token' => $token, 'result' => $result, 'animal' => $animal?->name];
        if ($animal === null) {
            return $answer('no such animal or tub');
        }
        if ($weight['grams'] < 1 || $weight['grams'] > CareEntry::MOST_GRAMS) {
            return $answer('out of range: 1 to '.CareEntry::MOST_GRAMS.' g');
        }
        try {
            $entry = Once::create($animal->care(), $token, [
                'kind' => 'weight', 'on' => $weight['on'] ?? now()->format('Y-m-d'), 'grams' => $weight['grams'],
            ]);
        } catch (RemovedSince) {
            return $answer('removed since');
        }

        return $answer($entry->wasRecentlyCreated ? 'kept' : 'kept already');
    }

    /** @param  array<string, mixed>  $weight */
    private function animal(User $keeper, array $weight): ?Animal
    {
        if (isset($weight['number'])) {
            return $keeper->animals()->where('number', $weight['number'])->first();
        }
        if (preg_match('/^(.+) (\d+)·(\d+)$/u', (string) ($weight['tub'] ?? ''), $part)) {
            return $keeper->animals()
                ->whereHas('rack', fn ($rack) => $rack->where('name', $part[1]))
                ->where('rack_row', (int) $part[2])
                ->where('rack_column', (int) $part[3])
                ->first();
        }

        return null;
    }
}
