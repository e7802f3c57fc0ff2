<?php

declare(strict_types=1);

namespace App\Http\Controllers\Api;

use App\Http\Controllers\Controller;
use App\Http\Requests\CareRequest;
use App\Models\Animal;
use App\Models\User;
use App\People\CurrentKeeper;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** Takes weights from a scale. Each message is answered by itself, so that one fault stops no round. */
class WeightController extends Controller
{
    public function store(Request $request, #[CurrentKeeper] User $keeper): JsonResponse
    {
        $this->authorize('log');
        $valid = $request->validate([
            'weights' => ['required', 'array', 'min:1', 'max:500'],
            'weights.*.number' => ['nullable', 'string', 'max:40'], 'weights.*.tub' => ['nullable', 'string', 'max:80'],
            'weights.*.grams' => ['required', 'integer'],
            'weights.*.on' => ['nullable', 'date_format:Y-m-d', 'before_or_equal:today'],
            'weights.*.token' => ['required', 'uuid'],
        ]);
        $results = DB::transaction(
            fn (): array => array_map(fn (array $weight): array => $this->take($keeper, $weight), $valid['weights']),
        );
        $isKept = array_filter($results, fn (array $result): bool => in_array($result['result'], ['kept', 'kept already'], true)) !== [];

        return response()->json(['results' => $results], $isKept ? 201 : 422);
    }

    /**
     * @param  array<string, mixed>  $weight
     * @return array{token: string, result: string, animal: string|null}
     */
    private function take(User $keeper, array $weight): array
    {
        $animal = $this->animal($keeper, $weight);
        $answer = fn (string $result): array => ['token' => $weight['token'], 'result' => $result, 'animal' => $animal?->name];
        if ($animal === null) {
            return $answer('no such animal or tub');
        }
        if ($weight['grams'] < 1 || $weight['grams'] > CareRequest::MOST_GRAMS) {
            return $answer('out of range: 1 to '.CareRequest::MOST_GRAMS.' g');
        }
        if ($animal->care()->withTrashed()->where('form_token', $weight['token'])->exists()) {
            return $answer('kept already');
        }
        $animal->care()->create([
            'kind' => 'weight', 'on' => $weight['on'] ?? now()->format('Y-m-d'), 'grams' => $weight['grams'],
            'form_token' => $weight['token'],
        ]);

        return $answer('kept');
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
