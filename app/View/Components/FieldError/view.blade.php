@if ($message)
    <p class="field-error" id="{{ $id }}" data-server role="alert"><x-icon name="exclamation-triangle"/><span>{{ $message }}</span></p>
@else<span id="{{ $id }}" hidden></span>@endif
