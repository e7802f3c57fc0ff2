@props(['animal']) {{-- the sex of an animal as a sign with words --}}
{!! App\Drawing\Signs::sex($animal->sex) !!}
