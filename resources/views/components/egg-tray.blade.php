@props(['tray', 'movable' => false]) {{-- the box from above; every egg is a link to itself, and can be dragged where a script runs --}}
@php($wide = 150)
@php($deep = 100)
<svg {{ $attributes->class('egg-tray') }} viewBox="0 0 {{ $wide }} {{ $deep }}" role="group" aria-label="The box with {{ $tray->eggs->count() }} eggs">
    <rect class="box" x="1" y="1" width="{{ $wide - 2 }}" height="{{ $deep - 2 }}" rx="7"/>
    <path class="grain" d="@for ($i = 0; $i < 70; $i++)M{{ 5 + (int) (fmod($i * 0.754877666, 1) * 140) }} {{ 6 + (int) (fmod($i * 0.569840291, 1) * 88) }}h{{ 1 + $i % 3 }}@endfor"/>
    @foreach ($tray->eggs->whereNotNull('clump')->groupBy('clump') as $clump)
        @if ($clump->count() > 1)<polyline class="clump" points="@foreach ($clump as $egg){{ $egg->across * $wide / 100 }},{{ $egg->down * $deep / 100 }} @endforeach"/>@endif
    @endforeach
    @foreach ($tray->eggs as $egg)
        @php($state = $egg->state())
        <a href="{{ route('eggs', [$egg->clutch_id, 'egg' => $egg->id]) }}#egg" class="egg is-{{ $state->value }}" @if ($tray->inHand?->id === $egg->id) aria-current="true" @endif aria-label="{{ $tray->words($egg) }}" data-egg="{{ route('eggs.update', $egg) }}" transform="translate({{ $egg->across * $wide / 100 }} {{ $egg->down * $deep / 100 }})">
            <title>{{ $tray->words($egg) }}</title>
            @if ($tray->inHand?->id === $egg->id)<ellipse class="halo" rx="12" ry="14.5"/>@endif
            <ellipse class="shell" rx="{{ $state === App\Models\Enums\EggState::Slug ? 7 : 9.5 }}" ry="{{ $state === App\Models\Enums\EggState::Slug ? 8.5 : 12 }}"/>
            @if ($state === App\Models\Enums\EggState::Veins)<path class="sign" d="M-6 3q3 -2 4 2t4 1M0 8q1 -3 4 -3"/>@endif
            @if ($state === App\Models\Enums\EggState::NoVeins)<path class="sign" d="M-4 6h8"/>@endif
            @if ($state === App\Models\Enums\EggState::Pipped)<path class="sign" d="M-7 4l3 -2l2 3l3 -3l3 3l3 -2"/>@endif
            @if ($state === App\Models\Enums\EggState::Opened)<path class="sign" d="M-6 5q6 5 12 0M-6 5q6 1 12 0"/>@endif
            @if ($state === App\Models\Enums\EggState::Out)<path class="sign" d="M-9 2l4 4l4 -4l5 4l5 -4"/>@endif
            @if ($state === App\Models\Enums\EggState::GivenUp)<path class="sign" d="M-5 3l10 6M-5 9l10 -6"/>@endif
            @if ($state === App\Models\Enums\EggState::Dead)<path class="sign" d="M0 3v7M-3 5h6"/>@endif
            @if ($egg->marked)<path class="top" d="M-2.5 {{ $state === App\Models\Enums\EggState::Slug ? -6.5 : -9.5 }}h5"/>@endif
            @foreach ($egg->troubles() as $i => $trouble)<path class="trouble" transform="translate({{ -6 + 6 * $i }} -7)" d="{{ ['dented' => 'M-2.2 -1a2.2 2.2 0 0 0 4.4 0', 'mould' => 'M-1.6 0h.01M1.4 -1h.01M.4 1.6h.01M-.6 -1.6h.01', 'sweating' => 'M0 -2.4q2.4 3 0 4.2q-2.4 -1.2 0 -4.2'][$trouble->value] }}"/>@endforeach
            <text class="number" y="1.5">{{ $egg->number }}</text>
        </a>
    @endforeach
</svg>
