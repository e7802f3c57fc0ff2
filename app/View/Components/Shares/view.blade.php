<div class="shares" role="img" aria-label="{{ $say->shares($shares) }}">
    @foreach ($parts() as $part)
        <i class="{{ $part['tone'] }}" style="width:{{ $part['width'] }}%" title="{{ $part['words'] }}">
            @if ($part['says'])<span><b class="num">{{ $part['says'] }}</b> {{ $part['words'] }}</span>@endif
        </i>
    @endforeach
</div>
