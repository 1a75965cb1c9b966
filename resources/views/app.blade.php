<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>Apron</title>
    <link rel="icon" href="data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 40 26'%3E%3Cpath d='M2 3h36v9l-8 12H10L2 12z' fill='none' stroke='%2314262c' stroke-width='3'/%3E%3C/svg%3E">
    @vite(['resources/css/app.css', 'resources/js/main.tsx'])
</head>
<body><div id="apron"></div></body>
</html>
