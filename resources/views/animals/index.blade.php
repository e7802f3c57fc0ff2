<x-station title="Animals" station="animals">
    <x-slot:actions>@if ($all > 0)<a class="button" href="{{ route('round.create', 'weight') }}">Weighing round</a><a class="button" href="{{ route('round.create', 'feed') }}">Feeding round</a>@endif<a class="button main" href="{{ route('animals.create') }}"><x-icon name="plus-lg"/>Add an animal</a></x-slot:actions>
    @if ($all === 0)
        <section class="sheet empty">
            <p class="answer">No animals yet.</p>
            <p class="soft">Add the first one: a name, its sex and what it carries are enough. Then pair it.</p>
            <p><a class="button main" href="{{ route('animals.create') }}"><x-icon name="plus-lg"/>Add an animal</a></p>
        </section>
    @else
        <form class="find mb-3" method="get" role="search">
            <div class="field"><label for="find">Find by name, gene or note</label><input class="input" id="find" type="search" name="find" value="{{ $words }}" placeholder="Piebald"></div>
            <div class="field"><label for="sex">Sex</label><select class="input" id="sex" name="sex"><option value="">both</option><option value="male" @selected($sex === 'male')>males</option><option value="female" @selected($sex === 'female')>females</option></select></div>
            <div><button class="button" style="min-height:2.75rem"><x-icon name="search"/>Find</button></div>
        </form>
        <p class="soft small">{{ $animals->total() }} of {{ $all }} {{ Str::plural('animal', $all) }}{{ $words !== '' || $sex !== '' ? ' fit. ' : '.' }} @if ($words !== '' || $sex !== '')<a href="{{ route('animals.index') }}">Show all</a>@endif</p>
        <ul class="cards">
            @foreach ($cards as $card)
                <li><a class="card-link" href="{{ route('animals.show', $card->animal) }}">
                    <span class="title">{{ $card->animal->name }} <x-icon :name="'gender-'.$card->animal->sex->value" :label="$card->animal->sex->value" class="sex"/></span>
                    <span>{{ $card->genotype() }}</span>
                    @if ($card->reading->errors !== [])<span class="tag dead">cannot be read any more</span>@endif
                    <x-beads :beads="$card->beads()" aria-hidden="true"/>
                    @if ($card->age() !== '')<span class="soft small">{{ $card->age() }}</span>@endif
                </a></li>
            @endforeach
        </ul>
        <div class="mt-3">{{ $animals->links() }}</div>
        <div class="mt-3"><x-bead-key :sides="false"/></div>
    @endif
</x-station>
