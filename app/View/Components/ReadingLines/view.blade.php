@foreach ($reading->errors as $error)
    <p class="field-error"><x-icon name="exclamation-triangle"/><span>{{ $error->getMessage() }}</span></p>
@endforeach
@if ($beads !== [] || $reading->belief !== null)
    <div>@forelse ($beads as $bead)<span class="named-bead"><x-bead :bead="$bead"
        aria-hidden="true"/> {{ $bead->label }}</span> @empty <span class="named-bead">Normal: no gene named</span> @endforelse</div>
@endif
@foreach ($reading->notes as $note)
    <span class="note">{{ $note }}</span>
@endforeach
