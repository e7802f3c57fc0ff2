@props(['here']) {{-- the rooms of the house --}}
<nav class="tabs no-print" aria-label="House">
    @foreach (array_filter([
        'rules' => ['Rules', route('house')],
        'racks' => Gate::allows('manage') ? ['Racks', route('racks.index')] : null,
        'money' => Gate::allows('manage') ? ['Money', route('money')] : null,
        'exchange' => Gate::allows('manage') ? ['In and out', route('exchange')] : null,
        'backups' => Gate::allows('keep-installation') ? ['Backups', route('backups')] : null,
        'people' => Gate::allows('manage') ? ['People', route('people.index')] : null,
        'account' => ['Your account', route('account')],
    ]) as $key => [$words, $link])
        <a href="{{ $link }}" @if ($here === $key) aria-current="page" @endif>{{ $words }}</a>
    @endforeach
</nav>
