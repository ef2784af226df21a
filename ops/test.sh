# All that the build server runs: static checks, core, API against a real database, browser.
export SEAM_NOW=2026-05-14T19:15:00Z
parts=("$@")
wanted() { [ ${#parts[@]} -eq 0 ] || [[ " ${parts[*]} " == *" $1 "* ]]; }
title() { printf '\n== %s\n' "$*"; }

settle_place
need_disk
only_one
export SEAM_NO_SCHEDULER=1
# Tests open studios of their own.
export SEAM_REGISTRATION=open
debian_packages $RUN_PACKAGES $TEST_PACKAGES
php_packages development
node_packages
front_end
settle_code
cd "$ROOT"

fresh_database() {
    write_settings
    stop_services
    rm -rf "$SEAM_VAR"/{db,cache,backups,storage,mail,.env}
    write_settings
    start_database
}

if wanted static; then
    write_settings
    title "Style of the PHP code (Pint)"
    vendor/bin/pint --test
    title "Types and layers (PHPStan, Larastan, phpat)"
    vendor/bin/phpstan analyse -c phpstan-core.neon --no-progress --memory-limit=1G
    vendor/bin/phpstan analyse -c phpstan-app.neon --no-progress --memory-limit=1G
    vendor/bin/phpstan analyse -c phpstan.neon --no-progress --memory-limit=1G
    title "Front end (tsc, ESLint, Prettier, Vitest)"
    npm run --silent check
    npm run --silent lint
    npm run --silent style
    npm test --silent
    title "Contract and bundle are not stale"
    php artisan seam:contract --to="$SEAM_VAR/openapi.json"
    cmp docs/formats/openapi.json "$SEAM_VAR/openapi.json" || fail "docs/formats/openapi.json is stale: run ./seam artisan seam:contract, then npm run types."
    npx openapi-typescript "$SEAM_VAR/openapi.json" -o "$SEAM_VAR/schema.d.ts" >/dev/null
    cmp resources/js/api/schema.d.ts "$SEAM_VAR/schema.d.ts" || fail "resources/js/api/schema.d.ts is stale: run npm run types."
    artisan seam:cache-curriculum
fi
if wanted core; then
    title "Core"
    vendor/bin/phpunit --testsuite core
fi
if wanted solver; then
    title "Plans against a general solver"
    vendor/bin/phpunit --testsuite solver
fi
if wanted api || wanted fuzz || wanted browser || wanted recovery; then
    trap stop_services EXIT
    fresh_database
    # Migrations are cut short in a database of their own.
    mariadb_as_root -e "CREATE DATABASE IF NOT EXISTS scratch CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci; GRANT ALL ON scratch.* TO '$(setting DB_USERNAME)'@'127.0.0.1'"
    step "Database tables" artisan migrate --force
fi
if wanted api; then
    title "API against the database"
    vendor/bin/phpunit --testsuite api
fi
if wanted api && ! wanted fuzz || [ ${#parts[@]} -eq 0 ]; then
    title "Requests drawn by lot, a short run"
    vendor/bin/phpunit --testsuite fuzz
elif wanted fuzz; then
    title "Requests drawn by lot"
    SEAM_FUZZ=${SEAM_FUZZ:-10000} vendor/bin/phpunit --testsuite fuzz
fi
if wanted browser || wanted recovery; then
    # What a test run as another account left behind belongs to the services again.
    make_folders
    prepare_application
    artisan seam:demo
    start_web
    # From here on the tests call the script themselves.
    exec 9>&-
    export SEAM_BASE="http://127.0.0.1:$SEAM_PORT"
fi
if wanted browser; then
    title "Browser"
    vendor/bin/phpunit --testsuite browser ${SEAM_FILTER:+--filter "$SEAM_FILTER"}
fi
if wanted recovery; then
    title "Killed, destroyed, restored, tried from outside"
    vendor/bin/phpunit --testsuite recovery ${SEAM_FILTER:+--filter "$SEAM_FILTER"}
fi
if wanted cluster; then
    title "Many servers, broken one after the other"
    . "$ROOT/ops/cluster/nodes.sh"
    debian_packages $CLUSTER_PACKAGES faketime
    # A short one among all tests; by itself the whole.
    [ ${#parts[@]} -eq 0 ] && cluster=short || cluster=whole
    (
        unset SEAM_NOW SEAM_PORT SEAM_DB_PORT
        exec 9>&-
        SEAM_CLUSTER=${SEAM_CLUSTER:-$cluster} vendor/bin/phpunit --testsuite cluster ${SEAM_FILTER:+--filter "$SEAM_FILTER"}
    )
fi
say
say "All that was asked has passed."
