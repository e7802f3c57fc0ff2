<ul class="house-rooms">@foreach ($rooms() as $room)<li><a href="{{ $room['address'] }}"><strong>{{ $room['words'] }}</strong><span
    class="soft small">{{ $room['state'] }}</span></a></li>@endforeach</ul>
