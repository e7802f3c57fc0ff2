<p>Choose two animals on <a href="{{ route('pair') }}">Pair</a>, or type their genes. The answer lists what can hatch, hits first, with the
    chance per egg and for the whole clutch.</p>
<p>Wanted takes a target as you would say it: “Clown + Pastel, female”, “Pastel or Enchi”, “at least two of Pastel, Enchi, Fire”, “any Clown
    with two co-dominants”. Where genes belong together, put brackets: “(Pastel Clown) or (Enchi Piebald)”.</p>
<p><strong>Worked:</strong> {{ $sire }} × {{ $dam }} gives a {{ $target }} with {{ $worked->egg($sire, $dam, $target)->toString() }} per egg
    ({{ $say->percent($worked->egg($sire, $dam, $target)) }}), and at least one in six eggs with
    {{ $say->percent($worked->clutch($sire, $dam, $target, 6)) }}. That is less than six times the chance per egg: if he does not carry it,
    no egg ever hits, and then one clutch tells a lot.</p>
<p class="mb-0">Leave one side empty and say what you want: you get the best mates, with when they are ready and what your house rules say.
    The <a href="{{ route('season.board') }}">season plan</a> shows all pairings of the season.</p>
