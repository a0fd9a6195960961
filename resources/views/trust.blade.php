<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>Trust this workshop · Hebra</title>
    <style>body { font: 18px/1.5 Georgia, serif; margin: 0; padding: 1.5rem; background: #faf5e8; color: #262220; } main { max-width: 34rem; margin: auto; } h1 { font-size: 1.7rem; line-height: 1.15; } li { margin-block: 0.8rem; } a.go { display: inline-block; background: #262220; color: #faf5e8; padding: 0.7rem 1.1rem; text-decoration: none; } .quiet { color: #6b6259; font-size: 0.9rem; }</style>
</head>
<body><main>
    <h1>Let this phone trust the workshop</h1>
    <p>Once. Then Hebra opens here as it does at the desk, and goes on at the bench when the network does not reach.</p>
    <ol>
        <li><a class="go" href="/hebra.crt">Take the certificate</a></li>
        <li>Open it and install it. On some phones it then waits in the settings, under “profile downloaded”; on others look in the settings for “install a certificate”, and choose “CA certificate”.</li>
        <li>Some phones ask once more, in the settings, under “certificate trust”: switch “Hebra of this workshop” on.</li>
        <li><a class="go" href="{{ $address }}">Open Hebra</a></li>
    </ol>
    <p class="quiet">The certificate was made by the machine that runs your Hebra, for its own addresses. Take it only from your own workshop, in a network you know.</p>
</main></body>
</html>
