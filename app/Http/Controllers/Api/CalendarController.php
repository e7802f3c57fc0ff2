<?php

declare(strict_types=1);

namespace App\Http\Controllers\Api;

use App\Collection\Doorway;
use App\Exchange\SeasonCalendar;
use App\Http\Controllers\Controller;
use App\Models\User;
use Illuminate\Http\Response;
use Laravel\Sanctum\PersonalAccessToken;

/** The season for a calendar program, which can send no header: the private link itself is the token, and opens nothing else. */
class CalendarController extends Controller
{
    public function __invoke(string $token, Doorway $doorway): Response
    {
        $found = PersonalAccessToken::findToken($token);
        $person = $found?->can('calendar') ? $found->tokenable : null;
        abort_unless($person instanceof User, 404, 'This calendar link no longer works. Make a new one under House, Your account.');
        $found?->forceFill(['last_used_at' => now()])->save();

        return $doorway->within($person->keeper(), fn (): Response => response(SeasonCalendar::of($person->keeper()), 200, [
            'Content-Type' => 'text/calendar; charset=utf-8', 'Cache-Control' => 'private, max-age=900',
        ]));
    }
}
