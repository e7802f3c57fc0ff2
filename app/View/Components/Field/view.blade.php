<div class="field">
    <label for="{{ $id }}">{{ $label }}@if ($unit) <span class="soft">({{ $unit }})</span>@endif</label>
    @if ($type === 'textarea')
        <textarea id="{{ $id }}" name="{{ $name }}" {{ $attributes->class('input') }}
            aria-describedby="{{ $id }}-error{{ $hint ? " {$id}-hint" : '' }}" @if ($error) aria-invalid="true" @endif>{{ $value
                }}</textarea>
    @else
        <input type="{{ $type }}" id="{{ $id }}" name="{{ $name }}"
            @if ($type !== 'password' && $type !== 'file') value="{{ $value }}" @endif
            {{ $attributes->class('input') }} aria-describedby="{{ $id }}-error{{ $hint ? " {$id}-hint" : '' }}" @if ($error)
                aria-invalid="true" @endif>
    @endif
    @if ($hint)<span class="hint" id="{{ $id }}-hint">{{ $hint }}</span>@endif
    <x-field-error :id="$id.'-error'" :message="$error"/>
</div>
