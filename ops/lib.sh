# Shared by all commands: where things are, one clear sentence on trouble, timed steps.

: "${SEAM_VAR:=$ROOT/var}"
: "${SEAM_PORT:=8377}"
: "${SEAM_DB_PORT:=33877}"
# The code that is served: the checkout itself, or a copy of it where the services can read it (see place.sh).
CODE=$ROOT
# The code is for every account of the machine to read; folders of data are closed where they are made.
umask 022
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
    mkdir -p "$SEAM_VAR/log" 2>/dev/null || fail "the folder $SEAM_VAR/log cannot be written."
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
    local free probe="$SEAM_VAR/.writable.$$"
    mkdir -p "$SEAM_VAR" 2>/dev/null || fail "the folder $SEAM_VAR cannot be made. Choose another with SEAM_VAR=…, or give it to whoever starts Open Seam."
    free=$(df -Pk "$SEAM_VAR" | awk 'NR==2 {print $4}')
    [ "$free" -ge 200000 ] || fail "only $((free / 1024)) MB are free on the disk of $SEAM_VAR; it needs 200 MB. All data are safe: make room, then start again."
    (: >"$probe") 2>/dev/null || fail "the folder $SEAM_VAR cannot be written: it is read-only, or belongs to somebody else."
    rm -f "$probe"
}

# Only one of these at a time: a second one waits for the first.
only_one() {
    exec 9>"$SEAM_VAR/.lock" || fail "the folder $SEAM_VAR cannot be written."
    flock -n 9 && return 0
    say "  Another ./seam is at work here; waiting for it …"
    flock -w 300 9 || fail "another ./seam has been at work in $SEAM_VAR for five minutes. See what it does, end it, then try again."
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

# Before anything is installed too: no program but the shell.
free_port() {
    local port
    while port=$((20000 + (RANDOM * 32768 + RANDOM) % 12000)); do
        port_taken "$port" || break
    done
    printf '%s' "$port"
}
