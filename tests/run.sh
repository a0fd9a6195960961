#!/bin/sh
# Every suite, those that are named, or what a change touches, then one summary. Called by ./hebra test, which has
# installed what is needed.
set -u
cd "$(dirname "$0")/.."
umask 077
mkdir -p storage/framework/cache/workshop storage/framework/sessions/workshop storage/framework/views storage/logs bootstrap/cache
# A cached view or configuration of a running workshop must not answer here.
rm -f bootstrap/cache/none-*.php
# What a change touches: `--changed`, since the last commit or since the one that is named.
touched=""
if [ "${1:-}" = --changed ]; then
    touched=$(php tests/changed.php "${2:-HEAD}") || { echo "“${2:-HEAD}” is no commit here." >&2; exit 2; }
    set -- style analysis scripts
fi
wanted=" ${*:-style analysis scripts core feature browser} "
for one in $wanted; do
    case "$one" in style | analysis | scripts | core | feature | browser) ;; *)
        echo "“$one” is no suite: style, analysis, scripts, core, feature or browser." >&2; exit 2 ;;
    esac
done
summary=""
failed=0
passed=0
suite() {
    case "$wanted" in *" $1 "*) ;; *) return 0 ;; esac
    name=$2; shift 2
    printf '\n\033[1m» %s\033[0m\n' "$name"
    if "$@"; then summary="$summary\n  ✓ $name"; passed=$((passed + 1)); else summary="$summary\n  ✕ $name"; failed=$((failed + 1)); fi
}
suite style "style" vendor/bin/pint --test --quiet
suite analysis "static analysis, core" vendor/bin/phpstan analyse -c phpstan-core.neon --no-progress --memory-limit=1G --no-ansi
suite analysis "static analysis, application" vendor/bin/phpstan analyse -c phpstan.neon --no-progress --memory-limit=1G --no-ansi
suite analysis "static analysis, scripts" node_modules/.bin/tsc -p jsconfig.json
suite scripts "scripts" node --test tests/scripts/*.test.js
suite core "core" vendor/bin/phpunit --testsuite core --no-progress
suite feature "feature" vendor/bin/phpunit --testsuite feature --no-progress
suite browser "browser" vendor/bin/phpunit --testsuite browser --no-progress
# Names of files and folders of ours: none has a space.
if [ -n "$touched" ]; then
    wanted=" touched "
    # shellcheck disable=SC2086
    suite touched "what the change touches" vendor/bin/phpunit --no-progress $touched
fi
printf "\n\033[1mSummary\033[0m$summary\n\n%d passed, %d failed\n" "$passed" "$failed"
[ "$failed" = 0 ]
