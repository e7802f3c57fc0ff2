<div class="field">
    <label for="{{ $id }}">{{ $label }}</label>
    <select @if ($isLong) data-module="choice" @endif id="{{ $id }}" name="{{ $name }}" {{ $attributes->class('input') }}
        aria-describedby="{{ $id }}-error{{ $hint ? " {$id}-hint" : '' }}" @if ($error) aria-invalid="true" @endif>
        @if ($blank !== null)<option value="">{{ $blank }}</option>@endif
        @foreach ($options as $key => $words)
            <option value="{{ $key }}" @selected((string) $value === (string) $key)>{{ $words }}</option>
        @endforeach
    </select>
    @if ($hint)<span class="hint" id="{{ $id }}-hint">{{ $hint }}</span>@endif
    <x-field-error :id="$id.'-error'" :message="$error"/>
</div>
