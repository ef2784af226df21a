# backup [FILE] | --verify FILE
settle_place
settle_code
write_settings
# A file is read and written by whoever asks; the services see a copy of their own.
lend() {
    lent="$SEAM_VAR/tmp/lent-$$.backup"
    trap 'rm -f "$lent"' EXIT
    (umask 077 && cp -- "$1" "$lent") 2>/dev/null || fail "“$1” cannot be read, or there is no room for a copy of it."
    is_root && chown "$(web_account):" "$lent"
    return 0
}
if [ "${1:-}" = --verify ]; then
    file=${2:-}
    [ -f "$file" ] || fail "there is no file “$file”. Say which: ./seam backup --verify FILE"
    lend "$file"
    artisan seam:backup-verify "$lent" || fail "“$file” cannot be restored."
    exit 0
fi
file=${1:-}
case "$file" in
    -*) fail "backup does not know “$file”. Say ./seam backup, ./seam backup FILE, or ./seam backup --verify FILE" ;;
esac
[ -z "$file" ] || [ -d "$(dirname "$file")" ] || fail "there is no folder “$(dirname "$file")” to put the backup into."
only_one
database_answers || start_database
database_account
made=$(artisan seam:backup) || fail "no backup was made. $(disk_hint)$made"
at=$(head -n 1 <<<"$made")
if [ -n "$file" ]; then
    (umask 077 && cp -- "$at" "$file.part" && mv -- "$file.part" "$file") || { rm -f "$file.part"; fail "the backup could not be written to $file. It lies in $at."; }
    at=$file
fi
say "All data are in $at ($(du -h "$at" | cut -f1); $(tail -n 1 <<<"$made")). It was read back whole."
say "It holds personal data: keep it as safe as the workroom's keys, and a copy away from this machine."
