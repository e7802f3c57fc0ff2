<figure>@if ($one['photo'])<img src="{{ $one['photo'] }}" alt="Photograph of {{ $one['name'] }}">@else{!! $one['drawing'] !!}@endif
    <figcaption><strong>{{ $one['name'] }}</strong>, {{ $one['facts'] }}@if ($one['genes'] !== '')<br>{{ $one['genes'] }}@endif
    </figcaption></figure>
