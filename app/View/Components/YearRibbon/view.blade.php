<a class="year no-print" href="{{ route('today') }}"><span class="visually-hidden">{{ $year->words() }}</span>
    <svg width="100%" height="28" aria-hidden="true">
        <rect class="track" x="0" y="4" width="100%" height="10" rx="5"/>
        <rect class="past" x="0" y="4" width="{{ $percent($year->now()) }}" height="10" rx="5"/>
        @foreach ($year->windows as $window)<rect class="window" x="{{ $percent($window['from']) }}" y="4" width="{{ $width($window) }}"
            height="10" rx="4"><title>{{ $window['words'] }}</title></rect>@endforeach
        @foreach ($year->months() as $month)<text x="{{ $percent($month['at']) }}" y="26" text-anchor="middle">{{ $month['name']
            }}</text>@endforeach
        @foreach ($year->marks as $mark)<circle class="{{ $mark['kind'] }}" cx="{{ $percent($mark['at']) }}" cy="9"
            r="{{ min(5, 3 + $mark['count'] / 2) }}"><title>{{ $mark['words'] }}</title></circle>@endforeach
        <line class="now" x1="{{ $percent($year->now()) }}" x2="{{ $percent($year->now()) }}" y1="0" y2="18"/>
    </svg>
</a>
