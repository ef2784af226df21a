# Everything that is kept lies in the database: one compressed dump is the whole backup.
file=${1:-}
[ -n "$file" ] || fail "say where to: ./seam backup FILE"
write_settings
start_database
(umask 077; mariadb_dump | gzip >"$file.part") || { rm -f "$file.part"; fail "the backup could not be written to $file. $(disk_hint)"; }
mv "$file.part" "$file"
say "All data are in $file ($(du -h "$file" | cut -f1)). It holds personal data: keep it as safe as the workroom's keys."
