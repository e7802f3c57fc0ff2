<x-station title="Something went wrong on our side.">
    <section class="sheet empty"><p class="answer">{{ $exception->getStatusCode() === 403 && $exception->getMessage() !== ''
        ? $exception->getMessage()
        : 'Nothing that was saved is lost. Go back and try again; if it stays, the log under storage/logs says more.' }}</p>
        <p><a class="button main" href="/today">Go to Today</a></p></section>
</x-station>
