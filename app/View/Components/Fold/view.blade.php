<details {{ $attributes->class('sheet folded') }} @if ($open)open @endif>
    <summary><h2>{{ $name }}</h2><span class="soft small">{{ $fact }}</span></summary>
    {{ $slot }}
</details>
