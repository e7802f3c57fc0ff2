@if ($photos->days !== null)
<section class="sheet" id="photographs">
    <div class="head"><h2>Photographs at {{ $photos::words($photos->days) }}</h2>@if (count($photos->ages) > 1)<span
        class="small">@foreach ($photos->ages as $age)<a href="{{ route('bench', [$clutch, 'age' => $age]) }}#photographs"
        @if ($age === $photos->days) aria-current="true" @endif>{{ $photos::words($age) }}</a>{{ $loop->last ? ''
        : ' · ' }}@endforeach</span>@endif</div>
    <div class="glance">@foreach ($photos->all() as $one)<figure class="sibling">@if ($one['photo'])<a class="sibling-picture"
        href="{{ route('photos.show', [$one['photo'], 'whole' => 1]) }}"><img src="{{ route('photos.show', $one['photo']) }}"
        alt="{{ $one['animal']->name }} at {{ $photos::words($one['days']) }}" loading="lazy"></a>@else<span
        class="sibling-picture is-empty soft small">No photograph at this age</span>@endif<figcaption><a
        href="{{ route('animals.show', $one['animal']) }}">{{ $one['animal']->name }}</a> <span
        class="soft small">{{ implode(', ', array_filter([$one['role'], $one['days'] === null ? null
        : $photos::words($one['days'])])) }}</span></figcaption></figure>@endforeach</div>
</section>
@endif
