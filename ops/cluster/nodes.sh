# What each machine of the cluster is told: secrets all of them share, settings filled into ops/cluster/templates, programs.

CLUSTER_PACKAGES="galera-4 mariadb-backup socat redis-server haproxy iproute2"
FRONT_PORT=8080
GALERA_PROVIDER=/usr/lib/galera/libgalera_smm.so

secret() { sed -n "s/^$1=//p" "$SEAM_VAR/secrets"; }

make_secrets() {
    [ -s "$SEAM_VAR/secrets" ] && return 0
    (
        umask 077
        printf 'APP_KEY=base64:%s\n' "$(head -c 32 /dev/urandom | base64)"
        for name in DB_PASSWORD COPY_PASSWORD CHECK_PASSWORD REDIS_PASSWORD METRICS_TOKEN; do printf '%s=%s\n' "$name" "$(random_word)"; done
    ) >"$SEAM_VAR/secrets.new"
    mv "$SEAM_VAR/secrets.new" "$SEAM_VAR/secrets"
}

# fill TEMPLATE NODE FILE OWNER: nobody but its owner reads what holds a password.
fill() {
    local template=$1 node=$2 file=$3 owner=$4 name
    local words=(-e "s|@NAME@|$node|g" -e "s|@ADDRESS@|$(address "$node")|g" -e "s|@FOLDER@|$SEAM_VAR/$node|g" -e "s|@PORT@|$FRONT_PORT|g"
        -e "s|@PROVIDER@|$GALERA_PROVIDER|g" -e "s|@BUFFER@|${SEAM_DB_BUFFER:-128M}|g" -e "s|@GCACHE@|${SEAM_DB_GCACHE:-128M}|g")
    for name in COPY_PASSWORD CHECK_PASSWORD REDIS_PASSWORD; do words+=(-e "s|@$name@|$(secret "$name")|g"); done
    for name in $(cluster_names); do words+=(-e "s|@${name^^}@|$(address "$name")|g"); done
    (umask 077 && sed "${words[@]}" "$ROOT/ops/cluster/templates/$template" >"$file.new")
    ! is_root || chown "$owner:" "$file.new"
    mv "$file.new" "$file"
}

# node_folder NAME OWNER
node_folder() {
    mkdir -p "$SEAM_VAR/$1"/{data,run}
    chmod 711 "$SEAM_VAR/$1"
    chmod 700 "$SEAM_VAR/$1"/{data,run}
    ! is_root || chown -R "$2:" "$SEAM_VAR/$1"
}

write_nodes() {
    local node web db
    web=$(web_account) db=$(db_account)
    for node in db1 db2 db3; do
        node_folder "$node" "$db"
        fill database.cnf "$node" "$SEAM_VAR/$node/my.cnf" "$db"
    done
    for node in redis front; do node_folder "$node" "$web"; done
    fill redis.conf redis "$SEAM_VAR/redis/redis.conf" "$web"
    fill front.cfg front "$SEAM_VAR/front/front.cfg" "$web"
    for node in web1 web2; do
        node_folder "$node-door" "$web"
        fill web-door.cfg "$node" "$SEAM_VAR/$node-door/door.cfg" "$web"
        fill check.cnf "$node" "$SEAM_VAR/$node-door/check.cnf" "$web"
        fill is-synced.sh "$node" "$SEAM_VAR/$node-door/is-synced.sh" "$web"
        sed -i "s|$SEAM_VAR/$node/|$SEAM_VAR/$node-door/|g" "$SEAM_VAR/$node-door"/{door.cfg,is-synced.sh}
        chmod 700 "$SEAM_VAR/$node-door/is-synced.sh"
        web_node_settings "$node"
    done
}

# The settings of a web node, as they would stand in its var/.env on a machine of its own.
web_node_settings() {
    local node=$1 folder="$SEAM_VAR/$1"
    mkdir -p "$folder"
    (umask 077 && cat >"$folder/.env.new") <<TEXT
APP_NAME="Open Seam"
APP_ENV=production
APP_KEY=$(secret APP_KEY)
APP_DEBUG=false
SEAM_NODE=$node
SEAM_DATABASE=elsewhere
DB_CONNECTION=mariadb
DB_HOST=$(address "$node")
DB_PORT=3306
DB_DATABASE=$(cat "$SEAM_VAR/database")
DB_USERNAME=open_seam
DB_PASSWORD=$(secret DB_PASSWORD)
SEAM_DB_READ=$(address "$node"):3307
SEAM_REDIS=$(address "$node"):6379
SEAM_REDIS_PASSWORD=$(secret REDIS_PASSWORD)
SEAM_METRICS_TOKEN=$(secret METRICS_TOKEN)
SEAM_LISTEN=$(address "$node"):8080
SEAM_URL=http://$(address front):$FRONT_PORT
SEAM_HOSTS=$(address "$node")
SEAM_TRUSTED_PROXIES=$(address front)
SEAM_WORKERS=${SEAM_WORKERS:-6}
TEXT
    ! is_root || chown "$(web_account):" "$folder/.env.new"
    mv "$folder/.env.new" "$folder/.env"
}

# cluster_program NAME NODE ACCOUNT ORDER SECONDS-TO-STOP COMMAND...
cluster_program() {
    local name=$1 node=$2 account=$3 order=$4 seconds=$5
    shift 5
    cat <<TEXT
[program:$name]
command=$(on_node_as "$node" "$account")$([ ! -s "$SEAM_VAR/$node.clock" ] || printf '/usr/bin/env LD_PRELOAD=%s FAKETIME=%s ' "$(fake_clock)" "$(cat "$SEAM_VAR/$node.clock")")$*
directory=/
environment=HOME="/nonexistent"
priority=$order
autostart=true
autorestart=true
startsecs=1
startretries=1000000
stopsignal=TERM
stopwaitsecs=$seconds
redirect_stderr=true
stdout_logfile=$SEAM_VAR/log/$name.log
stdout_logfile_maxbytes=2MB
stdout_logfile_backups=2
TEXT
}

write_cluster_supervisor() {
    local node web db
    web=$(web_account) db=$(db_account)
    {
        supervisor_itself
        for node in db1 db2 db3; do cluster_program "$node" "$node" "$db" 10 60 /bin/bash "$CODE/ops/run/cluster-database.sh" "$SEAM_VAR/$node" | sed 's/^autostart=true/autostart=false/'; done
        cluster_program redis redis "$web" 20 10 /usr/bin/redis-server "$SEAM_VAR/redis/redis.conf"
        for node in web1 web2; do cluster_program "$node-door" "$node" "$web" 30 5 /usr/sbin/haproxy -db -q -f "$SEAM_VAR/$node-door/door.cfg"; done
        cluster_program front front "$web" 40 5 /usr/sbin/haproxy -db -q -f "$SEAM_VAR/front/front.cfg"
    } | (umask 077 && cat >"$RUN/supervisord.conf.new")
    mv "$RUN/supervisord.conf.new" "$RUN/supervisord.conf"
}

# A web node's own commands: the same ./seam as on a machine of its own.
web_port() { echo $((23000 + KEY * 4 + ${1#web})); }

web_seam() {
    local node=$1 code=$2
    shift 2
    on_node "$node" env SEAM_CLOCK="$(cat "$SEAM_VAR/$node.clock" 2>/dev/null)" SEAM_CLOCK_BY="$(fake_clock)" SEAM_VAR="$SEAM_VAR/$node" SEAM_PORT="$(web_port "$node")" SEAM_NO_SCHEDULER="${SEAM_NO_SCHEDULER:-}" "$code/seam" "$@" 9>&-
}

# Where the code of a web node lies: another version stands there during an upgrade.
web_code() { cat "$SEAM_VAR/$1.code" 2>/dev/null || echo "$ROOT"; }

fake_clock() { find /usr/lib -name libfaketime.so.1 2>/dev/null | head -n 1; }
