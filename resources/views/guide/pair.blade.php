<p>Choose two on <a href="{{ route('pair') }}">Pair</a>, or type them. What can hatch is 100 % of what an egg can be, cut by look; say
    what you
    want and the ladder tells how likely at least one is in a clutch.</p>
<p><strong>Worked:</strong> {{ $sire }} × {{ $dam }} gives a {{ $target }} with {{ $worked->egg($sire, $dam, $target)->toString() }} an egg
    ({{ $say->percent($worked->egg($sire, $dam, $target)) }}), and at least one in six eggs with
    {{ $say->percent($worked->clutch($sire, $dam, $target, 6)) }}. It is less than six times one egg would suggest: if he carries nothing,
    no egg ever hits, and then one clutch says a lot.</p>
<p class="mb-0">Leave one side empty and say what you want: you get the best mates, with when they are ready and what your house rules say.
    <a href="{{ route('season.board') }}">The season board</a> shows all pairings of the season.</p>
