# Measures what the README's table says, on a throw-away set-up of its own.
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
say "  first-load JavaScript, gzipped                            $(cd "$ROOT/public/build/assets" && cat main-*.js CloseButton-*.js Trouble-*.js browser-*.js TodayPage-*.js MiniDrawing-*.js ThreadLine-*.js ChooseLesson-*.js Modal-*.js Tape-*.js stitches-*.js | gzip -9 | wc -c | awk '{ printf "%.0f kB", $1 / 1000 }')"
php "$ROOT/core/bin/bench.php"
php "$ROOT/ops/bench-http.php" "http://127.0.0.1:$SEAM_PORT"
