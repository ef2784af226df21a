# Who runs what, and where it lies. Nothing that answers a request is root: as root, the services run as
# accounts of their own that can do nothing else; as an ordinary user, everything runs as that user.

WEB_ACCOUNT=open-seam
DB_ACCOUNT=mysql
# Where a system keeps data of its services.
SYSTEM_PLACE=/var/lib/open-seam

web_account() { if is_root; then echo "$WEB_ACCOUNT"; else id -un; fi; }
db_account() { if is_root; then echo "$DB_ACCOUNT"; else id -un; fi; }

as_account() {
    local account=$1
    shift
    if is_root && [ "$account" != root ]; then runuser -u "$account" -- "$@"; else "$@"; fi
}

as_web() { as_account "$(web_account)" "$@"; }

ensure_account() {
    is_root || return 0
    id "$WEB_ACCOUNT" >/dev/null 2>&1 && return 0
    useradd --system --user-group --no-create-home --home-dir /nonexistent --shell /usr/sbin/nologin "$WEB_ACCOUNT" \
        || fail "the account $WEB_ACCOUNT, which the services run as, could not be made."
}

# What is served and what starts the services.
SERVED="artisan app bootstrap composer.json config core curriculum database docs/formats lang ops packages public resources routes vendor"

# May the account read the whole code?
reads() {
    as_account "$1" test -x "$2" 2>/dev/null || return 1
    # shellcheck disable=SC2086
    (cd "$2" && closed=$(as_account "$1" find $SERVED ! -readable -print -quit 2>/dev/null) && [ -z "$closed" ])
}

# Settles CODE and SEAM_VAR before anything is written.
settle_place() {
    is_root || return 0
    ensure_account
    local key moved above
    key=$(printf '%s' "$ROOT" | sha256sum | cut -c1-12)
    # What of the way there exists already; the rest is made.
    above=$(dirname "$SEAM_VAR")
    until [ -d "$above" ]; do above=$(dirname "$above"); done
    if ! as_web test -x "$above" 2>/dev/null; then
        [[ "$SEAM_VAR/" == "$ROOT/var/"* ]] || fail "the account $WEB_ACCOUNT cannot reach $SEAM_VAR. Choose a folder that others may pass through."
        moved="$SYSTEM_PLACE/$key/${SEAM_VAR#"$ROOT/"}"
        mkdir -p "$SYSTEM_PLACE/$key"
        chmod 711 "$SYSTEM_PLACE" "$SYSTEM_PLACE/$key"
        # Data of an earlier version lay in the checkout.
        if [ -d "$SEAM_VAR/db" ] && [ ! -d "$moved/db" ]; then
            mkdir -p "$moved"
            mv "$SEAM_VAR/db" "$moved/db"
            [ -f "$SEAM_VAR/.env" ] && mv "$SEAM_VAR/.env" "$moved/.env"
        fi
        SEAM_VAR=$moved
        say "  The services may not read $ROOT: the data lie in $SEAM_VAR."
    fi
}

# The code as the services read it; a copy where they may not read the checkout.
settle_code() {
    is_root || return 0
    reads "$WEB_ACCOUNT" "$ROOT" && return 0
    local key target
    key=$(printf '%s' "$ROOT" | sha256sum | cut -c1-12)
    target="$SYSTEM_PLACE/$key/code"
    mkdir -p "$SYSTEM_PLACE/$key"
    chmod 711 "$SYSTEM_PLACE" "$SYSTEM_PLACE/$key"
    if [ "$(cat "$target/.from" 2>/dev/null)" != "$(code_key)" ]; then
        rm -rf "$target.new"
        mkdir -p "$target.new"
        (cd "$ROOT" && cp -a --parents $SERVED "$target.new/")
        code_key >"$target.new/.from"
        # Nothing of the code is secret; the database's account starts from it too.
        chmod -R u+rwX,go+rX,go-w "$target.new"
        rm -rf "$target.old"
        [ -d "$target" ] && mv "$target" "$target.old"
        mv "$target.new" "$target"
        rm -rf "$target.old"
    fi
    CODE=$target
    say "  The services may not read $ROOT: the code is served from a copy in $CODE."
}

# Changes with every file of the code, by size and time.
code_key() { (cd "$ROOT" && find $SERVED -printf '%p %s %T@\n' 2>/dev/null | sort | sha256sum | cut -c1-32); }

# Folders with nobody's access but those who need it.
make_folders() {
    local web db
    web=$(web_account) db=$(db_account)
    mkdir -p "$SEAM_VAR"/{cache,log,run,backups,tmp,mail} "$SEAM_VAR"/storage/{framework/{cache,sessions,views},logs,app} "$SEAM_VAR"/db/run "$SEAM_VAR"/web/{run,tmp} \
        || fail "the folder $SEAM_VAR cannot be written."
    chmod 711 "$SEAM_VAR" "$SEAM_VAR/db"
    chmod 700 "$SEAM_VAR"/{log,run,cache,backups,tmp,mail,storage,web} "$SEAM_VAR/db/run"
    if is_root; then
        chown -R "$web:" "$SEAM_VAR"/{cache,backups,tmp,mail,storage,web}
        chown "$db:" "$SEAM_VAR/db" "$SEAM_VAR/db/run"
        chown root: "$SEAM_VAR" "$SEAM_VAR"/{log,run}
        [ -f "$SEAM_VAR/.env" ] && chown "$web:" "$SEAM_VAR/.env"
    fi
    [ ! -f "$SEAM_VAR/.env" ] || chmod 600 "$SEAM_VAR/.env"
    [ "${#SEAM_VAR}" -le 80 ] || fail "the path $SEAM_VAR is too long for the sockets of the services: at most 80 letters. Choose a shorter one with SEAM_VAR=…"
}

artisan() { (umask 077 && as_web php "$CODE/artisan" "$@"); }
