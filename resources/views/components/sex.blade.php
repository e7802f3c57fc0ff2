@props(['animal']) {{-- the sex of an animal as a sign with words --}}
@sexsign($animal->sex)
