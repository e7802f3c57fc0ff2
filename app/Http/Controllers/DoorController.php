<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Middleware\EnterCollection;
use App\Http\Requests\FirstStartRequest;
use App\Http\Requests\SignInRequest;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/** The first start, signing in and signing out. */
class DoorController extends Controller
{
    public function begin(Request $request): View|RedirectResponse
    {
        if (User::hasBegun()) {
            return redirect()->route('login');
        }

        return view('door.begin', ['isHere' => EnterCollection::isHere($request)]);
    }

    public function start(FirstStartRequest $request): RedirectResponse
    {
        Auth::login($request->makeOwner());
        $request->session()->regenerate();

        return redirect()->route('animals.index')->with('said', 'This collection is yours. Add an animal, or bring in a list.');
    }

    public function show(): View|RedirectResponse
    {
        return Auth::check() ? redirect()->route('animals.index') : (User::hasBegun() ? view('door.sign-in') : redirect()->route('begin'));
    }

    public function enter(SignInRequest $request): RedirectResponse
    {
        $request->signIn();

        return redirect()->intended(route('animals.index'));
    }

    public function leave(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect()->route('login');
    }
}
