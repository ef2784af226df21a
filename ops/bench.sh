# Measures what the README's table says, on a throw-away set-up of its own.
# bench learners [number]: made-up learners alone; bench verdicts [number]: every length check read back; bench pictures
# [number] [seed]: photographs of samplers on the card. None of them needs a set-up.
if [ "${1:-}" = learners ] || [ "${1:-}" = verdicts ] || [ "${1:-}" = pictures ]; then
    settle_place
    debian_packages $RUN_PACKAGES
    php_packages development
    exec php "$ROOT/core/bin/bench-$1.php" "${@:2}"
fi
export SEAM_NOW=2026-05-14T19:15:00Z
trap stop_services EXIT
seconds() { awk -v a="$1" -v b="$2" 'BEGIN { printf "%.1f s", b - a }'; }
now() { date +%s.%N; }

settle_place
need_disk
only_one
export SEAM_NO_SCHEDULER=1
debian_packages $RUN_PACKAGES
php_packages development
node_packages
front_end
settle_code
write_settings
stop_services
rm -rf "$SEAM_VAR"/{db,cache,backups,storage,mail,.env}
write_settings
up() {
    start_database
    prepare_application
    artisan seam:welcome
    start_web
}
a=$(now)
up
b=$(now)
stop_services
c=$(now)
up
d=$(now)
say
say "Measured on $(nproc) cores, PHP $(php -r 'echo PHP_VERSION;'):"
say "  start with an empty database (packages and build there)   $(seconds "$a" "$b")"
say "  start again, data kept                                    $(seconds "$c" "$d")"
say "  first-load JavaScript, gzipped                            $(php "$ROOT/ops/first-load.php")"
say "The core alone, and once more with PHP's just-in-time compiler:"
php "$ROOT/core/bin/bench.php"
php -d opcache.enable_cli=1 -d opcache.jit=1254 -d opcache.jit_buffer_size=64M "$ROOT/core/bin/bench.php" alone
php "$ROOT/ops/bench-http.php" "http://127.0.0.1:$SEAM_PORT"
say "People and years:"
artisan seam:grow --studios=50 --password='calico madder chalk' >/dev/null
php "$ROOT/ops/bench-evening.php" "http://127.0.0.1:$SEAM_PORT" 50 60
artisan seam:grow --studios=150 --password='calico madder chalk' >/dev/null
php "$ROOT/ops/bench-evening.php" "http://127.0.0.1:$SEAM_PORT" 150 60
# One more: 50 students a year for ten years, a million readings.
artisan seam:grow --studios=151 --years=10 --samples=166 --password='calico madder chalk'
timed() { local a b; a=$(now); "${@:2}" >/dev/null; b=$(now); say "  $1   $(seconds "$a" "$b")"; }
# What the script itself does, on this set-up.
exec 9>&-
timed "backup of ten years, read back whole" "$ROOT/seam" backup "$SEAM_VAR/tmp/years.backup"
say "  its file: $(du -h "$SEAM_VAR/tmp/years.backup" | cut -f1)"
timed "restore of ten years, compared and swapped" "$ROOT/seam" restore "$SEAM_VAR/tmp/years.backup"
for what in "the web server:$WEB/run/nginx.pid" "PHP:$WEB/run/fpm.pid" "the database:$DB/run/my.pid"; do
    kill -9 "$(cat "${what##*:}")"
    a=$(now)
    sleep 0.05
    until [ "$(curl_code "http://127.0.0.1:$SEAM_PORT/up")" = 200 ]; do :; done
    b=$(now)
    say "  ${what%%:*} killed and back   $(seconds "$a" "$b")"
    sleep 2
done
