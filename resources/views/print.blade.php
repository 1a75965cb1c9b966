<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <title>{{ $sheet['heading'] }}</title>
    <style>@page { size: {{ $sheet['paper'] === 'a4' ? 'A4' : 'letter' }}; margin: 14mm 14mm 16mm; }</style>
    @if ($sheet['cards'] !== null && $sheet['paper'] === 'letter')
    {{-- A letter is 18 mm lower than A4, and a card is one page. --}}
    <style>.crew-card { zoom: 0.93; }</style>
    @endif
    @vite(['resources/css/app.css', 'resources/js/print.tsx'])
</head>
<body class="print"><div id="apron"></div>
<script type="application/json" id="sheet">{!! json_encode($sheet, JSON_HEX_TAG | JSON_HEX_AMP | JSON_HEX_APOS | JSON_HEX_QUOT | JSON_THROW_ON_ERROR) !!}</script>
</body>
</html>
