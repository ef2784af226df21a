# The three nodes of the database: begun, joined, asked.

sql_on() {
    local node=$1
    shift
    as_account "$(db_account)" timeout "${SQL_SECONDS:-600}" mariadb --no-defaults --connect-timeout=3 --socket="$SEAM_VAR/$node/run/my.sock" --user="$(db_account)" --skip-column-names --batch "$@"
}

# Nothing where it does not answer.
status_of() { { SQL_SECONDS=3 sql_on "$1" -e "SHOW STATUS LIKE 'wsrep_$2'" 2>/dev/null || true; } | cut -f2; }

is_synced() { [ "$(status_of "$1" local_state)" = 4 ] && [ "$(status_of "$1" cluster_status)" = Primary ]; }

wait_synced() {
    local i
    for i in $(seq 1 "$2"); do
        is_synced "$1" && return 0
        sleep 0.2
    done
    fail "$1 did not join within $(($2 / 5)) s. Its own words: $(grep -E 'ERROR|WSREP_SST' "$SEAM_VAR/$1/run/error.log" 2>/dev/null | tail -n 3)"
}

new_cluster_data() {
    local db
    db=$(db_account)
    step "First node of the database" mariadb-install-db --no-defaults --user="$db" --datadir="$SEAM_VAR/db1/data" \
        --auth-root-authentication-method=socket --auth-root-socket-user="$db" --skip-test-db
    : >"$SEAM_VAR/new"
}

# Who begins after all were down: the one that went last, or the one that came furthest.
first_node() {
    local node best="" far=-2 at
    for node in db1 db2 db3; do
        grep -qs '^safe_to_bootstrap: *1' "$SEAM_VAR/$node/data/grastate.dat" && echo "$node" && return 0
    done
    for node in db1 db2 db3; do
        [ -s "$SEAM_VAR/$node/data/grastate.dat" ] || continue
        as_account "$(db_account)" mariadbd --defaults-file="$SEAM_VAR/$node/my.cnf" --wsrep-recover --log-error="$SEAM_VAR/$node/run/recover.log" >/dev/null 2>&1 || true
        at=$(sed -n 's/.*Recovered position:.*:\(-\?[0-9]*\)$/\1/p' "$SEAM_VAR/$node/run/recover.log" | tail -n 1)
        rm -f "$SEAM_VAR/$node/run/recover.log"
        [ "${at:--1}" -gt "$far" ] && far=${at:--1} best=$node
    done
    [ -n "$best" ] || fail "no node of the database holds any data to begin from."
    sed -i 's/^safe_to_bootstrap:.*/safe_to_bootstrap: 1/' "$SEAM_VAR/$best/data/grastate.dat"
    echo "$best"
}

begin_databases() {
    local node first i any=no
    # Those that run find each other again by themselves, when they can: nobody begins anew beside them.
    for i in $(seq 1 150); do
        for node in db1 db2 db3; do is_synced "$node" && any=yes; done
        [ "$any" = no ] && supervisor status db1 db2 db3 2>/dev/null | grep -q RUNNING || break
        sleep 0.2
    done
    if [ "$any" = no ]; then
        if [ -d "$SEAM_VAR/db1/data/mysql" ] || [ -d "$SEAM_VAR/db2/data/mysql" ] || [ -d "$SEAM_VAR/db3/data/mysql" ]; then
            [ -e "$SEAM_VAR/new" ] && first=db1 || first=$(first_node)
        else
            new_cluster_data
            first=db1
        fi
        for node in db1 db2 db3; do supervisor stop "$node" >/dev/null 2>&1 || true; done
        : >"$SEAM_VAR/$first/run/first"
        supervisor start "$first" >/dev/null 2>&1 || true
        wait_synced "$first" 300
        database_accounts "$first"
        rm -f "$SEAM_VAR/new"
    fi
    # One after the other: each takes its copy of one that is not giving one already.
    for node in db1 db2 db3; do
        is_synced "$node" || { supervisor start "$node" >/dev/null 2>&1 || true; wait_synced "$node" 600; }
    done
}

database_accounts() {
    sql_on "$1" <<SQL
CREATE DATABASE IF NOT EXISTS \`$(cat "$SEAM_VAR/database")\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
CREATE OR REPLACE USER 'open_seam'@'%' IDENTIFIED BY '$(secret DB_PASSWORD)';
GRANT ALL ON \`open\\_seam%\`.* TO 'open_seam'@'%';
CREATE OR REPLACE USER 'open_seam_check'@'%' IDENTIFIED BY '$(secret CHECK_PASSWORD)';
CREATE OR REPLACE USER 'open_seam_copy'@'localhost' IDENTIFIED BY '$(secret COPY_PASSWORD)';
GRANT RELOAD, PROCESS, LOCK TABLES, BINLOG MONITOR ON *.* TO 'open_seam_copy'@'localhost';
SQL
}
