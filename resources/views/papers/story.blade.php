<x-station title="Story to send" station="season" :crumb="$of->clutch->title()"
    :crumb-link="route('clutches.show', $of->clutch)">
    <x-slot:actions><a class="button main" href="{{ route('papers.story.file', $of->clutch) }}"><x-icon name="download"/>Save the
        file</a><button class="button" type="button" data-module="print" hidden>Print, or save as PDF</button></x-slot:actions>
    <p class="soft no-print">The file holds everything below, pictures and all, and opens in any browser without Destino. No price, no
        buyer and no note of yours is in it.</p>
    <section class="sheet paper" aria-label="The page as it is sent">@include('papers.story-body', ['title' => 'h2'])</section>
</x-station>
