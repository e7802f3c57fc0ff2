@foreach ($assumptions->readings as $reading)<p class="mb-1">{{ $reading }}</p>@endforeach
<ul class="mb-2">@foreach ($assumptions->rules() as $rule)<li>{{ $rule }}</li>@endforeach</ul>
@if (! $survival->isOne())<p>{{ $say->fraction($survival) }} of the eggs do not die of their form ({{ $say->percent($survival) }}). Odds are
    shown per {{ $page->unit() }}.</p>@endif
@if ($claims !== [])
    <h3 class="mb-2">Keepers disagree about these, and another choice would give another answer</h3>
    <form method="get" action="{{ route('pair') }}" class="stack no-print" data-module="autosend">
        @foreach ($inquiry->query(['school' => null]) as $name => $value) <input type="hidden" name="{{ $name }}" value="{{ $value }}">
            @endforeach
        @foreach ($claims as [$claim, $chosen, $ours])
            <div class="field">
                <label for="school-{{ $claim->key }}">{{ $claim->question }}</label>
                <select class="input" id="school-{{ $claim->key }}" name="school[{{ $claim->key }}]">
                    @foreach ($claim->schools as $school)<option value="{{ $school->key === $ours ? '' : $school->key }}"
                        @selected($school->key === $chosen)>{{ $school->name }}: {{ $school->effect }}</option>@endforeach
                    @if (! isset($claim->schools[$chosen]))<option value="{{ $chosen }}" selected>{{ $chosen }}</option>@endif
                </select>
                <span class="hint">{{ $claim->schools[$chosen]->argument ?? '' }} {{ $ours === $claim->default ? 'Shipped choice'
                    : 'Choice of the house' }}: {{ $claim->schools[$ours]->name ?? $ours }}. {{ $claim->whyDefault }}</span>
            </div>
        @endforeach
        <div><button class="button" data-without-script>Work it out again</button></div>
    </form>
@endif
<p class="mb-1">Uses {{ $house->choices === [] ? 'the default house rules' : 'your house rules' }} (version {{ $house->version }});
    <a href="{{ route('house') }}">see them</a>. Parents chosen from the collection count as their records say, the reasons are on their
    pages.</p>
<p class="soft small mb-0 mt-2">The address of this page opens exactly this pairing again:
    <a href="{{ route('pair', $inquiry->query()) }}">Link to this pairing</a>.</p>
