@if ($plan?->isOpen())
    <div class="row-flow mt-2" data-module="plan-progress" data-address="{{ route('plans.progress', $plan) }}" role="status">
        <span>First estimate. The full plan is being calculated.</span>
        <progress max="100" value="{{ $plan->progress }}" data-bar>{{ $plan->progress }} %</progress>
        @can('manage', $project)
            <form method="post" action="{{ route('plans.cancel', $plan) }}">@csrf<button class="quiet" type="submit">Stop</button></form>
        @endcan
    </div>
@elseif ($page->isOutdated())
    <p class="field-error mt-2"><x-icon name="info-circle"/>
        <span>{{ $page->sinceWords() }}@can('manage', $project) Plan again to update it now.@endcan</span></p>
@elseif ($page->updated() !== '')
    <p class="soft small mb-0 mt-2">{{ $page->updated() }}</p>
@endif
