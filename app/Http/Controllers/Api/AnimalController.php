<?php

declare(strict_types=1);

namespace App\Http\Controllers\Api;

use App\Collection\Beliefs;
use App\Collection\Opened;
use App\Http\Controllers\Controller;
use App\Models\Animal;
use App\Models\CareEntry;
use App\Models\User;
use App\People\CurrentKeeper;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

class AnimalController extends Controller
{
    private const MOST = 500;

    public function __construct(private readonly Opened $opened) {}

    public function index(Request $request, #[CurrentKeeper] User $keeper): JsonResponse
    {
        $this->authorize('read');
        $valid = $request->validate([
            'page' => ['nullable', 'integer', 'min:1'], 'per_page' => ['nullable', 'integer', 'between:1,'.self::MOST],
        ]);
        $page = $keeper->animals()
            ->with('latestStatus', 'latestWeight', 'rack')
            ->orderBy('rack_id')
            ->orderBy('rack_row')
            ->orderBy('rack_column')
            ->orderBy('id')
            ->paginate($valid['per_page'] ?? 100);
        $beliefs = $this->opened->beliefs();

        return response()->json([
            'data' => array_map(fn (Animal $animal): array => self::document($animal, $beliefs), $page->items()),
            'page' => $page->currentPage(), 'pages' => $page->lastPage(), 'total' => $page->total(),
        ]);
    }

    public function show(Animal $animal, #[CurrentKeeper] User $keeper): JsonResponse
    {
        $this->authorize('view', $animal);
        $animal->load('latestStatus', 'latestWeight', 'rack');

        return response()->json(['data' => self::document($animal, $this->opened->beliefs())]);
    }

    public function weights(Animal $animal): JsonResponse
    {
        $this->authorize('view', $animal);

        return response()->json([
            'data' => $animal->care()
                ->where('kind', 'weight')
                ->orderBy('on')
                ->orderBy('id')
                ->get()
                ->map(fn (CareEntry $entry): array => ['on' => $entry->on->format('Y-m-d'), 'grams' => $entry->grams])
                ->all(),
        ]);
    }

    /** @return array<string, mixed> */
    private static function document(Animal $animal, Beliefs $beliefs): array
    {
        return [
            'id' => $animal->id, 'number' => $animal->number, 'name' => $animal->name, 'sex' => $animal->sex?->value,
            'hatched' => $animal->hatched_on === null ? null : $animal->hatched_precision->write($animal->hatched_on),
            'genes' => $beliefs->text($animal->id), 'status' => $animal->status()->value,
            'tub' => $animal->rack === null || $animal->rack_row === null
                ? null
                : "{$animal->rack->name} {$animal->rack_row}·{$animal->rack_column}",
            'grams' => $animal->latestWeight?->grams, 'weighed_on' => $animal->latestWeight?->on->format('Y-m-d'),
        ];
    }
}
