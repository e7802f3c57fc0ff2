@if (($gone = $page->goneOffers()) !== [])
    <p class="soft small mb-0 mt-2">No longer for sale, and left out: {{ implode('; ', $gone) }}.</p>
@endif
@can('manage', $project)
    <form method="post" action="{{ route('projects.try', $project) }}" class="row-flow why-not no-print mt-3" id="why-not"
        data-module="once">
        @csrf
        <span class="soft">Compare another pair:</span>
        @foreach (['sire' => 'male', 'dam' => 'female'] as $role => $sex)
            @if ($role === 'dam')<span aria-hidden="true">×</span>@endif
            <select class="input slim" name="{{ $role }}" aria-label="{{ ucfirst($role) }}" required>
                <option value="">a {{ $sex }} …</option>
                @foreach ($animals[$sex] as $id => $name)
                    <option value="{{ $id }}" @selected((string) old($role) === (string) $id)>{{ $name }}</option>
                @endforeach
            </select>
        @endforeach
        <button class="button slim" type="submit">Compare</button>
        <x-field-error id="why-not-error" :message="$errors->first('sire') ?: $errors->first('dam')"/>
    </form>
@endcan
@if ($page->tried() !== [])
    <ul class="plain mt-2">
        @foreach ($page->tried() as $one)<li><strong>{{ $one['pair'] }}</strong>
            <span class="soft">{{ $one['says'] }}</span></li>@endforeach
    </ul>
@endif
