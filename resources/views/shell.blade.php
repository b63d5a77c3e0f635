<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="color-scheme" content="light dark">
    <meta name="csp-nonce" content="{{ Vite::cspNonce() }}">
    <title>{{ $kitchen->name }} · Mild Bowl</title>
    <link rel="icon" href="/bowl.svg" type="image/svg+xml">
    @vite('resources/js/main.ts')
</head>
<body>
    <div id="app"><p>Opening the kitchen…</p></div>
    <noscript>Mild Bowl needs JavaScript: the sheet answers while you type.</noscript>
</body>
</html>
