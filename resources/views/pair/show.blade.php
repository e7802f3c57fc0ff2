<x-station title="Pair" station="pair">
    @if ($page)
        <x-slot:actions>
            <a class="button" href="{{ route('pair.sheet', $inquiry->query()) }}"><x-icon name="printer"/>Print</a>
            <a class="button" href="{{ route('pair.export', $inquiry->query()) }}"><x-icon name="download"/>Download CSV</a>
        </x-slot:actions>
    @endif
    <div class="stack">
        @if ($page || ($mates && $mates->error === null))
            <details class="sheet fold" id="ask">
                <summary><span class="fold-line">@foreach (['sire' => 'male', 'dam' => 'female'] as $role => $sex)<x-icon
                    :name="'gender-'.$sex"/> <strong>{{ $inquiry->called($role) }}</strong>@if ($inquiry->nameOf($role) !== '')
                    <span class="soft fold-genes">{{ Str::limit($inquiry->$role, 60) }}</span>@endif @if ($loop->first)× @endif @endforeach
                    <span class="soft">{{ $inquiry->target === '' ? '' : 'wanted '.$inquiry->target.', ' }}{{ $inquiry->eggs }}
                    {{ Str::plural('egg', (int) $inquiry->eggs) }}</span></span><span
                    class="button fold-open no-print">Change</span></summary>
                @include('pair.ask', ['class' => ''])
            </details>
        @else
            @include('pair.ask', ['class' => 'sheet'])
        @endif
        @if ($page)
            @include('pair.answer')
        @elseif ($mates && $mates->error === null)
            @include('pair.mates')
        @elseif ($inquiry->errors === [])
            @include('pair.begin')
        @endif
    </div>
</x-station>
