<button type="submit" name="state" value="{{ $question['cue']->states[$number] }}" @class(['reply',
    'is-seen' => $question['seen'] === $question['cue']->states[$number]])
    aria-pressed="{{ $question['seen'] === $question['cue']->states[$number] ? 'true' : 'false' }}"
    @disabled(! $may)>@if ($pictures->has($question['cue']->key))<img width="{{ round(64 * $pictures->shape($question['cue']->key)) }}"
        height="64" alt="" loading="lazy"
    src="{{ $pictures->address($question['cue']->key, $number, $own, $mark) }}">@endif
    <span>{{ ucfirst($question['cue']->states[$number]) }}</span></button>
