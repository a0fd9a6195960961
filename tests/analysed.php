<?php

declare(strict_types=1);

// Static analysis starts the application: with a key of no meaning, and never with what a running workshop has cached.

putenv('APP_KEY=base64:AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA=');
putenv('APP_CONFIG_CACHE=bootstrap/cache/none-config.php');
putenv('APP_ROUTES_CACHE=bootstrap/cache/none-routes.php');
