# doctor [--json]: what is well and what is not. Exit 1 when something keeps it from working.
json=""
case "${1:-}" in
    --json) json=yes ;;
    "") ;;
    *) fail "doctor does not know “$1”. It knows: --json" ;;
esac
settle_place >/dev/null
checks=()
well=yes
# note STATE ID TEXT: well, look (it works, but) or ill.
note() {
    [ "$1" != ill ] || well=no
    checks+=("$1"$'\t'"$2"$'\t'"$3")
}
tell() {
    local check state id text
    if [ -n "$json" ]; then
        printf '%s\n' "${checks[@]}" | php -r '$out = []; foreach (explode("\n", trim(stream_get_contents(STDIN))) as $line) { [$state, $id, $text] = explode("\t", $line); $out[] = ["id" => $id, "state" => $state, "text" => $text]; } echo json_encode(["well" => $argv[1] === "yes", "checks" => $out], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT), "\n";' "$well"
    else
        for check in "${checks[@]}"; do
            IFS=$'\t' read -r state id text <<<"$check"
            case "$state" in well) printf '  well   %s\n' "$text" ;; look) printf '  look   %s\n' "$text" ;; *) printf '  ILL    %s\n' "$text" ;; esac
        done
        [ "$well" = yes ] && say "Open Seam is well." || say "Something is wrong: see above. ./seam start mends most of it."
    fi
    [ "$well" = yes ]
    exit
}

if [ ! -d "$SEAM_VAR" ]; then
    note ill set-up "Nothing is set up in $SEAM_VAR: run ./seam start."
    tell
fi
missing=$(missing_packages $RUN_PACKAGES)
[ -z "$missing" ] && note well packages "All Debian packages it needs are there." || note ill packages "These Debian packages are missing: $missing."
free=$(($(df -Pk "$SEAM_VAR" | awk 'NR==2 {print $4}') / 1024))
if [ "$free" -lt 200 ]; then note ill disk "Only $free MB are free on the disk: nothing can be kept until there is room."
elif [ "$free" -lt 2000 ]; then note look disk "$free MB are free on the disk: make room soon."
else note well disk "$free MB are free on the disk."; fi
if ! (: >"$SEAM_VAR/.probe.$$") 2>/dev/null; then note ill writable "The folder $SEAM_VAR cannot be written."; tell; fi
rm -f "$SEAM_VAR/.probe.$$"
if [ ! -s "$SEAM_VAR/.env" ]; then note ill settings "The settings in $SEAM_VAR/.env are gone: ./seam start makes new ones, and everybody signs in once more."
elif [ "$(stat -c %a "$SEAM_VAR/.env")" != 600 ]; then note look settings "The settings in $SEAM_VAR/.env can be read by others: ./seam start closes them."
else note well settings "The settings are there and closed to others."; fi
settle_code >/dev/null
DB="$SEAM_VAR/db" WEB="$SEAM_VAR/web" RUN="$SEAM_VAR/run"
[ ! -s "$SEAM_VAR/.env" ] || write_settings
if supervisor_runs; then
    note well supervisor "The supervisor runs."
    for name in $(database_is_elsewhere || echo database) php web logs scheduler; do
        line=$(supervisor status "$name" 2>/dev/null || true)
        case "$line" in
            *RUNNING*) note well "$name" "The $name runs ($(sed 's/.*uptime /up /' <<<"$line"))." ;;
            *"no such process"*) [ "$name" = scheduler ] && note look scheduler "The scheduler is not set up: no daily backups." || note ill "$name" "The $name is not set up." ;;
            *) note ill "$name" "The $name does not run: $(tail -n 1 "$SEAM_VAR/log/$name.log" 2>/dev/null)" ;;
        esac
    done
else
    note ill supervisor "Nothing runs: ./seam start."
fi
root_services=$(for f in "$WEB/run/web.group:nginx" "$WEB/run/php.group:php-fpm" "$DB/run/database.group:mariadbd"; do
    for pid in $(group_of "${f%%:*}" "${f##*:}"); do [ "$(stat -c %u "/proc/$pid" 2>/dev/null)" != 0 ] || printf '%s ' "$pid"; done
done)
[ -z "$root_services" ] && note well accounts "Nothing that answers requests is root." || note ill accounts "These services run as root: $root_services"
if [ -s "$SEAM_VAR/.env" ] && database_answers; then
    note well data "The database answers ($DB_DATABASE)."
    while IFS=$'\t' read -r state id text; do [ -z "$state" ] || note "$state" "$id" "$text"; done < <(artisan seam:health 2>/dev/null)
else
    note ill data "The database does not answer."
fi
code=$(curl_code "http://127.0.0.1:$SEAM_PORT/up")
[ "$code" = 200 ] && note well answers "It answers at $APP_URL." || note ill answers "It does not answer at http://127.0.0.1:$SEAM_PORT ($code)."
if [ -f "$SEAM_VAR/tls/server.pem" ]; then
    if openssl x509 -checkend 2592000 -noout -in "$SEAM_VAR/tls/server.pem" >/dev/null 2>&1; then note well certificate "The certificate holds for a month and more."
    else note look certificate "The certificate ends within a month: ./seam start --network makes a new one."; fi
fi
tell
