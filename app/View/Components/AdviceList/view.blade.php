<ul class="advice">
    @foreach ($advice as $item)
        <li class="{{ $item->severity->value }}" data-code="{{ $item->code }}">
            <x-icon :name="$look($item)[0]"/>
            <span><span class="grade">{{ $look($item)[1] }}.</span> {{ $item->text }}</span>
        </li>
    @endforeach
</ul>
