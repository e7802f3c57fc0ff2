<?php

declare(strict_types=1);

namespace App\Http\Controllers\Api;

use App\House\WallClock;
use App\Http\Controllers\Controller;
use App\Models\Reading;
use App\Models\User;
use App\People\CurrentKeeper;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Validator;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/** Takes readings of probes: °C or % humidity at a place. */
class ReadingController extends Controller
{
    private const MOST = 1000;

    public function index(Request $request, #[CurrentKeeper] User $keeper): JsonResponse
    {
        $this->authorize('read');
        $valid = $request->validate([
            'place' => ['nullable', 'string', 'max:60'], 'since' => ['nullable', 'date'],
            'limit' => ['nullable', 'integer', 'between:1,5000'],
        ]);
        $readings = $keeper->readings()
            ->when($valid['place'] ?? null, fn ($query, $place) => $query->where('place', $place))
            ->when($valid['since'] ?? null, fn ($query, $since) => $query->where('at', '>=', $since))
            ->orderByDesc('at')->orderByDesc('id')->limit($valid['limit'] ?? 500)->get();

        return response()->json([
            'data' => $readings->map(
                fn (Reading $reading): array => [
                    'place' => $reading->place, 'kind' => $reading->kind, 'value' => $reading->value,
                    'at' => $reading->at->toIso8601String(),
                ],
            )->all(),
        ]);
    }

    /** One reading, or up to 1,000 in one message; each has a token of its own, so that what is sent twice is kept once. */
    public function store(Request $request, #[CurrentKeeper] User $keeper): JsonResponse
    {
        $this->authorize('log');
        $isOne = ! $request->has('readings');
        $isOne && $request->merge(['readings' => [$request->only('place', 'kind', 'value', 'at', 'token')]]);
        $request->validate(
            ['readings' => ['required', 'array', 'max:'.self::MOST]],
            ['readings.max' => 'A message can hold up to '.self::MOST.' readings.'],
        );
        $results = [];
        DB::transaction(function () use ($request, $keeper, &$results): void {
            foreach (array_values($request->input('readings')) as $reading) {
                $results[] = $this->keep($keeper, is_array($reading) ? $reading : []);
            }
        });
        if ($isOne && isset($results[0]['errors'])) {
            throw ValidationException::withMessages($results[0]['errors']);
        }
        $kept = count(array_filter($results, fn (array $one): bool => $one['result'] === 'kept'));
        $refused = count(array_filter($results, fn (array $one): bool => isset($one['errors'])));

        return response()->json(
            $isOne ? $results[0] : ['results' => $results], $kept > 0 ? 201 : ($refused === count($results) ? 422 : 200),
        );
    }

    /**
     * @param array<mixed> $reading
     * @return array{result: string, errors?: array<string, list<string>>}
     */
    private function keep(User $keeper, array $reading): array
    {
        $validator = Validator::make($reading, [
            'place' => ['required', 'string', 'max:60'], 'kind' => ['required', Rule::in(['temperature', 'humidity'])],
            'value' => ['required', 'numeric', ($reading['kind'] ?? null) === 'humidity' ? 'between:0,100' : 'between:-20,60'],
            'at' => ['required', 'string', 'date', 'before_or_equal:+5 minutes'], 'token' => ['required', 'uuid'],
        ]);
        if ($validator->fails()) {
            return ['result' => 'refused', 'errors' => $validator->errors()->toArray()];
        }
        $valid = $validator->validated();
        $at = WallClock::typed($valid['at']);
        if ($at === null) {
            return ['result' => 'refused', 'errors' => ['at' => ['The at field must be a valid date.']]];
        }
        $made = $keeper->readings()->createOrFirst(
            ['token' => $valid['token']], ['place' => $valid['place'], 'kind' => $valid['kind'], 'value' => $valid['value'], 'at' => $at],
        );

        return ['result' => $made->wasRecentlyCreated ? 'kept' : 'kept already'];
    }
}
