# What a bare machine lacks: Debian packages, Composer packages, npm packages, the built front end.

RUN_PACKAGES="mariadb-server php8.2-cli php8.2-mysql php8.2-mbstring php8.2-xml php8.2-intl php8.2-gd php8.2-zip php8.2-curl php8.2-fpm nginx-light supervisor logrotate openssl"
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
    command -v composer >/dev/null || fail "Composer is missing. Install it once with: apt-get install -y composer"
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

node_packages() {
    command -v npm >/dev/null || fail "node and npm are missing. Install node 20 or newer with npm."
    if [ ! -d "$ROOT/node_modules" ]; then rm -f "$ROOT/var/stamps/npm"; fi
    stamped npm "$(digest "$ROOT/package-lock.json" "$ROOT/package.json")" \
        step "npm packages" npm --prefix "$ROOT" ci --no-audit --no-fund
}

front_end() {
    if [ ! -f "$ROOT/public/build/manifest.json" ]; then rm -f "$ROOT/var/stamps/front"; fi
    stamped front "$(tree_digest resources lang package-lock.json vite.config.ts tsconfig.json)" \
        step "Front end" npm --prefix "$ROOT" run build
}
