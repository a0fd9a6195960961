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
wanted=" ${*:-style analysis scripts core feature browser wide} "
for one in $wanted; do
    case "$one" in style | analysis | scripts | core | feature | browser | wide) ;; *)
        echo "“$one” is no suite: style, analysis, scripts, core, feature, browser or wide." >&2; exit 2 ;;
    esac
done
summary=""
failed=0
passed=0
suite() {
    case "$wanted" in *" $1 "*) ;; *) return 0 ;; esac
    name=$2; shift 2
    printf '\n\033[1m» %s\033[0m\n' "$name"
    began=$(date +%s)
    if "$@"; then mark="✓"; passed=$((passed + 1)); else mark="✕"; failed=$((failed + 1)); fi
    summary="$summary\n  $mark $name, $(($(date +%s) - began)) s"
}
suite style "style" vendor/bin/pint --test --quiet
suite analysis "static analysis, core" vendor/bin/phpstan analyse -c phpstan-core.neon --no-progress --memory-limit=1G --no-ansi
suite analysis "static analysis, application" vendor/bin/phpstan analyse -c phpstan.neon --no-progress --memory-limit=1G --no-ansi
suite analysis "static analysis, scripts" node_modules/.bin/tsc -p jsconfig.json
suite scripts "scripts" node --test tests/scripts/*.test.js
# On every core one process, each with a class, or with a test where no class makes anything ready for all its tests.
beside() { vendor/bin/paratest --processes="$cores" --no-progress "$@"; }
cores=$(nproc); [ "$cores" -le 8 ] || cores=8
# Templates are ready before, so that no two processes write the same one.
case "$wanted" in *" feature "* | *" wide "*) APP_CONFIG_CACHE="$PWD/bootstrap/cache/none-config.php" php artisan view:cache --quiet ;; esac
suite core "core" beside --testsuite core --exclude-group wide
suite feature "feature" beside --testsuite feature --exclude-group wide
suite browser "browser" beside --testsuite browser
suite wide "wide: core over all there is" beside --testsuite core --group wide --functional
suite wide "wide: the application over all there is" beside --testsuite feature --group wide
# Names of files and folders of ours: none has a space.
if [ -n "$touched" ]; then
    wanted=" touched "
    # shellcheck disable=SC2086
    suite touched "what the change touches" vendor/bin/phpunit --no-progress $touched
fi
printf "\n\033[1mSummary\033[0m$summary\n\n%d passed, %d failed\n" "$passed" "$failed"
[ "$failed" = 0 ]
