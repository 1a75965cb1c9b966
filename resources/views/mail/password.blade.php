{{ $name }},

@if ($isInvited)
{{ $practice }} asks you into Apron. Choose a password here:
@else
somebody asked for another password for your account in Apron. If it was you, choose one here:
@endif

{!! $address !!}

The address holds for {{ $hours }} {{ $hours === 1 ? 'hour' : 'hours' }} and opens once.@if (! $isInvited) If it was not you, do nothing: nothing has changed.@endif

