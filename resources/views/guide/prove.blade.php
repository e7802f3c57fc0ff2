<p>A het that was sold to you is a claim. Breeding it to one that shows the gene is the test: each normal young makes carrying less likely,
    and a single visual one settles it.</p>
<p><strong>Worked:</strong> a 66 % het that gave four young with a visual mate, none of them visual, still carries with
    {{ $say->percent($worked->stillCarries($before, 4)) }}; after six, with {{ $say->percent($worked->stillCarries($before, 6)) }}.</p>
<p>A recessive that nobody has named gets a working name under Genes. “het Unnamed 1” is proved, paired and planned like any other het,
    and every record follows when it gets a name.</p>
<p>Where keepers disagree (do two genes share a locus, do two copies live, how often does Banana go over to the other sex), your own
    young tell something too: Prove and the page of the gene say how much. Counts can be given to a friend under
    <a href="{{ route('looks.confusions') }}">Look-alikes</a>, and a friend's count for as much as you trust them.</p>
<p class="mb-0">Every clutch re-reads all relatives, not only its parents. Bad luck is measured too: how many such clutches do as badly
    stands beside the count.</p>
