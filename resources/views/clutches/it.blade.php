<div class="it-with-odds" data-it="{{ $one->id }}">
    <div class="it">
        @if ($one->latestPhoto)<img class="it-picture" src="{{ route('photos.show', $one->latestPhoto) }}" alt="">@else<span
            class="it-picture">{!! $prints->medium($looks[$one->id], $known?->name() ?? $one->name) !!}</span>@endif
        <div>
            @if ($page->beside)<p class="small mb-0">{{ $one->name }}</p>@endif
            <p class="mb-1"><strong data-name>{{ $known?->name() ?? 'Not a hatchling of these parents' }}</strong></p>
            <p class="soft small mb-1">{{ implode(' · ', array_filter([$one->sex?->value,
                $page->bench->days($one) === null ? null : $page->bench->days($one).' days', $page->beside ? null
                : $page->place().' of '.count($page->bench->hatchlings)])) }}</p>
            @unless ($one->latestPhoto)<a class="small" href="{{ route('animals.show', $one) }}#photos"><x-icon name="plus-lg"/>
                Add a photograph</a>@endunless
        </div>
    </div>
    <p class="odds" role="status"><span data-shown>@forelse ($known?->shown() ?? [] as $words)<span>{{ $words }}</span>@empty<span>No
        gene of its parents shows</span>@endforelse</span> <span class="soft" data-carried>@foreach ($known?->carried() ?? []
        as $words)<span>{{ $words }}</span>@endforeach</span></p>
</div>
