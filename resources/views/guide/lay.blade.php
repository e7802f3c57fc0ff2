<p><a href="{{ route('today') }}">Today</a> is for the phone in the snake room: one tap logs a lock, an ovulation, a shed, eggs. What comes
    next is a window that holds nine of ten, narrowed by her own record and yours; both figures are shown, since a window is no promise.</p>
<p>Without a connection a tap waits on the phone and is sent later, once. Every entry can be undone, and a wrong order is asked about, not
    refused.</p>
<p class="mb-0">Wash your hands after handling, and mind that a female on eggs may bite. One in trouble laying is for a reptile
    veterinarian.</p>
