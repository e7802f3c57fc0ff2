<p>A project is a wish with a year: <em>Clown + Pastel by 2031</em>. Its page says first what to do this season, then the chance year by
    year with its error, and what moves it: one more tub, a purchase, another mate. You can lock a pairing, forbid one, or ask “why not
    these two?”.</p>
<p class="mb-0">The plan updates after each clutch from what really hatched. Several projects share the animals:
    <a href="{{ route('projects.index') }}">Projects</a> lists the matings that together do most for all of them.</p>
