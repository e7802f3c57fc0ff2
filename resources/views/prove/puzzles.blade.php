{{-- young that the records exclude, each with what may explain it, to be decided where it is seen --}}
    @foreach ($puzzles as $one)
        <section class="sheet" id="puzzle-{{ $loop->index }}">
            <div class="head"><h2><a href="{{ $one['link'] }}">{{ $one['subject'] }}</a> does not fit the recorded parents</h2><span
                class="soft small">{{ $one['about'] }}</span></div>
            @if ($one['explanations'] === [])<p class="mb-0">No one or two mistakes in the records explain it. Look at the parents, the
                clutch and the statements together.</p>@else
            <form method="post" action="{{ route('prove.decide') }}" class="stack" data-module="once">@csrf<input type="hidden"
                name="form_token" value="{{ Illuminate\Support\Str::uuid() }}">@if ($from ?? null)<input type="hidden" name="from"
                value="{{ $from }}">@endif
                <fieldset class="plain-set"><legend class="visually-hidden">What explains it</legend>
                    <ul class="plain odds-bars">@foreach ($one['explanations'] as $why)<li><label class="pick"><input type="radio"
                        name="explanation" value="{{ $why['value'] }}"
                        @checked(old('explanation', $loop->first ? $why['value'] : '') === $why['value'])> <span>{{ $why['text'] }}</span>
                        <strong class="ms-auto num">{{ $why['share'] }}</strong></label><div class="bar" aria-hidden="true"><i
                        style="width:{{ $why['width'] }}%"></i></div></li>@endforeach</ul>
                </fieldset>
                <p class="soft small mb-0">Until you decide, all explanations count with these chances. You can change how often records are
                    wrong in the <a href="{{ route('house') }}">house rules</a>.</p>
                @can('manage')<x-field name="reason" :id="'reason-'.$loop->index" label="Reason" :value="old('reason')"
                    maxlength="1000" hint="The decision is saved with its reason. You can undo it."/><x-field-error
                    id="explanation-error" :message="$errors->first('explanation')"/><div><button class="button"
                    type="submit">Save decision</button></div>@endcan
            </form>@endif
        </section>
    @endforeach
