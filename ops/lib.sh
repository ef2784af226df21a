# Shared by all commands: where things are, one clear sentence on trouble, timed steps.

: "${SEAM_VAR:=$ROOT/var}"
: "${SEAM_PORT:=8377}"
: "${SEAM_DB_PORT:=33877}"
export SEAM_VAR SEAM_PORT SEAM_DB_PORT

fail() {
    printf '\nOpen Seam cannot go on: %s\n' "$*" >&2
    exit 1
}

say() { printf '%s\n' "$*"; }

# step "what it does" command...: runs quietly, shows the seconds, keeps the log.
step() {
    local what=$1 log started
    shift
    mkdir -p "$SEAM_VAR/log"
    log="$SEAM_VAR/log/$(printf '%s' "$what" | tr -cs 'A-Za-z0-9' '-').log"
    started=$(date +%s)
    printf '  %-46s' "$what"
    if "$@" >"$log" 2>&1; then
        printf '%4d s\n' "$(($(date +%s) - started))"
    else
        printf 'stopped\n'
        tail -n 15 "$log" >&2
        fail "“$what” did not work. $(disk_hint)The whole output is in $log."
    fi
}

disk_hint() {
    local free
    free=$(df -Pk "$SEAM_VAR" 2>/dev/null | awk 'NR==2 {print $4}')
    [ -n "$free" ] && [ "$free" -lt 300000 ] && printf 'The disk is nearly full (%s MB free). ' "$((free / 1024))"
    return 0
}

need_disk() {
    local free
    mkdir -p "$SEAM_VAR" 2>/dev/null || fail "the folder $SEAM_VAR cannot be written."
    free=$(df -Pk "$SEAM_VAR" | awk 'NR==2 {print $4}')
    [ "$free" -ge 200000 ] || fail "only $((free / 1024)) MB are free on the disk; it needs 200 MB."
}

# stamped NAME KEY command...: runs only when KEY changed since it last worked.
stamped() {
    local stamp="$ROOT/var/stamps/$1" key=$2
    shift 2
    [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$key" ] && return 0
    "$@"
    mkdir -p "$(dirname "$stamp")"
    printf '%s' "$key" >"$stamp"
}

digest() { cat "$@" 2>/dev/null | sha256sum | cut -c1-32; }

tree_digest() { (cd "$ROOT" && find "$@" -type f -print0 2>/dev/null | sort -z | xargs -0 sha256sum | sha256sum | cut -c1-32); }

is_root() { [ "$(id -u)" -eq 0 ]; }

port_taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

free_port() {
    php -r '$s = stream_socket_server("tcp://127.0.0.1:0"); echo substr(strrchr(stream_socket_get_name($s, false), ":"), 1);'
}

artisan() { php "$ROOT/artisan" "$@"; }
