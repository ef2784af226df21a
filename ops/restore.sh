# restore FILE | --kept | --forget NAME: beside the present data first, compared, then swapped; the present ones stay.
file=${1:-}
settle_place
settle_code
write_settings
database_is_elsewhere && fail "the data of this server are kept by a database of its own, on other machines: restore on a set-up that has one, and move the tables there (docs/run/many-servers.md). Nothing was changed."

kept_databases() { mariadb_as_root -N -e "SELECT schema_name FROM information_schema.schemata WHERE schema_name LIKE 'open\\_seam%' AND schema_name <> '$DB_DATABASE' ORDER BY schema_name DESC"; }

case "$file" in
    --kept | --forget)
        only_one
        database_answers || start_database
        database_account
        if [ "$file" = --forget ]; then
            name=${2:-}
            [ -n "$name" ] && kept_databases | grep -qx -- "$name" || fail "“$name” is not among the data that were kept: $(kept_databases | tr '\n' ' ')"
            mariadb_as_root -e "DROP DATABASE \`$name\`"
            artisan seam:photos --forget="$name" || true
            say "$name is gone for good."
        else
            kept_databases
        fi
        exit 0
        ;;
    -*) fail "restore does not know “$file”. Say ./seam restore FILE, --kept or --forget NAME" ;;
esac
[ -f "$file" ] || fail "there is no file “$file”. Say which: ./seam restore FILE. Nothing was changed."
lent="$SEAM_VAR/tmp/lent-$$.backup"
trap 'rm -f "$lent"' EXIT
(umask 077 && cp -- "$file" "$lent") 2>/dev/null || fail "“$file” cannot be read, or there is no room for a copy of it; nothing was changed."
is_root && chown "$(web_account):" "$lent"
# Read whole before anything is touched.
artisan seam:backup-verify "$lent" || fail "“$file” cannot be restored; nothing was changed."
only_one
database_answers || start_database
database_account
before=$DB_DATABASE
# A name of its own: nothing that is there is ever touched.
until new=open_seam_$(date +%Y%m%d_%H%M%S) && mariadb_as_root -e "CREATE DATABASE \`$new\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci" 2>/dev/null; do
    database_answers || fail "the database does not answer any more; nothing was changed."
    sleep 1
done
user=open_seam_restore
password=$(random_word)
undo() {
    rm -f "$lent"
    mariadb_as_root -e "DROP DATABASE IF EXISTS \`$new\`; DROP USER IF EXISTS '$user'@'127.0.0.1'" || true
}
trap undo EXIT
# An account that can do nothing but fill this one database.
mariadb_as_root <<SQL
DROP USER IF EXISTS '$user'@'127.0.0.1';
CREATE USER '$user'@'127.0.0.1' IDENTIFIED BY '$password';
GRANT ALL ON \`${new//_/\\_}\`.* TO '$user'@'127.0.0.1';
SQL
export SEAM_RESTORE_DATABASE=$new SEAM_RESTORE_USER=$user SEAM_RESTORE_PASSWORD=$password
told=$(artisan seam:restore "$lent") || { printf '%s\n' "$told" >&2; fail "the restore stopped; nothing was changed."; }
unset SEAM_RESTORE_PASSWORD
trap 'rm -f "$lent"' EXIT
ran=no
supervisor_runs && case "$(supervisor status web 2>/dev/null)" in *RUNNING*) ran=yes ;; esac
stop_web
printf '%s\n' "$new" >"$DB/current.new" && mv "$DB/current.new" "$DB/current"
mariadb_as_root -e "DROP USER IF EXISTS '$user'@'127.0.0.1'"
write_settings
settle_network
database_account
artisan config:cache >/dev/null || fail "the settings could not be read after the swap; start again with ./seam start"
[ "$ran" = no ] || start_web
say "The data of $file are in place ($told). Everybody signs in once more."
say "What was there before is kept as $before: ./seam restore --kept lists such, ./seam restore --forget NAME removes one."
