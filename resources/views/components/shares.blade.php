{{-- P of each answer as one bar of 100 %, with the words below; $shares: words => share, in the order to draw --}}
@props(['shares'])
<div class="shares" role="img" aria-label="{{ App\Prove\Evidence::told($shares) }}">@foreach ($shares as $words => $share)@if ($share > .0005)<i class="{{ $words === App\Prove\Question::NOTHING ? 'tone-5' : 'tone-'.$loop->index % 5 }}" style="width:{{ round(100 * $share, 2) }}%" title="{{ $words }}">@if ($share > .09)<span><b class="num">{{ App\Words\OddsText::percent($share) }}</b> {{ $words }}</span>@endif</i>@endif @endforeach</div>
