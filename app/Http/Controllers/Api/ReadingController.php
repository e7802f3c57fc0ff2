<?php

namespace App\Http\Controllers\Api;

use App\Http\Controllers\Controller;
use App\Models\Reading;
use App\Models\User;
use App\People\CurrentKeeper;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;

/** Takes readings of probes: °C or % humidity at a place. */
class ReadingController extends Controller
{
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

    public function store(Request $request, #[CurrentKeeper] User $keeper): JsonResponse
    {
        $this->authorize('log');
        $valid = $request->validate([
            'place' => ['required', 'string', 'max:60'], 'kind' => ['required', Rule::in(['temperature', 'humidity'])],
            'value' => ['required', 'numeric', $request->input('kind') === 'humidity' ? 'between:0,100' : 'between:-20,60'],
            'at' => ['required', 'date', 'before_or_equal:+5 minutes'], 'token' => ['required', 'uuid'],
        ]);
        $reading = DB::transaction(
            fn (): Reading => $keeper->readings()->createOrFirst(
                ['token' => $valid['token']],
                ['place' => $valid['place'], 'kind' => $valid['kind'], 'value' => $valid['value'], 'at' => $valid['at']],
            ),
        );

        return response()->json(
            ['result' => $reading->wasRecentlyCreated ? 'kept' : 'kept already'], $reading->wasRecentlyCreated ? 201 : 200,
        );
    }
}
