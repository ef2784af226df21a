# What nginx and php-fpm are told: both run as one unprivileged account and meet at a socket only it can reach.
# No log holds an address, a token, a name or a browser: none of requests is written, and of errors only those of the servers themselves.

# A database that was killed can leave a connection half open: a request gives up on it before it is ended itself, and asks anew.
write_web_settings() {
    cat >"$WEB/fpm.conf" <<TEXT
[global]
pid = $WEB/run/fpm.pid
error_log = $WEB/run/php.log
log_level = warning
daemonize = no
[open-seam]
listen = $WEB/run/fpm.sock
listen.mode = 0660
pm = static
pm.max_children = $(workers)
pm.max_requests = 2000
request_terminate_timeout = 20s
clear_env = no
catch_workers_output = no
php_admin_value[memory_limit] = 256M
php_admin_value[max_execution_time] = 10
php_admin_value[mysqlnd.net_read_timeout] = 4
php_admin_value[post_max_size] = 16M
php_admin_value[expose_php] = 0
php_admin_value[display_errors] = 0
php_admin_value[log_errors] = 0
php_admin_value[zend.exception_ignore_args] = 1
TEXT
    local at="127.0.0.1:$SEAM_PORT" tls=""
    local listen=${SEAM_LISTEN:-$(setting SEAM_LISTEN)}
    # Besides this machine's own: where a balancer on another one asks.
    [ -z "$listen" ] || at="$at;
        listen $listen"
    if [ "${SEAM_NETWORK:-}" = yes ]; then
        tls="listen 0.0.0.0:$SEAM_TLS_PORT ssl;
        ssl_certificate $SEAM_VAR/tls/server.pem;
        ssl_certificate_key $SEAM_VAR/tls/server.key;
        ssl_protocols TLSv1.2 TLSv1.3;
        ssl_session_cache shared:tls:2m;"
    fi
    cat >"$WEB/nginx.conf" <<TEXT
worker_processes 1;
pid $WEB/run/nginx.pid;
daemon off;
error_log stderr alert;
events { worker_connections 512; }
http {
    include /etc/nginx/mime.types;
    types { application/manifest+json webmanifest; }
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
        listen $at;
        $tls
        server_name _;
        root $CODE/public;
        location /build/ {
            add_header Cache-Control "public, max-age=31536000, immutable";
            add_header X-Content-Type-Options nosniff;
            try_files \$uri =404;
        }
        error_page 413 =413 @too-large;
        location @too-large {
            default_type application/json;
            return 413 '{"error":{"field":"(body)","got":null,"message":"This is too much at once: at most 2048 kB can be sent.","kept":"Nothing was stored; what you typed is still on the screen."}}';
        }
        # A calculation that took too long, or a server that is just coming back.
        error_page 502 503 504 =503 @busy;
        location @busy {
            default_type application/json;
            add_header Retry-After 5 always;
            return 503 '{"error":{"field":"(server)","got":null,"message":"Open Seam is busy or just coming back. It tries again by itself; ask for less at once if this stays.","kept":"Nothing was stored; what you typed is still on the screen."}}';
        }
        # Whoever trusts it once on a device sees no warning any more.
        location = /open-seam-authority.crt {
            default_type application/x-x509-ca-cert;
            alias $SEAM_VAR/tls/authority.pem;
        }
        location = /favicon.svg { try_files \$uri =404; }
        # What an installed application is; the worker is asked for anew each time, so that a new version is seen.
        location ~ ^/(sw\.js|manifest\.webmanifest|icons/[a-z0-9-]+\.png)\$ {
            add_header Cache-Control no-cache;
            add_header X-Content-Type-Options nosniff;
            try_files \$uri =404;
        }
        location / {
            include /etc/nginx/fastcgi_params;
            fastcgi_param HTTP_HOST \$http_host;
            fastcgi_param SCRIPT_FILENAME $CODE/public/index.php;
            fastcgi_param SCRIPT_NAME /index.php;
            fastcgi_read_timeout 25s;
            fastcgi_pass unix:$WEB/run/fpm.sock;
        }
    }
}
TEXT
    is_root && chown "$(web_account):" "$WEB/fpm.conf" "$WEB/nginx.conf"
    return 0
}

# One request with PHP alone: curl may not be on the machine.
curl_code() {
    php -r '$c = stream_context_create(["http" => ["timeout" => 5, "ignore_errors" => true]]); @file_get_contents($argv[1], false, $c); echo isset($http_response_header[0]) ? explode(" ", $http_response_header[0])[1] : "000";' "$1" 2>/dev/null
}
