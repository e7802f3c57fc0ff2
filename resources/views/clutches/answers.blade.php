@if ($question === null)
    <p class="soft small">Nothing to look for on {{ $one->name }} here.</p>
@else
    <form method="post" action="{{ route('bench.see', $clutch) }}" data-seen="{{ $question['seen'] ?? '' }}"
        data-about="{{ $one->name }}" @if ($question['asked']) data-asked @endif>@csrf<input type="hidden" name="animal"
        value="{{ $one->id }}"><input type="hidden" name="cue" value="{{ $question['cue']->key }}"><input type="hidden" name="was"
        value="{{ $question['seen'] ?? '' }}"><input type="hidden" name="from" value="identify">@if ($page->beside)<input type="hidden"
        name="beside" value="{{ $page->beside->id }}"><input type="hidden" name="first"
        value="{{ $page->animal->id }}">@endif<input type="hidden" name="form_token" value="{{ Str::uuid() }}">
        @if ($page->beside)<p class="small mb-1"><strong>{{ $one->name }}</strong></p>@endif
        <div @class(['replies', 'in-words' => ! $pictures->has($question['cue']->key)])>@foreach ($question['likely']
            as $number)@include('clutches.answer', ['number' => $number])@endforeach</div>
        @if ($question['unlikely'] !== [])<details class="mt-2"><summary>Other answers
            ({{ count($question['unlikely']) }})</summary><div @class(['replies', 'mt-2',
            'in-words' => ! $pictures->has($question['cue']->key)])>@foreach ($question['unlikely']
            as $number)@include('clutches.answer', ['number' => $number])@endforeach</div></details>@endif
    </form>
@endif
