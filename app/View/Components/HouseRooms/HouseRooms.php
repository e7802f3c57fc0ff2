<?php

declare(strict_types=1);

namespace App\View\Components\HouseRooms;

use App\Backup\BackupError;
use App\Backup\Vault;
use App\Collection\Opened;
use App\Models\Rack;
use App\Models\User;
use App\Money\Ledger;
use App\View\Components\HouseTabs\HouseTabs;
use App\View\Components\Part\Part;
use Illuminate\Support\Str;

/** The rooms of the house as a list, each with how it stands. */
class HouseRooms extends Part
{
    private readonly User $keeper;

    public function __construct(private readonly Opened $opened)
    {
        $this->keeper = $opened->keeper();
    }

    /** @return list<array{words: string, address: string, state: string}> */
    public function rooms(): array
    {
        $rooms = [];
        foreach ((new HouseTabs(''))->rooms() as $room => [$words, $address]) {
            $rooms[] = ['words' => $words, 'address' => $address, 'state' => $this->state($room)];
        }

        return $rooms;
    }

    private function state(string $room): string
    {
        return match ($room) {
            'rules' => $this->rules(),
            'racks' => $this->racks(),
            'money' => 'Balance '.now()->format('Y').': '
                .(new Ledger($this->keeper, now()->format('Y'), $this->opened->house->currency()))->result()->words(),
            'exchange' => $this->exchange(),
            'backups' => $this->backups(),
            'people' => $this->people(),
            default => (string) request()->user()?->email,
        };
    }

    private function rules(): string
    {
        $own = array_sum(array_map(
            fn (mixed $choice): int => is_array($choice) ? count($choice) : 1, array_values($this->opened->house->choices),
        ));

        return $own === 0 ? 'All as shipped' : $own.' '.Str::plural('choice', $own).' of your own';
    }

    private function racks(): string
    {
        $racks = $this->keeper->racks()->withCount('animals')->get();
        $tubs = (int) $racks->sum(fn (Rack $rack): int => $rack->rows * $rack->columns);
        $free = $tubs - (int) $racks->sum('animals_count');

        return $racks->isEmpty() ? 'No racks yet'
            : $racks->count().' '.Str::plural('rack', $racks->count()).", {$free} of {$tubs} tubs free";
    }

    private function exchange(): string
    {
        $last = $this->keeper->imports()->where('state', 'done')->latest('id')->first();

        return $last?->created_at === null ? 'Lists and archives' : "Last import {$last->created_at->format('j M Y')}";
    }

    private function backups(): string
    {
        try {
            $backups = Vault::ofThisInstallation()->backups();
        } catch (BackupError $error) {
            return $error->getMessage();
        }

        return $backups === [] ? 'No backup yet' : "Last backup {$backups[0]['at']->format('j M, H:i')}";
    }

    private function people(): string
    {
        $others = $this->keeper->people()->count();

        return $others === 0 ? 'Only you' : "You and {$others} ".($others === 1 ? 'other' : 'others');
    }
}
