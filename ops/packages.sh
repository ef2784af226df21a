# What a bare machine lacks: Debian packages, Composer packages, npm packages, the built front end.

RUN_PACKAGES="ca-certificates procps mariadb-server php8.2-cli php8.2-mysql php8.2-mbstring php8.2-xml php8.2-intl php8.2-gd php8.2-zip php8.2-curl php8.2-apcu php8.2-fpm nginx-light supervisor logrotate openssl"
TEST_PACKAGES="chromium chromium-driver poppler-utils glpk-utils"

missing_packages() {
    local missing=() package
    for package in "$@"; do
        [ "$package" = nginx-light ] && dpkg-query -W -f='${Status}\n' nginx-core nginx-full nginx-extras nginx 2>/dev/null | grep -q 'ok installed' && continue
        dpkg-query -W -f='${Status}' "$package" 2>/dev/null | grep -q 'ok installed' || missing+=("$package")
    done
    printf '%s' "${missing[*]:-}"
}

debian_packages() {
    local missing
    missing=$(missing_packages "$@")
    [ -z "$missing" ] && return 0
    is_root || fail "these Debian packages are missing: $missing. Install them once with: sudo apt-get update && sudo apt-get install -y --no-install-recommends $missing"
    # shellcheck disable=SC2086
    step "Debian packages: $(wc -w <<<"$missing") missing" apt_install $missing
}

apt_install() {
    apt-get update -q
    # Servers must not start by themselves; Open Seam runs its own, on loopback.
    DEBIAN_FRONTEND=noninteractive RUNLEVEL=1 apt-get install -y -q --no-install-recommends "$@"
}

# php_packages [development]: exactly the versions that were tested; those for development only where they are needed.
php_packages() {
    # A calculation alone (./seam compute) asks for no more than this.
    command -v php >/dev/null || debian_packages php8.2-cli php8.2-mbstring php8.2-xml php8.2-intl php8.2-zip php8.2-curl
    command -v composer >/dev/null || debian_packages composer
    local key
    key=$(digest "$ROOT"/composer.json "$ROOT"/core/composer.json "$ROOT"/packages/*/composer.json "$ROOT"/ops/composer-versions.txt)
    [ -f "$ROOT/vendor/autoload.php" ] || rm -f "$ROOT/var/stamps/composer"
    # Whoever has them all has enough.
    [ "$(cat "$ROOT/var/stamps/composer" 2>/dev/null)" != "$key development" ] || return 0
    stamped composer "$key${1:+ $1}" step "Composer packages" composer_packages "${1:-}"
}

composer_packages() {
    local versions=() name version only=()
    while read -r name version; do
        case "$name" in '' | '#'*) ;; *) versions+=(--with "$name:$version") ;; esac
    done <"$ROOT/ops/composer-versions.txt"
    [ "$1" = development ] || only=(--no-dev)
    if ! composer --working-dir="$ROOT" update --no-interaction --no-progress "${only[@]}" "${versions[@]}"; then
        echo "WARNING: not all of the tested versions can be had here; the nearest that fit are taken instead." | tee "$SEAM_VAR/log/versions.txt"
        composer --working-dir="$ROOT" update --no-interaction --no-progress "${only[@]}" || return 1
    else
        rm -f "$SEAM_VAR/log/versions.txt"
    fi
    # Some packages come closed to everybody else; the services read them.
    chmod -R a+rX "$ROOT/vendor"
}

# The front end is built with node 20.19 or newer. Where Debian's own is older, the npm registry has one that is not, for
# this checkout alone.
NODE_MAJOR=22
NODE_DIR=$ROOT/var/node

node_is_new() { command -v npm >/dev/null && node -e 'const [a, b] = process.versions.node.split(".").map(Number); process.exit(a > 22 || (a === 22 && b >= 12) || (a === 20 && b >= 19) ? 0 : 1)' 2>/dev/null; }

node_itself() {
    [ ! -x "$NODE_DIR/node_modules/.bin/npm" ] || export PATH="$NODE_DIR/bin:$NODE_DIR/node_modules/.bin:$PATH"
    node_is_new && return 0
    # Some distributions' node brings npm along and refuses a second one.
    command -v node >/dev/null || debian_packages nodejs
    command -v npm >/dev/null || debian_packages npm
    node_is_new && return 0
    step "node $NODE_MAJOR" own_node
    export PATH="$NODE_DIR/bin:$NODE_DIR/node_modules/.bin:$PATH"
    node_is_new || fail "node $(node --version) is too old: 20.19 or newer is needed."
}

own_node() {
    local kind
    case "$(uname -m)" in aarch64 | arm64) kind=arm64 ;; *) kind=x64 ;; esac
    npm install --prefix "$NODE_DIR" --no-audit --no-fund --no-save "node-linux-$kind@$NODE_MAJOR" npm@11
    mkdir -p "$NODE_DIR/bin"
    ln -sf "../node_modules/node-linux-$kind/bin/node" "$NODE_DIR/bin/node"
}

node_packages() {
    node_itself
    if [ ! -d "$ROOT/node_modules" ]; then rm -f "$ROOT/var/stamps/npm"; fi
    stamped npm "$(digest "$ROOT/package-lock.json" "$ROOT/package.json")" \
        step "npm packages" npm --prefix "$ROOT" ci --no-audit --no-fund
}

front_end() {
    node_itself
    if [ ! -f "$ROOT/public/build/manifest.json" ] || [ ! -f "$ROOT/public/sw.js" ]; then rm -f "$ROOT/var/stamps/front"; fi
    stamped front "$(tree_digest resources lang package-lock.json vite.config.ts tsconfig.json)" \
        step "Front end" npm --prefix "$ROOT" run build
}
