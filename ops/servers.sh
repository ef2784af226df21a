# The private database and web servers, on loopback only, all of their files under $SEAM_VAR.

DB="$SEAM_VAR/db"
WEB="$SEAM_VAR/web"

write_settings() {
    mkdir -p "$SEAM_VAR"/{cache,log,storage/framework/{cache,sessions,views},storage/logs,storage/app}
    if [ ! -f "$SEAM_VAR/.env" ]; then
        (
            umask 077
            cat >"$SEAM_VAR/.env" <<TEXT
APP_NAME="Open Seam"
APP_ENV=${SEAM_ENV:-production}
APP_KEY=base64:$(head -c 32 /dev/urandom | base64)
APP_DEBUG=false
DB_CONNECTION=mariadb
DB_HOST=127.0.0.1
DB_DATABASE=open_seam
DB_USERNAME=open_seam
DB_PASSWORD=$(head -c 18 /dev/urandom | base64 | tr -d '/+=')
TEXT
        )
    fi
    export APP_URL="http://127.0.0.1:$SEAM_PORT" DB_PORT="$SEAM_DB_PORT"
}

setting() { sed -n "s/^$1=//p" "$SEAM_VAR/.env"; }

# A process that has ended and was not cleared away yet does not count.
alive() { [ -f "$1" ] && kill -0 "$(cat "$1")" 2>/dev/null && ! grep -qs '^State:[[:space:]]*Z' "/proc/$(cat "$1")/status"; }

# The account the database server runs as: mysql where it can reach the folder, else whoever starts it.
db_account() {
    if is_root && id mysql >/dev/null 2>&1 && runuser -u mysql -- test -x "$SEAM_VAR"; then echo mysql; else id -un; fi
}

start_database() {
    local account
    account=$(db_account)
    alive "$DB/run/my.pid" && mariadb_as_root -e 'SELECT 1' >/dev/null 2>&1 && database_account && return 0
    mkdir -p "$DB/run"
    chmod 755 "$SEAM_VAR" "$DB" "$DB/run"
    if [ ! -d "$DB/data/mysql" ]; then
        rm -rf "$DB/data"
        is_root && chown "$account" "$DB" "$DB/run"
        step "New database" mariadb-install-db --no-defaults --user="$account" --datadir="$DB/data" \
            --auth-root-authentication-method=socket --auth-root-socket-user="$account" --skip-test-db
    fi
    is_root && chown "$account" "$DB" "$DB/run"
    port_taken "$SEAM_DB_PORT" && fail "port $SEAM_DB_PORT, which the database needs, is taken by another program. Choose another with SEAM_DB_PORT=… ./seam start"
    setsid mariadbd --no-defaults --user="$account" --datadir="$DB/data" --socket="$DB/run/my.sock" --pid-file="$DB/run/my.pid" \
        --bind-address=127.0.0.1 --port="$SEAM_DB_PORT" --skip-name-resolve --character-set-server=utf8mb4 \
        --collation-server=utf8mb4_unicode_ci --innodb-buffer-pool-size=128M --log-error="$DB/run/err.log" \
        </dev/null >/dev/null 2>&1 &
    for _ in $(seq 1 150); do
        mariadb_as_root -e 'SELECT 1' >/dev/null 2>&1 && break
        sleep 0.1
    done
    mariadb_as_root -e 'SELECT 1' >/dev/null 2>&1 || fail "the database did not come up within 15 s. $(disk_hint)Its own words: $(tail -n 2 "$DB/run/err.log" 2>/dev/null | tr '\n' ' ')"
    database_account
}

# Each time: a first start may have been cut short.
database_account() {
    local name user password
    name=$(setting DB_DATABASE) user=$(setting DB_USERNAME) password=$(setting DB_PASSWORD)
    mariadb_as_root <<SQL
CREATE DATABASE IF NOT EXISTS \`$name\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
CREATE USER IF NOT EXISTS '$user'@'127.0.0.1' IDENTIFIED BY '$password';
GRANT ALL ON \`$name\`.* TO '$user'@'127.0.0.1';
SQL
}

# The database's all-powerful account has the name of the operating system account
# it runs as, and is open to that one only.
mariadb_as_root() {
    local account
    account=$(db_account)
    local command=(mariadb --no-defaults --socket="$DB/run/my.sock" --user="$account")
    [ "$account" != "$(id -un)" ] && command=(runuser -u "$account" -- "${command[@]}")
    "${command[@]}" "$@"
}

mariadb_dump() {
    local account
    account=$(db_account)
    local command=(mariadb-dump --no-defaults --socket="$DB/run/my.sock" --user="$account" --single-transaction --triggers --ignore-table="$(setting DB_DATABASE).sessions" "$(setting DB_DATABASE)")
    [ "$account" != "$(id -un)" ] && command=(runuser -u "$account" -- "${command[@]}")
    "${command[@]}"
}

write_web_settings() {
    mkdir -p "$WEB"/{run,tmp}
    cat >"$WEB/fpm.conf" <<TEXT
[global]
pid = $WEB/run/fpm.pid
error_log = $SEAM_VAR/log/fpm.log
daemonize = no
[open-seam]
listen = $WEB/run/fpm.sock
listen.mode = 0666
$(is_root && printf 'user = root\ngroup = root\n')
pm = static
pm.max_children = 4
pm.max_requests = 2000
clear_env = no
catch_workers_output = yes
php_admin_value[memory_limit] = 128M
php_admin_value[post_max_size] = 16M
php_admin_value[expose_php] = 0
TEXT
    cat >"$WEB/nginx.conf" <<TEXT
$(is_root && echo 'user root;')
worker_processes 1;
pid $WEB/run/nginx.pid;
daemon off;
error_log $SEAM_VAR/log/nginx.log warn;
events { worker_connections 256; }
http {
    include /etc/nginx/mime.types;
    access_log off;
    server_tokens off;
    client_max_body_size 4m;
    client_body_temp_path $WEB/tmp/body;
    fastcgi_temp_path $WEB/tmp/fastcgi;
    proxy_temp_path $WEB/tmp/proxy;
    uwsgi_temp_path $WEB/tmp/uwsgi;
    scgi_temp_path $WEB/tmp/scgi;
    gzip on;
    gzip_types text/css application/javascript application/json image/svg+xml;
    gzip_min_length 1000;
    server {
        listen 127.0.0.1:$SEAM_PORT;
        server_name localhost;
        root $ROOT/public;
        location /build/ {
            add_header Cache-Control "public, max-age=31536000, immutable";
            add_header X-Content-Type-Options nosniff;
            try_files \$uri =404;
        }
        error_page 413 @too-large;
        location @too-large {
            default_type application/json;
            return 413 '{"error":{"field":"(body)","got":null,"message":"This is too much at once: at most 2048 kB can be sent.","kept":"Nothing was stored; what you typed is still on the screen."}}';
        }
        location = /favicon.svg { try_files \$uri =404; }
        location / {
            include /etc/nginx/fastcgi_params;
            fastcgi_param HTTP_HOST \$host:\$server_port;
            fastcgi_param SCRIPT_FILENAME $ROOT/public/index.php;
            fastcgi_param SCRIPT_NAME /index.php;
            fastcgi_pass unix:$WEB/run/fpm.sock;
        }
    }
}
TEXT
}

start_web() {
    write_web_settings
    if alive "$WEB/run/fpm.pid" && alive "$WEB/run/nginx.pid"; then
        # The code cache does not look at the files again by itself.
        kill -USR2 "$(cat "$WEB/run/fpm.pid")"
        kill -HUP "$(cat "$WEB/run/nginx.pid")"
        sleep 0.3
    else
        stop_web
        port_taken "$SEAM_PORT" && fail "port $SEAM_PORT is taken by another program. Choose another with SEAM_PORT=… ./seam start"
        local as_root=()
        is_root && as_root=(-R)
        setsid "$(command -v php-fpm8.2 || echo /usr/sbin/php-fpm8.2)" --nodaemonize "${as_root[@]}" -d opcache.enable=1 -d opcache.validate_timestamps=0 -y "$WEB/fpm.conf" </dev/null >/dev/null 2>&1 &
        setsid "$(command -v nginx || echo /usr/sbin/nginx)" -p "$WEB" -e "$SEAM_VAR/log/nginx.log" -c "$WEB/nginx.conf" </dev/null >/dev/null 2>&1 &
    fi
    for _ in $(seq 1 100); do
        [ "$(curl_code "http://127.0.0.1:$SEAM_PORT/up")" = 200 ] && return 0
        sleep 0.1
    done
    fail "the web server did not answer within 10 s. $(disk_hint)See $SEAM_VAR/log/ for what it said."
}

# One request with PHP alone: curl may not be on the machine.
curl_code() {
    php -r '$c = stream_context_create(["http" => ["timeout" => 5, "ignore_errors" => true]]); @file_get_contents($argv[1], false, $c); echo isset($http_response_header[0]) ? explode(" ", $http_response_header[0])[1] : "000";' "$1" 2>/dev/null
}

stop_one() {
    if alive "$1"; then
        local pid
        pid=$(cat "$1")
        kill -"${2:-TERM}" "$pid" 2>/dev/null || true
        for _ in $(seq 1 200); do
            kill -0 "$pid" 2>/dev/null || break
            sleep 0.1
        done
    fi
    rm -f "$1"
}

stop_web() {
    stop_one "$WEB/run/nginx.pid" QUIT
    stop_one "$WEB/run/fpm.pid" QUIT
    rm -f "$WEB/run/fpm.sock"
}

stop_database() { stop_one "$DB/run/my.pid"; }

prepare_application() {
    mkdir -p "$SEAM_VAR/cache"
    rm -f "$SEAM_VAR"/cache/*.php
    step "Database tables" artisan migrate --force
    artisan seam:cache-curriculum >/dev/null || fail "the course bundle in curriculum/ is not right; see the message above."
    artisan config:cache >/dev/null
    artisan route:cache >/dev/null
}
