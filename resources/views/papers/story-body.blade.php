{{-- the story of a clutch: in the file that is sent, and as its preview --}}
<{{ $title }}>{{ $of->clutch->title() }}</{{ $title }}>
<p class="soft">{{ $of->days() }} {{ $of->eggs() }}</p>
<h3>Parents</h3>
<ul class="row-of">@foreach ($of->parents() as $one)<li>@include('papers.portrait', ['one' => $one])</li>@endforeach</ul>
@if ($of->couldCome() !== [])
    <h3>What could come</h3>
    <ul class="row-of">@foreach ($of->couldCome() as $one)<li><figure>{!! $one['drawing'] !!}<figcaption><strong>{{ $one['text']
        }}</strong><br>{{ $one['chance'] }}</figcaption></figure></li>@endforeach</ul>
@endif
@if ($of->luck() !== '')<p>{{ $of->luck() }}</p>@endif
@if ($of->came() !== [] || $of->counted() !== [])
    <h3>What came</h3>
    <ul class="row-of">@foreach ($of->came() as $one)<li>@include('papers.portrait', ['one' => $one])</li>@endforeach</ul>
    @if ($of->counted() !== [])<p>Also counted: {{ implode(', ', $of->counted()) }}.</p>@endif
@endif
<p class="soft">Drawings show the likeliest look, not the very animal. Written on {{ now()->format('j F Y') }}.</p>
