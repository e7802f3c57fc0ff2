@if ($errors->has('sure'))
    <div class="asks" role="alert" id="sure-error">
        <p class="mb-1"><strong>Is that right?</strong></p>
        <ul class="plain mb-2">@foreach ($errors->get('sure') as $question)<li>{{ $question }}</li>@endforeach</ul>
        <label class="switch">
            <input type="checkbox" name="sure" value="1" aria-describedby="sure-error"> Save anyway
        </label>
    </div>
@endif
