<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="csp-nonce" content="{{ Vite::cspNonce() }}">
    <title>Open Seam</title>
    <meta name="theme-color" content="#22304A">
    <link rel="icon" href="/favicon.svg" type="image/svg+xml">
    <link rel="apple-touch-icon" href="/icons/icon-192.png">
    <link rel="manifest" href="/manifest.webmanifest">
    @vite('resources/js/main.tsx')
</head>
<body>
    <div id="root"></div>
    <noscript>Open Seam needs JavaScript switched on.</noscript>
</body>
</html>
