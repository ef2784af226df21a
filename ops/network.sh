# The workroom's own network over HTTPS: a small authority of this machine's own, kept for years, and a
# certificate by it for the names and addresses the machine has today; or files that were given.

TLS_DAYS=397

network_names() {
    local name
    name=$(hostname 2>/dev/null || cat /proc/sys/kernel/hostname)
    printf '%s\n%s.local\n' "$name" "$name"
    [ -z "${SEAM_HOSTS:-}" ] || tr ',' '\n' <<<"$SEAM_HOSTS"
}

# Addresses of this machine in its own network, without loopback.
network_addresses() { php -r 'foreach (net_get_interfaces() as $name => $i) { foreach ($i["unicast"] ?? [] as $u) { $a = $u["address"] ?? ""; if (($i["up"] ?? false) && filter_var($a, FILTER_VALIDATE_IP, FILTER_FLAG_IPV4) && !str_starts_with($a, "127.")) echo $a, "\n"; } }' | sort -u; }

make_certificate() {
    local tls="$SEAM_VAR/tls" names addresses wanted
    mkdir -p "$tls"
    chmod 700 "$tls"
    if [ -n "${SEAM_TLS_CERT:-}" ]; then
        [ -r "${SEAM_TLS_KEY:-}" ] && [ -r "$SEAM_TLS_CERT" ] || fail "the certificate $SEAM_TLS_CERT or its key ${SEAM_TLS_KEY:-(SEAM_TLS_KEY is not set)} cannot be read."
        cp "$SEAM_TLS_CERT" "$tls/server.pem"
        cp "$SEAM_TLS_KEY" "$tls/server.key"
    else
        if [ ! -s "$tls/authority.key" ]; then
            (umask 077 && openssl req -x509 -newkey ec -pkeyopt ec_paramgen_curve:prime256v1 -nodes -days 3650 -subj "/CN=Open Seam of $(hostname 2>/dev/null || echo this machine)" \
                -addext "basicConstraints=critical,CA:TRUE,pathlen:0" -addext "keyUsage=critical,keyCertSign" -keyout "$tls/authority.key" -out "$tls/authority.pem" 2>/dev/null) \
                || fail "the certificate authority of this machine could not be made."
        fi
        names=$(network_names | sed 's/^/DNS:/')
        addresses=$(network_addresses | sed 's/^/IP:/')
        wanted=$(printf '%s\n' DNS:localhost IP:127.0.0.1 "$names" "$addresses" | grep ':.' | sort -u | paste -sd,)
        if [ "$(cat "$tls/names" 2>/dev/null)" != "$wanted" ] || ! openssl x509 -checkend 2592000 -noout -in "$tls/server.pem" >/dev/null 2>&1; then
            (
                umask 077
                openssl req -newkey ec -pkeyopt ec_paramgen_curve:prime256v1 -nodes -subj "/CN=Open Seam" -keyout "$tls/server.key" -out "$tls/server.csr" 2>/dev/null
                printf 'subjectAltName=%s\nextendedKeyUsage=serverAuth\nbasicConstraints=CA:FALSE\n' "$wanted" >"$tls/server.ext"
                openssl x509 -req -in "$tls/server.csr" -CA "$tls/authority.pem" -CAkey "$tls/authority.key" -CAcreateserial -days "$TLS_DAYS" -extfile "$tls/server.ext" -out "$tls/leaf.pem" 2>/dev/null
                cat "$tls/leaf.pem" "$tls/authority.pem" >"$tls/server.pem"
            ) || fail "the certificate for this machine's names could not be made."
            printf '%s' "$wanted" >"$tls/names"
        fi
    fi
    chmod 600 "$tls"/*.key
    if is_root; then
        chown "$(web_account):" "$tls" "$tls"/*.pem "$tls/server.key"
        [ ! -f "$tls/authority.key" ] || chown root: "$tls/authority.key"
    fi
}

# Decides how it is reached before the settings are written.
settle_network() {
    SEAM_NETWORK=${SEAM_NETWORK:-$(setting SEAM_NETWORK)}
    [ "$SEAM_NETWORK" = yes ] || return 0
    # Set for once before the command, or for good among the settings.
    SEAM_HOSTS=${SEAM_HOSTS:-$(setting SEAM_HOSTS)} SEAM_TLS_PORT=${SEAM_TLS_PORT:-$(setting SEAM_TLS_PORT)}
    SEAM_TLS_CERT=${SEAM_TLS_CERT:-$(setting SEAM_TLS_CERT)} SEAM_TLS_KEY=${SEAM_TLS_KEY:-$(setting SEAM_TLS_KEY)}
    SEAM_TLS_PORT=${SEAM_TLS_PORT:-8443}
    port_taken "$SEAM_TLS_PORT" && ! supervisor_runs && fail "port $SEAM_TLS_PORT, which the network needs, is taken by another program. Choose another with SEAM_TLS_PORT=…"
    make_certificate
    local first
    first=$(network_addresses | head -n 1)
    SEAM_HOSTS=$({ network_names; network_addresses; } | sort -u | paste -sd,)
    SEAM_OWN_AUTHORITY=false
    if [ -z "${SEAM_URL:-$(setting SEAM_URL)}" ]; then
        APP_URL="https://${first:-localhost}:$SEAM_TLS_PORT"
        [ -n "${SEAM_TLS_CERT:-}" ] || SEAM_OWN_AUTHORITY=true
    fi
    export SEAM_HOSTS SEAM_TLS_PORT SEAM_OWN_AUTHORITY APP_URL
}
