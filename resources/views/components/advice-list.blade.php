@props(['advice']) {{-- calm and specific, the gravest first --}}
@php($look = ['lethal' => ['x-octagon', 'Dies'], 'serious' => ['exclamation-triangle', 'Serious'], 'watch' => ['eye', 'Watch'], 'info' => ['info-circle', 'Good to know']])
<ul class="advice">
    @foreach ($advice as $item)
        <li class="{{ $item->severity->value }}" data-code="{{ $item->code }}">
            <x-icon :name="$look[$item->severity->value][0]"/>
            <span><span class="grade">{{ $look[$item->severity->value][1] }}.</span> {{ $item->text }}</span>
        </li>
    @endforeach
</ul>
