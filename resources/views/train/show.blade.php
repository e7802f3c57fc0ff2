<x-station title="Train" station="genes" crumb="Genes" :crumb-link="route('genes.index')">
    <x-gene-tabs here="train"/>
    @if ($last !== null)
        <section class="sheet trainer">
            <p class="soft mb-1">Question {{ $at }} of {{ $count }}, {{ $state['right'] }} right so far</p>
            <p class="answer" role="status">@if ($isRight)<x-icon name="check-circle"/> Right: @else<x-icon name="x-octagon"/> No: it is
                @endif{{ $answered->options[$answered->answer]['label'] }}.</p>
            <p>{{ $answered->why }}@if ($answered->place) <span class="soft" data-module="lift" data-lift-now="{{ $answered->place }}">Look
                at: {{ str_replace('-', ' ', $answered->place) }}.</span>@endif</p>
            @if ($answered->photo)<img class="trainer-photo" src="{{ route('photos.show', $answered->photo) }}"
                alt="the photograph that was asked about">@endif
            @foreach ($answered->shown as $shown)<figure class="mb-2">@snake($shown['look'], $shown['label'], 'flat')<figcaption
                class="small"><strong>{{ $shown['label'] }}</strong></figcaption></figure>@endforeach
            <form method="post" action="{{ route('train.next') }}" data-module="trainer">@csrf<button class="button main" type="submit"
                data-next>{{ $question === null ? 'See how it went' : 'Next question' }}</button> <span class="soft small key-hint ms-2">or
                press Enter</span></form>
        </section>
    @elseif ($question !== null)
        <section class="sheet trainer">
            <p class="soft mb-1">Question {{ $at + 1 }} of {{ $count }}, {{ $state['right'] }} right so far</p>
            <p class="answer" id="question">{{ $question->asks }}</p>
            @if ($question->photo)<img class="trainer-photo" src="{{ route('photos.show', $question->photo) }}"
                alt="the animal that is asked about">@endif
            @if ($question->look)<figure class="mb-3"><div
                class="two-views">@snake($question->look, 'the animal that is asked about', 'card')
                @snake($question->look, 'its skin laid flat', 'flat')</div></figure>@endif
            <form method="post" action="{{ route('train.answer') }}" data-module="trainer" aria-labelledby="question">@csrf<input
                type="hidden" name="at" value="{{ $at }}">
                <div @class(['choices-large', 'with-looks' => $question->options[0]['look'] !== null])>
                    @foreach ($question->options as $i => $option)
                        <button class="choice-large" type="submit" name="choice" value="{{ $i }}" data-choice="{{ $i + 1 }}"><span
                            class="key">{{ $i + 1 }}</span>@if ($option['look'])@snake($option['look'],
                            $option['label'], 'flat')@endif<span>{{ ucfirst($option['label']) }}</span></button>
                    @endforeach
                </div>
                <x-field-error id="choice-error" :message="$errors->first('choice')"/>
                <p class="soft small mt-2 mb-0 key-hint">Choose with the keys 1 to {{ count($question->options) }}.</p>
            </form>
        </section>
    @elseif ($state !== null)
        <section class="sheet trainer">
            <p class="answer">{{ $state['right'] }} of {{ $count }} right.</p>
            <p class="soft">What you missed comes again today; what you knew comes back after a day, then three, seven, sixteen and
                thirty-five days (the boxes of S. Leitner, 1972).</p>
            <form method="post" action="{{ route('train.begin') }}" class="row-flow" data-module="once">@csrf<button class="button main"
                type="submit">Another ten</button></form>
        </section>
    @else
        <section class="sheet trainer">
            <p class="answer">Learn to see it.</p>
            <p class="soft">Ten questions: which of two carries a gene, name the gene, what tells it from a normal, what a hatchling got
                from its parents, and the odds a keeper should have in his head. Genes of your own collection come first, then what you know
                least. Drawings are schemes: they train what to look for, not the eye for light and camera.</p>
            <form method="post" action="{{ route('train.begin') }}" class="row-flow" data-module="once">@csrf<button class="button main"
                type="submit">Begin</button><span class="soft">{{ $round->due()->count() }} due today</span></form>
        </section>
    @endif
    @if ($last === null && ($question === null) && $round->drills()->isNotEmpty())
        <section class="sheet mt-3"><div class="head"><h2>How you do</h2><span class="soft small">the weakest first</span></div>
            <table class="list"><thead><tr><th>What</th><th class="num">Right</th><th class="num">Wrong</th>
                <th class="num">Known</th></tr></thead><tbody>@foreach (array_slice($round->progress($nameOf), 0, 30) as $one)<tr>
                <td>{{ $one['name'] }}</td><td class="num">{{ $one['right'] }}</td><td class="num">{{ $one['wrong'] }}</td>
                <td class="num">{{ $one['known'] }} of {{ $one['of'] }}</td></tr>@endforeach</tbody></table></section>
    @endif
</x-station>
