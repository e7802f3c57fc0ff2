<p>A name, a sex and what it carries are enough for a start. Write genes as you speak: <em>Pastel het Clown</em>, <em>66% het Piebald</em>,
    <em>Mojave/Lesser</em>, <em>Yellow Belly or Gravel</em>. What Destino understood shows under the field while you type; what was not is
    asked.</p>
<p>A whole list comes in under <a href="{{ route('exchange') }}">House, Import and export</a>. No animal is refused for a cell that cannot
    be read:
    the words stay with it, and the question can be answered later. Genes not known are “not known”, never Normal.</p>
<p class="mb-0">Parents matter more than anything else you can add: from them, hets and odds follow by themselves.</p>
