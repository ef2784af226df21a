# restore FILE | --kept | --use NAME | --forget NAME: beside the present data first, compared, then swapped; the present ones stay.
file=${1:-}
settle_place
settle_code
write_settings

kept_databases() { sql_over_all -N -e "SELECT schema_name FROM information_schema.schemata WHERE schema_name LIKE 'open\\_seam%' AND schema_name <> '$DB_DATABASE' ORDER BY schema_name DESC" | grep -vx -- "$(unfinished)" || true; }

# Databases are made and removed by the one account that may: where they are elsewhere, the application's own.
sql_over_all() { if database_is_elsewhere; then mariadb_elsewhere "$@"; else mariadb_as_root "$@"; fi; }

# A restore that was stopped: its database, and the digest of its file.
unfinished() { sed -n 1p "$DB/restoring" 2>/dev/null || true; }

is_kept() { [ -n "$1" ] && kept_databases | grep -qx -- "$1" || fail "“$1” is not among the data that were kept: $(kept_databases | tr '\n' ' ')"; }

database_at_hand() {
    only_one
    database_answers || start_database
    database_account
}

# use_database NAME: what is served, from now on. The web is away for a moment.
use_database() {
    local ran=no
    supervisor_runs && case "$(supervisor status web 2>/dev/null)" in *RUNNING*) ran=yes ;; esac
    stop_web
    if database_is_elsewhere; then set_setting DB_DATABASE "$1"; else printf '%s\n' "$1" >"$DB/current.new" && mv "$DB/current.new" "$DB/current"; fi
    write_settings
    settle_network
    database_account
    artisan config:cache >/dev/null || fail "the settings could not be read after the swap; start again with ./seam start"
    [ "$ran" = no ] || start_web
}

case "$file" in
    --kept)
        database_at_hand
        kept_databases
        exit 0
        ;;
    --use)
        database_at_hand
        is_kept "${2:-}"
        before=$DB_DATABASE
        use_database "$2"
        say "$2 is in use. Everybody signs in once more. What was there before is kept as $before."
        exit 0
        ;;
    --forget)
        database_at_hand
        is_kept "${2:-}"
        sql_over_all -e "DROP DATABASE \`$2\`"
        artisan seam:photos --forget="$2" || true
        say "$2 is gone for good."
        exit 0
        ;;
    -*) fail "restore does not know “$file”. Say ./seam restore FILE, --kept, --use NAME or --forget NAME" ;;
esac
[ -f "$file" ] || fail "there is no file “$file”. Say which: ./seam restore FILE. Nothing was changed."
lent="$SEAM_VAR/tmp/lent-$$.backup"
trap 'rm -f "$lent"' EXIT
rm -f "$SEAM_VAR"/tmp/lent-*.backup
(umask 077 && cp -- "$file" "$lent") 2>/dev/null || fail "“$file” cannot be read, or there is no room for a copy of it; nothing was changed."
is_root && chown "$(web_account):" "$lent"
# Read whole before anything is touched.
artisan seam:backup-verify "$lent" || fail "“$file” cannot be restored; nothing was changed."
database_at_hand
before=$DB_DATABASE
sha=$(sha256sum "$lent" | cut -d' ' -f1)
new=$(unfinished)
if [ -n "$new" ] && [ "$(sed -n 2p "$DB/restoring")" = "$sha" ] && [ -n "$(sql_over_all -N -e "SELECT 1 FROM information_schema.schemata WHERE schema_name = '$new'")" ]; then
    say "This restore was begun before and stopped: it goes on where it was."
else
    [ -z "$new" ] || [ "$new" = "$before" ] || sql_over_all -e "DROP DATABASE IF EXISTS \`$new\`"
    # A name of its own: nothing that is there is ever touched.
    until new=open_seam_$(date +%Y%m%d_%H%M%S) && sql_over_all -e "CREATE DATABASE \`$new\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci" 2>/dev/null; do
        database_answers || fail "the database does not answer any more; nothing was changed."
        sleep 1
    done
    printf '%s\n%s\n' "$new" "$sha" >"$DB/restoring"
fi
export SEAM_RESTORE_DATABASE=$new SEAM_RESTORE_USER SEAM_RESTORE_PASSWORD
SEAM_RESTORE_USER=$(setting DB_USERNAME) SEAM_RESTORE_PASSWORD=$(setting DB_PASSWORD)
if ! database_is_elsewhere; then
    # An account that can do nothing but fill this one database.
    SEAM_RESTORE_USER=open_seam_restore SEAM_RESTORE_PASSWORD=$(random_word)
    mariadb_as_root <<SQL
DROP USER IF EXISTS '$SEAM_RESTORE_USER'@'127.0.0.1';
CREATE USER '$SEAM_RESTORE_USER'@'127.0.0.1' IDENTIFIED BY '$SEAM_RESTORE_PASSWORD';
GRANT ALL ON \`${new//_/\\_}\`.* TO '$SEAM_RESTORE_USER'@'127.0.0.1';
SQL
fi
no_account() { database_is_elsewhere || mariadb_as_root -e "DROP USER IF EXISTS 'open_seam_restore'@'127.0.0.1'" || true; }
told=$(artisan seam:restore "$lent") && exit=0 || exit=$?
unset SEAM_RESTORE_PASSWORD
no_account
case "$exit" in
    0) ;;
    # What does not fit never will.
    1)
        sql_over_all -e "DROP DATABASE IF EXISTS \`$new\`" || true
        rm -f "$DB/restoring"
        printf '%s\n' "$told" >&2
        fail "the restore stopped; nothing was changed."
        ;;
    *)
        printf '%s\n' "$told" >&2
        fail "the restore was stopped. $(disk_hint)What is served was not changed. The same command again goes on where it was."
        ;;
esac
rm -f "$DB/restoring"
if database_is_elsewhere; then
    say "The data of $file are in $new ($told). Nothing of it is served yet."
    say "End all web nodes, then say on each: ./seam restore --use $new, and start it."
    exit 0
fi
use_database "$new"
say "The data of $file are in place ($told). Everybody signs in once more."
say "What was there before is kept as $before: ./seam restore --kept lists such, --use NAME goes back to it, --forget NAME removes one."
