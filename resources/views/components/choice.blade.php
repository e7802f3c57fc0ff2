@props(['name', 'label', 'options', 'value' => '', 'hint' => null, 'bag' => 'default', 'id' => null, 'blank' => null]) {{-- a labelled list to choose from --}}
@php($id ??= str_replace(['[', ']', '.'], '-', $name))
@php($error = $errors->{$bag}->first(str_replace(['[', ']'], ['.', ''], $name)))
<div class="field">
    <label for="{{ $id }}">{{ $label }}</label>
    <select @if (count($options) > 15) data-module="combobox" @endif id="{{ $id }}" name="{{ $name }}" {{ $attributes->class('input') }} aria-describedby="{{ $id }}-error {{ $id }}-hint" @if ($error) aria-invalid="true" @endif>
        @if ($blank !== null)<option value="">{{ $blank }}</option>@endif
        @foreach ($options as $key => $words)<option value="{{ $key }}" @selected((string) $value === (string) $key)>{{ $words }}</option>@endforeach
    </select>
    @if ($hint)<span class="hint" id="{{ $id }}-hint">{{ $hint }}</span>@endif
    <x-field-error :id="$id.'-error'" :message="$error"/>
</div>
