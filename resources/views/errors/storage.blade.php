<x-door :title="$fault->value">
    <p class="answer">{{ $typed === [] ? 'This page could not be shown.' : 'Nothing was saved. What you typed is still here.' }}</p>
    <p>{{ $fault->remedy() }} Everything that was saved before can still be read.</p>
    @if ($typed !== [])
        <form method="post" action="{{ $address }}" data-module="once">
            @csrf
            @foreach ($typed as $name => $value)<input type="hidden" name="{{ $name }}" value="{{ $value }}">@endforeach
            <button class="button main" type="submit">Save again</button>
        </form>
        <dl class="facts">
            @foreach ($typed as $name => $value)
                @if ((string) $value !== '' && ! in_array($name, ['_method', 'form_token', 'version'], true))<dt>{{ ucfirst(str_replace('_',
                    ' ', $name)) }}</dt><dd>{{ $value }}</dd>@endif
            @endforeach
        </dl>
    @endif
    <p><a href="{{ route('today') }}">Go to Today</a></p>
</x-door>
