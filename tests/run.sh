#!/bin/sh
# Every suite, then one summary. Called by ./hebra test, which has installed what is needed.
set -u
cd "$(dirname "$0")/.."
umask 077
mkdir -p storage/framework/cache/workshop storage/framework/sessions/workshop storage/framework/views storage/logs bootstrap/cache
# A cached view or configuration of a running workshop must not answer here.
rm -f bootstrap/cache/none-*.php
summary=""
failed=0
passed=0
suite() {
    name=$1; shift
    printf '\n\033[1m» %s\033[0m\n' "$name"
    if "$@"; then summary="$summary\n  ✓ $name"; passed=$((passed + 1)); else summary="$summary\n  ✕ $name"; failed=$((failed + 1)); fi
}
suite "style" vendor/bin/pint --test --quiet
suite "static analysis, core" vendor/bin/phpstan analyse -c phpstan-core.neon --no-progress --memory-limit=1G --no-ansi
suite "static analysis, application" vendor/bin/phpstan analyse -c phpstan.neon --no-progress --memory-limit=1G --no-ansi
suite "core" vendor/bin/phpunit --testsuite core --no-progress
suite "feature" vendor/bin/phpunit --testsuite feature --no-progress
suite "browser" vendor/bin/phpunit --testsuite browser --no-progress
printf "\n\033[1mSummary\033[0m$summary\n\n%d passed, %d failed\n" "$passed" "$failed"
[ "$failed" = 0 ]
