# What an installation is set to: var/.env, made once with secrets of its own; a lost one is made anew.

DB="$SEAM_VAR/db"
WEB="$SEAM_VAR/web"
RUN="$SEAM_VAR/run"

setting() { sed -n "s/^$1=//p" "$SEAM_VAR/.env" 2>/dev/null | tail -n 1; }

set_setting() {
    (umask 077 && { grep -v "^$1=" "$SEAM_VAR/.env"; printf '%s=%s\n' "$1" "$2"; } >"$SEAM_VAR/.env.new")
    is_root && chown "$(web_account):" "$SEAM_VAR/.env.new"
    mv "$SEAM_VAR/.env.new" "$SEAM_VAR/.env"
}

random_word() { head -c 48 /dev/urandom | base64 | tr -d '/+=\n' | cut -c1-32; }

# Servers that only serve: their data are kept by a database of its own, on other machines (docs/run/many-servers.md).
database_is_elsewhere() { [ "$(setting SEAM_DATABASE)" = elsewhere ]; }

write_settings() {
    DB="$SEAM_VAR/db" WEB="$SEAM_VAR/web" RUN="$SEAM_VAR/run"
    make_folders
    if [ ! -s "$SEAM_VAR/.env" ]; then
        [ ! -d "$DB/data/mysql" ] || say "  The settings in $SEAM_VAR/.env were lost: they are made anew. Everybody signs in once more."
        (umask 077 && cat >"$SEAM_VAR/.env.new") <<TEXT
APP_NAME="Open Seam"
APP_ENV=${SEAM_ENV:-production}
APP_KEY=base64:$(head -c 32 /dev/urandom | base64)
APP_DEBUG=false
DB_CONNECTION=mariadb
DB_HOST=127.0.0.1
DB_USERNAME=open_seam
DB_PASSWORD=$(random_word)
TEXT
        is_root && chown "$(web_account):" "$SEAM_VAR/.env.new"
        mv "$SEAM_VAR/.env.new" "$SEAM_VAR/.env"
    fi
    # An earlier version kept the name of the database among the settings.
    [ -s "$DB/current" ] || { [ -z "$(setting DB_DATABASE)" ] || setting DB_DATABASE >"$DB/current"; }
    DB_DATABASE=$(cat "$DB/current" 2>/dev/null || true)
    if database_is_elsewhere; then
        DB_DATABASE=$(setting DB_DATABASE)
        SEAM_DB_PORT=$(setting DB_PORT)
        SEAM_DB_PORT=${SEAM_DB_PORT:-3306}
    fi
    APP_URL=${SEAM_URL:-$(setting SEAM_URL)}
    export DB_DATABASE DB_PORT=$SEAM_DB_PORT APP_URL=${APP_URL:-http://127.0.0.1:$SEAM_PORT}
}

memory_mb() { awk '/^MemAvailable:/ { print int($2 / 1024) }' /proc/meminfo; }

# Eight at once where the memory allows, each 200 MB at the most while it works; at least two.
workers() {
    local wanted=${SEAM_WORKERS:-$(setting SEAM_WORKERS)} fits
    fits=$(($(memory_mb) / 200))
    [ -n "$wanted" ] || wanted=$((fits < 2 ? 2 : fits > 8 ? 8 : fits))
    echo "$wanted"
}
