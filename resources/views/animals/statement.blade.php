<x-station title="Correct a statement" station="animals" :crumb="$animal->name" :crumb-link="route('animals.show', $animal)">
    <section class="sheet measure"><p class="soft">For typing mistakes. If somebody else says something else, add a further statement
        instead: both count.</p>@include('animals.statement-form')</section>
</x-station>
