<p><a href="{{ route('young') }}">Keep or sell</a> lays out what speaks for each of the young: what it does for your projects, its sex among
    those kept, genes of which you have many. A label never claims more than the records do: “66% het” stays 66 %.</p>
<p>Papers and rack labels print with a code that opens the record. Prices of your own make clutches worth something before they hatch; the
    <a href="{{ Gate::allows('manage') ? route('money') : route('young') }}">account</a> counts each amount once.</p>
<p>Every clutch has a story to send: parents, what could come, what came, in one file that opens in any browser. No price, no buyer and no
    note is in it.</p>
<p class="mb-0">Destino warns you before you sell a male whose females have not laid. Selling and sending live animals is regulated in many
    places; ask your authority.</p>
