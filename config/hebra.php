<?php

declare(strict_types=1);

return [
    // What CHANGELOG.md calls it.
    'version' => '0.9.10',

    // Loads the demo workshop and shows the one button that enters it. Never on where real makers sign in.
    'demo' => (bool) env('HEBRA_DEMO', false),

    // The names it answers to, besides this machine's own.
    'hosts' => [
        '127.0.0.1', 'localhost', '[::1]',
        ...array_filter(array_map(trim(...), explode(',', mb_strtolower((string) env('HEBRA_HOSTS', ''))))),
    ],

    // Where the phone at the bench finds it, if it is open to the network: https://192.168.1.20:8600
    'lan' => env('HEBRA_LAN'),

    // Proxies before it whose word is taken for where a request comes from.
    'proxies' => array_values(array_filter(array_map(trim(...), explode(',', (string) env('HEBRA_PROXIES', ''))))),

    // 'first': only the first maker of a fresh install may sign up. 'open': anyone who reaches the page.
    'sign_up' => env('HEBRA_SIGN_UP', 'first'),

    // A route that does nothing, for ./hebra bench to measure against.
    'bench' => (bool) env('HEBRA_BENCH', false),
];
