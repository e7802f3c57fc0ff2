<x-station title="This form was open for too long.">
    <section class="sheet empty"><p class="answer">{{ $exception->getStatusCode() === 403 && $exception->getMessage() !== ''
        ? $exception->getMessage() : 'Go back, load the page again and send it once more.' }}</p><p><a class="button main" href="/pair">Go
            to Today</a></p></section>
</x-station>
