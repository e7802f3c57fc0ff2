<p>On the bench of a clutch the young stand side by side. Tap what you see of a cue; the odds of every sibling and of the parents move at
    once, and the cue that would tell most is named next, with its place on the drawing. What cannot be told yet is put on Today for the age
    at which it shows.</p>
<p>Write “possible” where it is only possible. Another keeper's opinion is kept as theirs. A hatchling that the parents cannot have is a
    finding: something recorded is wrong, and <a href="{{ route('prove') }}">Prove</a> weighs what.</p>
<p class="mb-0"><a href="{{ route('train') }}">Train</a> shows drawn animals with individual spread until the eye knows the difference.</p>
