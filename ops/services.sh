# The services under one supervisor: each comes back by itself when it ends.

# The supervisor itself, whatever it looks after.
supervisor_itself() {
    cat <<TEXT
[unix_http_server]
file=$RUN/supervisor.sock
chmod=0600
[supervisord]
nodaemon=true
pidfile=$RUN/supervisor.pid
logfile=$SEAM_VAR/log/supervisor.log
logfile_maxbytes=0
umask=077
$(is_root && echo user=root)
[rpcinterface:supervisor]
supervisor.rpcinterface_factory = supervisor.rpcinterface:make_main_rpcinterface
[supervisorctl]
serverurl=unix://$RUN/supervisor.sock
TEXT
}

# write_supervisor_settings [all]: the database alone, until the rest is ready to be served.
write_supervisor_settings() {
    local web db
    web=$(web_account) db=$(db_account)
    (umask 077 && cat >"$RUN/supervisord.conf.new") <<TEXT
$(supervisor_itself)
$(database_is_elsewhere || program database "$db" 10 60 TERM)
$([ "${1:-}" != all ] || program php "$web" 20 15 QUIT)
$([ "${1:-}" != all ] || program web "$web" 30 15 QUIT)
$([ "${1:-}" != all ] || [ -n "${SEAM_NO_SCHEDULER:-}" ] || program scheduler "$web" 40 15 TERM)
$([ "${1:-}" != all ] || program logs "$(id -un)" 50 15 TERM)
TEXT
    mv "$RUN/supervisord.conf.new" "$RUN/supervisord.conf"
}

# Every log of the services is put aside each day, or when it is large, and gone after 14 days.
# An empty one too: the age of the old ones is only looked at when the log itself is put aside.
write_log_settings() {
    local su=""
    chmod 600 "$SEAM_VAR"/log/*.log* 2>/dev/null || true
    is_root && su="su $(web_account) $(id -gn "$(web_account)")"
    (umask 077 && cat >"$RUN/logrotate.conf") <<TEXT
daily
maxsize 500k
rotate 14
maxage 14
ifempty
missingok
copytruncate
nocompress
$SEAM_VAR/log/*.log {
}
$WEB/run/php.log {
    $su
}
TEXT
}

# program NAME ACCOUNT ORDER SECONDS-TO-STOP SIGNAL
program() {
    cat <<TEXT
[program:$1]
command=/bin/bash $CODE/ops/run/$1.sh
$(is_root && echo "user=$2")
directory=/
environment=$([ "$1" = database ] && database_environment || service_environment)
priority=$3
autostart=true
autorestart=true
startsecs=1
startretries=1000000
stopsignal=$5
stopwaitsecs=$4
redirect_stderr=true
stdout_logfile=$SEAM_VAR/log/$1.log
stdout_logfile_maxbytes=0
TEXT
}

database_environment() {
    printf '%s' "HOME=\"/nonexistent\",SEAM_CODE=\"$CODE\",SEAM_VAR=\"$SEAM_VAR\",SEAM_DB_PORT=\"$SEAM_DB_PORT\"${SEAM_DB_BUFFER:+,SEAM_DB_BUFFER=\"$SEAM_DB_BUFFER\"}"
}

service_environment() {
    local name list
    list="$(database_environment),DB_PORT=\"$SEAM_DB_PORT\",DB_DATABASE=\"$DB_DATABASE\",APP_URL=\"$APP_URL\""
    for name in SEAM_NOW SEAM_REGISTRATION SEAM_HOSTS SEAM_OWN_AUTHORITY; do
        [ -z "${!name:-}" ] || list="$list,$name=\"${!name}\""
    done
    # A clock that goes wrong, to see what happens then (./seam cluster break NAME clock).
    [ -z "${SEAM_CLOCK:-}" ] || list="$list,LD_PRELOAD=\"$SEAM_CLOCK_BY\",FAKETIME=\"$SEAM_CLOCK\""
    printf '%s' "$list"
}

supervisor() { /usr/bin/supervisorctl -c "$RUN/supervisord.conf" "$@"; }

supervisor_runs() { [ -S "$RUN/supervisor.sock" ] && alive "$RUN/supervisor.pid"; }

alive() { [ -s "$1" ] && kill -0 "$(cat "$1")" 2>/dev/null && ! grep -qs '^State:[[:space:]]*Z' "/proc/$(cat "$1")/status"; }

start_supervisor() {
    supervisor_runs && return 0
    end_leftovers
    rm -f "$RUN/stopping" "$RUN/supervisor.sock"
    # Nothing of whoever starts it stays open: not the lock, not a pipe that somebody waits on.
    SEAM_VAR=$SEAM_VAR setsid bash "$CODE/ops/run/guard.sh" </dev/null >/dev/null 2>&1 9>&- &
    echo $! >"$RUN/guard.pid"
    local i
    for i in $(seq 1 100); do
        supervisor_runs && return 0
        sleep 0.1
    done
    fail "the supervisor of the services did not come up within 10 s. $(disk_hint)See $SEAM_VAR/log/supervisor.log"
}

start_database() {
    if database_is_elsewhere; then
        for _ in $(seq 1 60); do
            database_answers && return 0
            sleep 0.5
        done
        fail "the database at $(setting DB_HOST):$SEAM_DB_PORT, which $SEAM_VAR/.env names, does not answer: $(mariadb_elsewhere -e 'SELECT 1' 2>&1 | tail -n 1)"
    fi
    new_database_server
    database_answers || ! port_taken "$SEAM_DB_PORT" || supervisor_runs \
        || fail "port $SEAM_DB_PORT, which the database needs, is taken by another program. Choose another with SEAM_DB_PORT=… ./seam start"
    supervisor_runs || write_supervisor_settings
    start_supervisor
    supervisor start database >/dev/null 2>&1 || true
    local i
    for i in $(seq 1 300); do
        database_answers && break
        sleep 0.1
    done
    database_answers || fail "the database did not come up within 30 s. $(disk_hint)Its own words: $(tail -n 2 "$SEAM_VAR/log/database.log" 2>/dev/null | tr '\n' ' ')"
    database_account
}

# What runs goes on with the new settings and the new code; what does not run is started.
start_web() {
    write_web_settings
    write_log_settings
    local ran=no
    case "$(supervisor_runs && supervisor status web 2>/dev/null)" in
        *RUNNING*) ran=yes ;;
        *) port_taken "$SEAM_PORT" && fail "port $SEAM_PORT is taken by another program. Choose another with SEAM_PORT=… ./seam start" ;;
    esac
    write_supervisor_settings all
    start_supervisor
    # Programs whose settings changed are ended and started; the database stays up where nothing of it changed.
    supervisor update >/dev/null 2>&1 || true
    # shellcheck disable=SC2046
    supervisor start $(database_is_elsewhere || echo database) php web logs $([ -n "${SEAM_NO_SCHEDULER:-}" ] || echo scheduler) >/dev/null 2>&1 || true
    # The code cache does not look at the files again by itself.
    [ "$ran" = no ] || { supervisor signal USR2 php && supervisor signal HUP web; } >/dev/null 2>&1 || true
    local i
    for i in $(seq 1 150); do
        [ "$(curl_code "http://127.0.0.1:$SEAM_PORT/up")" = 200 ] && return 0
        sleep 0.1
    done
    fail "the web server did not answer within 15 s. $(disk_hint)See $SEAM_VAR/log/ for what it said, and ./seam doctor."
}

stop_web() { ! supervisor_runs || supervisor stop logs scheduler web php >/dev/null 2>&1 || true; }

# A process that is gone already is no failure.
signal() { kill "$@" 2>/dev/null || true; }

stop_services() {
    [ -d "$RUN" ] || return 0
    : >"$RUN/stopping" 2>/dev/null || true
    if supervisor_runs; then
        supervisor stop logs scheduler web php >/dev/null 2>&1 || true
        supervisor stop database >/dev/null 2>&1 || true
        supervisor shutdown >/dev/null 2>&1 || true
    fi
    local i
    for i in $(seq 1 100); do
        alive "$RUN/supervisor.pid" || break
        sleep 0.1
    done
    if alive "$RUN/guard.pid"; then signal "$(cat "$RUN/guard.pid")"; fi
    end_leftovers
    rm -f "$RUN/guard.pid" "$RUN/supervisor.pid" "$RUN/supervisor.sock"
}

# Whatever an earlier run left behind, by its process groups; the database is asked before it is ended.
end_leftovers() {
    local file name group pid pids i
    alive "$RUN/guard.pid" && grep -qs guard.sh "/proc/$(cat "$RUN/guard.pid")/cmdline" && signal -9 "$(cat "$RUN/guard.pid")"
    alive "$RUN/supervisor.pid" && grep -qs supervisord "/proc/$(cat "$RUN/supervisor.pid")/cmdline" && signal -9 "$(cat "$RUN/supervisor.pid")"
    for name in scheduler:php web:nginx php:php-fpm database:mariadbd; do
        file="$WEB/run/${name%%:*}.group"
        [ "$name" = database:mariadbd ] && file="$DB/run/database.group"
        pids=$(group_of "$file" "${name##*:}")
        [ -n "$pids" ] || continue
        # shellcheck disable=SC2086
        signal $([ "$name" = database:mariadbd ] || echo -9) $pids
        for i in $(seq 1 300); do
            [ -n "$(group_of "$file" "${name##*:}")" ] || break
            sleep 0.1
        done
        pids=$(group_of "$file" "${name##*:}")
        # shellcheck disable=SC2086
        [ -z "$pids" ] || signal -9 $pids
    done
    # An earlier version kept process ids only.
    for file in "$WEB/run/nginx.pid:nginx" "$WEB/run/fpm.pid:php-fpm" "$DB/run/my.pid:mariadbd"; do
        alive "${file%%:*}" && grep -qs "${file##*:}" "/proc/$(cat "${file%%:*}")/comm" && signal "$(cat "${file%%:*}")" && sleep 1
    done
    return 0
}

# Process ids of a group by its file, only those whose program has the name.
group_of() {
    [ -s "$1" ] || return 0
    local stat pid comm pgrp rest group
    group=$(cat "$1")
    for stat in /proc/[0-9]*/stat; do
        read -r pid comm state _ pgrp rest 2>/dev/null <"$stat" || continue
        [ "$pgrp" = "$group" ] && [ "$state" != Z ] && [[ "$comm" == "($2"* ]] && printf '%s ' "$pid"
    done
    return 0
}

# Tables, course bundle, standings and caches as this version wants them; data are put aside before they change.
prepare_application() {
    rm -f "$SEAM_VAR"/cache/*.php
    step "Data and tables" artisan seam:prepare
}
