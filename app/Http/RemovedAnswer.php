<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\Kinds;
use App\Models\RemovedSince;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Symfony\Component\HttpFoundation\Response;

/** What is answered to a form whose record was removed since it was sent: what it was, and the way to bring it back. */
class RemovedAnswer
{
    public static function to(RemovedSince $error, Request $request): Response
    {
        $restore = self::restore($error);
        if ($request->expectsJson()) {
            return response()->json(['message' => $error->getMessage(), 'restore' => $restore], Response::HTTP_CONFLICT);
        }
        $answer = redirect()->back(303)->withInput()->with('said', $error->getMessage());

        return $restore === null ? $answer : $answer->with('undo', $restore)->with('undo_words', 'Bring it back');
    }

    /** The address that brings it back; null where this person may not. */
    public static function restore(RemovedSince $error): ?string
    {
        $kind = Kinds::of($error->record);
        $may = $kind->removal !== null && Gate::allows($kind->removal->ability(), $error->record);

        return $may ? route('records.restore', [$kind->name, $error->record->getKey()]) : null;
    }
}
