{{-- What young say of a disputed fact. Wants $claim, $evidence. --}}
<p class="small mb-0 mt-2"><strong>What {{ $evidence->young }} young say</strong>, if the choices were alike before:
    {{ $disputed->words($claim, $evidence) }}. {{ $disputed->fraction($evidence) }}</p>
