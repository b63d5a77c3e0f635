<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>The kitchen is closed for a moment</title>
</head>
<body>
    <main>
        <h1>The kitchen is closed for a moment</h1>
        <p>The database does not answer. What you typed on a sheet is kept in this browser and will be there when the kitchen opens again.</p>
        <p>On the machine that runs Mild Bowl, <code>bin/start</code> opens it. <a href="/">Try again</a>.</p>
        <p>If a dog has eaten something it should not have: call a vet or an animal poison line now, do not wait for this page.</p>
    </main>
</body>
</html>
