{{-- what does not fit at one animal: on its page, or opened where its mark stands --}}
@foreach ($page->reasonings()->conflicts() as $conflict)
    <div class="clash mt-3" role="note"><p class="mb-1"><x-icon name="exclamation-triangle"/> <strong>These cannot both be right about
        {{ $conflict['about'] }}:</strong></p><ul class="mb-1">@foreach ($conflict['sides'] as $side)<li>{{ $side }}</li>@endforeach</ul>
        <p class="small mb-0">Until it is settled, each counts with the trust of its source. Correct or remove the one that is wrong on the
        page of <a href="{{ route('animals.show', $animal) }}">{{ $animal->name }}</a>; nothing is overwritten.</p></div>
@endforeach
@include('prove.puzzles', ['puzzles' => $page->puzzles(), 'from' => "animal-{$animal->id}"])
