# Puts a backup in place of the present data, after saving those.
file=${1:-}
[ -f "$file" ] || fail "there is no file “$file”. Say which: ./seam restore FILE"
gzip -t "$file" 2>/dev/null || fail "“$file” is not a whole backup; nothing was changed."
write_settings
start_database
before="$SEAM_VAR/before-restore.sql.gz"
(umask 077; mariadb_dump | gzip >"$before")
stop_web
name=$(setting DB_DATABASE)
mariadb_as_root -e "DROP DATABASE \`$name\`"
database_account
gzip -dc "$file" | mariadb_as_root "$name" || fail "the restore stopped half way. What was there before is in $before."
say "The data of $file are in place. What was there before is in $before. Start again with ./seam start"
