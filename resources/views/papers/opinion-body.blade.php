{{-- one page about an animal for somebody who knows: in the file that is sent, and as its preview --}}
<{{ $title }}>{{ $of->animal->name }}: what do you see?</{{ $title }}>
<p class="soft">{{ implode(', ', array_filter([$of->animal->sex->value ?? 'sex not known', $of->animal->hatched_on
    ? 'hatched '.$of->animal->hatchedWords() : null, $of->animal->clutch?->title()])) }}. Written on {{ now()->format('j F Y') }}.</p>
@if ($of->question !== '')<p class="wanted">{{ $of->question }}</p>@endif
@foreach ($of->photos() as $photo)<figure><img src="{{ $photo['source'] }}" alt="Photograph of {{ $of->animal->name }}">
    <figcaption>{{ $photo['words'] }}</figcaption></figure>@endforeach
<h3>As the keeper’s records have it</h3>
<p><strong>{{ $card->genotype() }}</strong></p>
<figure>{!! $of->drawing() !!}<figcaption>A drawing of the likeliest look, not of this very animal.</figcaption></figure>
<h3>Parents</h3>
@forelse ($of->parents() as $parent)
    <p><strong>{{ ucfirst($parent['role']) }}: {{ $parent['name'] }}</strong>, {{ $parent['genes'] }}</p>
    @if ($parent['drawing'])<figure>{!! $parent['drawing'] !!}</figure>@endif
@empty
    <p class="soft">Not recorded.</p>
@endforelse
@if ($of->odds() !== [])
    <h3>What is open</h3>
    <table><tbody>@foreach ($of->odds() as $one)<tr><td>{{ $one['name'] }}</td>
        <td class="num">{{ $say->share($one['share']) }}</td></tr>@endforeach</tbody></table>
@endif
@if ($of->seen() !== [])
    <h3>What was seen</h3>
    <table><tbody>@foreach ($of->seen() as $one)<tr><td>{{ $one['cue'] }} <span class="soft">{{ $one['where'] }}</span></td>
        <td>{{ $one['seen'] }}{{ $one['who'] === null ? '' : ', as '.$one['who'].' sees it' }}</td></tr>@endforeach</tbody></table>
@endif
@foreach ($of->page->reasonings()->conflicts() as $conflict)
    <h3>These cannot both be right about {{ $conflict['about'] }}</h3>
    <ul>@foreach ($conflict['sides'] as $side)<li>{{ $side }}</li>@endforeach</ul>
@endforeach
@foreach ($card->hasConflict() ? $of->page->puzzles() : [] as $puzzle)
    <h3>{{ $puzzle['subject'] }} does not fit the recorded parents ({{ $puzzle['about'] }})</h3>
    <table><tbody>@foreach ($puzzle['explanations'] as $why)<tr><td>{{ $why['text'] }}</td>
        <td class="num">{{ $why['share'] }}</td></tr>@endforeach</tbody></table>
@endforeach
@if ($of->toLookAt() !== [])
    <h3>What would tell most: what do you see?</h3>
    <table><tbody>@foreach ($of->toLookAt() as $one)<tr><td>{{ $one['cue'] }} <span class="soft">{{ $one['separates'] }}</span></td>
        <td>@foreach ($one['states'] as $state)<span class="box"></span>{{ $state }}@endforeach</td></tr>@endforeach</tbody></table>
@endif
