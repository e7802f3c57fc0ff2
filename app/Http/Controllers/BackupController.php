<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Backup\BackupError;
use App\Backup\Vault;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Carbon;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

class BackupController extends Controller
{
    public function index(): View
    {
        $this->authorize('keep-installation');
        try {
            [$backups, $problem] = [Vault::ofThisInstallation()->backups(), null];
        } catch (BackupError $error) {
            [$backups, $problem] = [[], $error->getMessage()];
        }

        return view('exchange.backups', ['backups' => $backups, 'problem' => $problem]);
    }

    public function store(): RedirectResponse
    {
        $this->authorize('keep-installation');
        try {
            $file = Vault::ofThisInstallation()->make(Carbon::now());
        } catch (BackupError $error) {
            return redirect()->route('backups')->with('said', $error->getMessage());
        }

        return redirect()->route('backups')->with('said', "Backup made: {$file}");
    }

    public function download(string $file): BinaryFileResponse
    {
        $this->authorize('keep-installation');
        $vault = Vault::ofThisInstallation();
        abort_unless(in_array($file, array_column($vault->backups(), 'file'), true), 404);

        return response()->download($vault->path($file));
    }
}
