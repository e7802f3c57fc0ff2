<li data-lift="{{ $lines[0]['sign']->cue->where }}" class="sign">
    {{ $pictures->image($lines[0]['sign']->cue->key, $lines[0]['sign']->state, $mark) }}
    <div><strong>{{ $lines[0]['sign']->cue->name }}</strong>
    <span class="soft small">{{ $lines[0]['sign']->cue->where }}{{ $lines[0]['sign']->cue->fromDays > 0
    ? ", from {$lines[0]['sign']->cue->fromDays} days of age" : '' }}</span>
    @foreach (collect($lines)->groupBy(fn (array $one) => $one['sign']->stateName()) as $state => $same)
        <span class="d-block"><strong>{{ $state }}</strong> in
            {{ $same->map(fn (array $one) => round(100 * $one['sign']->share)."\u{a0}% of {$one['form']->text}")->implode(', ') }},
            in {{ round(100 * $same[0]['sign']->otherwise) }}&nbsp;% of normals</span>
    @endforeach</div></li>
