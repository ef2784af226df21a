# The private database: its own data folder, socket and port, loopback only.

# The database's all-powerful account has the name of the system account it runs as, and is open to that one only.
mariadb_as_root() { as_account "$(db_account)" mariadb --no-defaults --socket="$DB/run/my.sock" --user="$(db_account)" "$@"; }

database_answers() {
    if database_is_elsewhere; then mariadb_elsewhere -e 'SELECT 1' >/dev/null 2>&1; else mariadb_as_root -e 'SELECT 1' >/dev/null 2>&1; fi
}

# As the application reaches it; the password is no word of a command, which others could read.
mariadb_elsewhere() { MYSQL_PWD=$(setting DB_PASSWORD) mariadb --no-defaults --connect-timeout=3 --host="$(setting DB_HOST)" --port="$SEAM_DB_PORT" --user="$(setting DB_USERNAME)" "$@"; }

# Once: an empty server. A first start that was cut short leaves a folder without its tables.
new_database_server() {
    local account
    account=$(db_account)
    [ -d "$DB/data/mysql" ] && [ -f "$DB/data/.whole" -o -n "$(ls "$DB/data/mysql" 2>/dev/null | grep -m1 global_priv)" ] && return 0
    rm -rf "$DB/data"
    step "New database" mariadb-install-db --no-defaults --user="$account" --datadir="$DB/data" \
        --auth-root-authentication-method=socket --auth-root-socket-user="$account" --skip-test-db
}

# Each time: a first start may have been cut short, the settings may have been lost.
database_account() {
    database_is_elsewhere && return 0
    local user password
    user=$(setting DB_USERNAME) password=$(setting DB_PASSWORD)
    if [ -z "$DB_DATABASE" ]; then
        # The newest one there is: what a restore put in place last carries the latest date.
        DB_DATABASE=$(mariadb_as_root -N -e "SELECT schema_name FROM information_schema.schemata WHERE schema_name LIKE 'open\\_seam%' ORDER BY schema_name DESC LIMIT 1")
        [ -n "$DB_DATABASE" ] || DB_DATABASE=open_seam_$(date +%Y%m%d_%H%M%S)
        export DB_DATABASE
    fi
    mariadb_as_root <<SQL
CREATE DATABASE IF NOT EXISTS \`$DB_DATABASE\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
CREATE USER IF NOT EXISTS '$user'@'127.0.0.1' IDENTIFIED BY '$password';
ALTER USER '$user'@'127.0.0.1' IDENTIFIED BY '$password';
GRANT ALL ON \`$DB_DATABASE\`.* TO '$user'@'127.0.0.1';
SQL
    printf '%s\n' "$DB_DATABASE" >"$DB/current.new" && mv "$DB/current.new" "$DB/current"
}
