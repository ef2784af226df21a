# What can be done with the cluster as a whole.

cluster_up() {
    say "Open Seam on many servers"
    need_disk
    only_one
    debian_packages $RUN_PACKAGES $CLUSTER_PACKAGES
    [ -f "$GALERA_PROVIDER" ] || fail "there is no $GALERA_PROVIDER: the package galera-4 should have brought it."
    php_packages
    node_packages
    front_end
    settle_code
    mkdir -p "$SEAM_VAR"/{log,run}
    chmod 711 "$SEAM_VAR"
    chmod 700 "$SEAM_VAR"/{log,run}
    printf '%s\n' "$MODE" >"$SEAM_VAR/mode"
    [ -s "$SEAM_VAR/database" ] || echo "open_seam_$(date +%Y%m%d_%H%M%S)" >"$SEAM_VAR/database"
    make_secrets
    make_network
    write_nodes
    write_cluster_supervisor
    start_supervisor
    supervisor update >/dev/null 2>&1 || true
    step_of "Three nodes of the database" begin_databases
    supervisor start redis web1-door web2-door front >/dev/null 2>&1 || true
    # The second one finds the tables made.
    step "First web node" web_seam web1 "$(web_code web1)" start "$@"
    step "Second web node" web_seam web2 "$(web_code web2)" start "$@"
    wait_front 300
    say
    say "  Open Seam is ready on seven machines ($MODE):  http://$(address front):$FRONT_PORT"
    sed -n '/Demo sign-in\|open-a-studio\|works once/p' "$SEAM_VAR/log/First-web-node.log"
    say "  How they are:        ./seam cluster status"
    say "  Stop them with:      ./seam cluster down"
}

# A step whose work sets something here.
step_of() {
    local started
    started=$(date +%s)
    printf '  %-46s' "$1"
    "${@:2}" >>"$SEAM_VAR/log/cluster.log"
    printf '%4d s\n' "$(($(date +%s) - started))"
}

front_answers() { [ "$(curl_code "http://$(address front):$FRONT_PORT/up")" = 200 ]; }

wait_front() {
    local i
    for i in $(seq 1 "$1"); do
        front_answers && return 0
        sleep 0.1
    done
    fail "the balancer has no web node to send anybody to after $(($1 / 10)) s: ./seam cluster status says who is away."
}

# What the balancer thinks of a web node: UP, DOWN, DRAIN …
balancer_says() { echo 'show stat' | as_web socat - "UNIX-CONNECT:$SEAM_VAR/front/run/front.sock" 2>/dev/null | awk -F, -v n="$1" '$1 == "web" && $2 == n { print $18 }'; }

# What a machine says at an address, in one line.
ASKS='$said = @file_get_contents($argv[1], false, stream_context_create(["http" => ["timeout" => 2, "ignore_errors" => true]])); echo $said === false ? "nothing" : substr(strtok($said, "\n"), 0, 100);'

cluster_status() {
    local node state well=yes
    for node in db1 db2 db3; do
        state=$(status_of "$node" local_state_comment)
        [ "$state" = Synced ] || well=no
        printf '  %-6s %-15s %s\n' "$node" "$(address "$node")" "${state:-does not answer}$([ -z "$state" ] || printf ', %s of 3, %s, change %s, %s waiting' "$(status_of "$node" cluster_size)" "$(status_of "$node" cluster_status)" "$(status_of "$node" last_committed)" "$(status_of "$node" local_recv_queue)")"
    done
    for node in web1 web2; do
        state=$(balancer_says "$node")
        [[ "$state" == UP* ]] || well=no
        printf '  %-6s %-15s answers %s, the balancer says %s\n' "$node" "$(address "$node")" "$(on_node "$node" php -r "$ASKS" "http://$(address "$node"):8080/up" 2>/dev/null)" "${state:-nothing}"
    done
    state=$(as_web env REDISCLI_AUTH="$(secret REDIS_PASSWORD)" redis-cli -h "$(address redis)" ping 2>&1 | head -n 1)
    [ "$state" = PONG ] || well=no
    printf '  %-6s %-15s %s\n' redis "$(address redis)" "$state"
    front_answers && state="answers" || { state="does not answer"; well=no; }
    printf '  %-6s %-15s %s\n' front "$(address front)" "$state at http://$(address front):$FRONT_PORT"
    [ "$well" = yes ] && say "All seven are well." || { say "Something is away: ./seam cluster heal brings it back."; exit 1; }
}

cluster_doctor() {
    local node well=yes
    for node in web1 web2; do
        say "$node:"
        web_seam "$node" "$(web_code "$node")" doctor || well=no
    done
    say "All of them:"
    cluster_status
    [ "$well" = yes ]
}

# Process ids of a machine: what runs in its network, or under its programs.
each_process() {
    local pid pids
    if [ "$MODE" = namespaces ]; then
        pids=$(ip netns pids "$(space "$1")")
    else
        pids=$({ pgrep -f -- "$SEAM_VAR/$1[/-]" || true; supervisor pid "$1" 2>/dev/null || true; } | sort -u)
    fi
    for pid in $pids; do
        [ "$pid" = "$$" ] || [ "$pid" = 0 ] || kill "$2" "$pid" 2>/dev/null || true
    done
}

# The programs that do a machine's work; their supervisor stays, as an init system would.
kill_at_once() {
    case "$1" in
        web*) for pid in $(group_of "$SEAM_VAR/$1/web/run/php.group" php-fpm) $(group_of "$SEAM_VAR/$1/web/run/web.group" nginx); do kill -9 "$pid" 2>/dev/null || true; done ;;
        *) kill -9 "$(supervisor pid "$1")" 2>/dev/null || true ;;
    esac
}

cluster_break() {
    local node=${1:-} how=${2:-kill}
    is_node "$node" || fail "there is no machine “$node”. There are: $(cluster_names)"
    # Noted first: what is half broken is mended too.
    [ "$how" = kill ] || echo "$how" >"$SEAM_VAR/$node.broken"
    case "$how" in
        kill) kill_at_once "$node" ;;
        stop) case "$node" in web*) web_seam "$node" "$(web_code "$node")" stop ;; *) supervisor stop "$node" >/dev/null ;; esac ;;
        cut) cut_line "$node" ;;
        full)
            case "$node" in db*) ;; *) fail "only a database node has a disk that matters: db1, db2 or db3." ;; esac
            small_disk "$node"
            ;;
        clock)
            [ -n "$(fake_clock)" ] || fail "the package faketime is missing: apt-get install faketime"
            echo '+180s' >"$SEAM_VAR/$node.clock"
            restart_node "$node"
            ;;
        *) rm -f "$SEAM_VAR/$node.broken"; fail "a machine is broken by kill, stop, cut, full or clock; not by “$how”." ;;
    esac
    say "$node: $how."
}

restart_node() {
    case "$1" in
        web*)
            web_seam "$1" "$(web_code "$1")" stop >/dev/null
            web_seam "$1" "$(web_code "$1")" start >/dev/null
            ;;
        *)
            write_cluster_supervisor
            supervisor update "$1" >/dev/null 2>&1 || true
            supervisor start "$1" >/dev/null 2>&1 || true
            ;;
    esac
}

# Its data on a disk of their own with little room, and then with none.
small_disk() {
    local node=$1 data="$SEAM_VAR/$1/data" size
    mountpoint -q "$data" || {
        supervisor stop "$node" >/dev/null
        size=$(($(du -sm "$data" | cut -f1) + 40))
        mv "$data" "$data.large"
        mkdir "$data"
        mount -t tmpfs -o "size=${size}m,mode=700,uid=$(id -u "$(db_account)"),gid=$(id -g "$(db_account)")" tmpfs "$data" || { rmdir "$data"; mv "$data.large" "$data"; supervisor start "$node" >/dev/null; fail "no small disk can be made on this machine."; }
        cp -a "$data.large/." "$data/"
        rm -rf "$data.large"
        supervisor start "$node" >/dev/null 2>&1 || true
        wait_synced "$node" 300
    }
    head -c 100G /dev/zero >"$data/fill" 2>/dev/null || true
}

large_disk() {
    local node=$1 data="$SEAM_VAR/$1/data"
    rm -f "$data/fill"
    mountpoint -q "$data" || return 0
    supervisor stop "$node" >/dev/null 2>&1 || true
    mkdir -p "$data.large"
    cp -a "$data/." "$data.large/"
    umount "$data"
    rmdir "$data"
    mv "$data.large" "$data"
    ! is_root || chown "$(db_account):" "$data"
    chmod 700 "$data"
}

cluster_heal() {
    local node nodes=${1:-$(cluster_names)} how
    for node in $nodes; do
        is_node "$node" || fail "there is no machine “$node”. There are: $(cluster_names)"
        how=$(cat "$SEAM_VAR/$node.broken" 2>/dev/null || true)
        rm -f "$SEAM_VAR/$node.broken"
        case "$how" in
            cut) join_line "$node" ;;
            full) large_disk "$node" ;;
            clock)
                rm -f "$SEAM_VAR/$node.clock"
                case "$node" in web*) web_seam "$node" "$(web_code "$node")" stop >/dev/null ;; *) restart_node "$node" ;; esac
                ;;
        esac
        case "$node" in db* | web*) ;; *) supervisor start "$node" >/dev/null 2>&1 || true ;; esac
    done
    # The web nodes start where there is a database to start with.
    begin_databases
    for node in $nodes; do
        case "$node" in web*) web_seam "$node" "$(web_code "$node")" start >/dev/null ;; esac
    done
    wait_front 300
    say "Mended."
}

cluster_leave() {
    case "${1:-}" in web1 | web2) ;; *) fail "a web node leaves: web1 or web2." ;; esac
    : >"$SEAM_VAR/$1/leaving"
    say "$1 gets nobody new."
}

cluster_back() {
    case "${1:-}" in web1 | web2) ;; *) fail "a web node comes back: web1 or web2." ;; esac
    rm -f "$SEAM_VAR/$1/leaving"
    say "$1 is open again."
}

# From nothing: the others give it a copy.
cluster_forget() {
    case "${1:-}" in db1 | db2 | db3) ;; *) fail "a database node can lose its data: db1, db2 or db3." ;; esac
    local others=0 node
    for node in db1 db2 db3; do [ "$node" = "$1" ] || ! is_synced "$node" || others=$((others + 1)); done
    [ "$others" -ge 1 ] || fail "no other node has the data: $1 keeps its own."
    supervisor stop "$1" >/dev/null 2>&1 || true
    find "$SEAM_VAR/$1/data" -mindepth 1 -delete
    say "$1 has nothing any more: ./seam cluster heal $1"
}

# Out of the balancer, over to the other version, in again: whoever is at work is served by the other node meanwhile.
cluster_upgrade() {
    local node=${1:-} code=${2:-}
    case "$node" in web1 | web2) ;; *) fail "a web node is upgraded: web1 or web2." ;; esac
    [ -x "$code/seam" ] || fail "there is no ./seam in “$code”."
    cluster_leave "$node" >/dev/null
    sleep 3
    web_seam "$node" "$(web_code "$node")" stop >/dev/null
    echo "$code" >"$SEAM_VAR/$node.code"
    # Nobody is sent to it before it answers.
    cluster_back "$node" >/dev/null
    web_seam "$node" "$code" start >/dev/null
    say "$node serves the version in $code."
}

# Several machines on few cores are as fast together as one: held to a share each, they show what one more brings.
cluster_share() {
    local node=${1:-} hundredths=${2:-} group pid
    case "$node" in web1 | web2) ;; *) fail "a web node is held to a share: web1 or web2." ;; esac
    [[ "$hundredths" =~ ^[0-9]{1,4}$ ]] || fail "say how many hundredths of a core, such as: ./seam cluster share web1 40"
    if [ -d /sys/fs/cgroup/cpu ]; then
        group=/sys/fs/cgroup/cpu/open-seam-$KEY-$node
        mkdir -p "$group" 2>/dev/null && echo 100000 >"$group/cpu.cfs_period_us" 2>/dev/null && echo $((hundredths > 0 ? hundredths * 1000 : -1)) >"$group/cpu.cfs_quota_us" 2>/dev/null
    else
        group=/sys/fs/cgroup/open-seam-$KEY-$node
        { echo +cpu >/sys/fs/cgroup/cgroup.subtree_control; } 2>/dev/null || true
        mkdir -p "$group" 2>/dev/null && echo "$([ "$hundredths" -gt 0 ] && echo $((hundredths * 1000)) || echo max) 100000" >"$group/cpu.max" 2>/dev/null
    fi || fail "no shares of the processors can be given on this machine."
    for pid in $(group_of "$SEAM_VAR/$node/web/run/php.group" php-fpm) $(group_of "$SEAM_VAR/$node/web/run/web.group" nginx); do echo "$pid" >"$group/cgroup.procs"; done
    say "$node: $([ "$hundredths" -gt 0 ] && echo "$hundredths hundredths of a core" || echo "all it can get")."
}

cluster_backup() {
    local file
    [ -n "${1:-}" ] || fail "say where to: ./seam cluster backup FILE"
    file=$(realpath -m -- "$1")
    web_seam web1 "$(web_code web1)" backup "$file"
}

# Filled beside the present data through one web node; then all of them go over to it together, so that nobody keeps anything in the old ones.
cluster_restore() {
    local file=${1:-} node new
    [ -f "$file" ] || fail "there is no file “$file”. Say which: ./seam cluster restore FILE. Nothing was changed."
    web_seam web1 "$(web_code web1)" restore "$(realpath -- "$file")" | tee "$SEAM_VAR/log/restore.log"
    new=$(sed -n 's/.*restore --use \(open_seam[a-z0-9_]*\).*/\1/p' "$SEAM_VAR/log/restore.log")
    [ -n "$new" ] || fail "it was not filled in; what is served was not changed."
    for node in web1 web2; do web_seam "$node" "$(web_code "$node")" stop >/dev/null; done
    printf '%s\n' "$new" >"$SEAM_VAR/database"
    for node in web1 web2; do
        web_node_settings "$node"
        web_seam "$node" "$(web_code "$node")" start >/dev/null
    done
    wait_front 300
    say "All web nodes serve $new. Everybody signs in once more."
}

# Teachers at work, and after it: is all that was answered as kept there once, on every node?
cluster_load() {
    local teachers=20 word ledger="$SEAM_VAR/ledger"
    for word in "$@"; do case "$word" in --teachers=*) teachers=${word#*=} ;; esac; done
    web_seam web1 "$(web_code web1)" artisan seam:grow --studios="$teachers" --password='calico madder chalk' >/dev/null || fail "the teachers' studios could not be made."
    php "$ROOT/ops/cluster/load.php" "http://$(address front):$FRONT_PORT" "$ledger" "$@" || fail "the teachers had to stop."
    cluster_count "$ledger"
}

# What stands in the ledger beside what stands in each node.
cluster_count() {
    local ledger=$1 node database lost doubled more
    database=$(cat "$SEAM_VAR/database")
    sed -n 's/^\(sample\|corrected\) \([^ ]*\).*/\2/p' "$ledger" | sort >"$ledger.kept"
    sed -n 's/^tried \(0[^ ]*\)/\1/p' "$ledger" | sort >"$ledger.tried"
    # The plan of a class as it was answered last.
    sed -n 's/^plan //p' "$ledger" | awk '{ last[$1] = $3 } END { for (c in last) print c, last[c] }' | sort >"$ledger.plans"
    for node in db1 db2 db3; do
        is_synced "$node" || { say "  $node is not in: nothing was counted there."; continue; }
        sql_on "$node" "$database" -e "SET SESSION wsrep_sync_wait = 15; SELECT s.id FROM samples s JOIN users u ON u.id = s.kept_by WHERE u.email LIKE 'evening%@loft.example' ORDER BY 1" | sort >"$ledger.there"
        lost=$(comm -23 "$ledger.kept" "$ledger.there" | wc -l)
        more=$(comm -13 <(sort -m "$ledger.kept" "$ledger.tried") "$ledger.there" | comm -23 - <(sort "$ledger.before" 2>/dev/null) | wc -l)
        doubled=$(sql_on "$node" "$database" -e "SELECT COUNT(*) FROM (SELECT replaces_id FROM samples WHERE replaces_id IS NOT NULL GROUP BY replaces_id HAVING COUNT(*) > 1) AS twice")
        sql_on "$node" "$database" -e "SET SESSION group_concat_max_len = 100000; SELECT class_id, GROUP_CONCAT(lessons ORDER BY position SEPARATOR ';') FROM (SELECT p.class_id, s.position, COALESCE(GROUP_CONCAT(CASE WHEN l.at_home = 0 THEN l.lesson END ORDER BY l.position SEPARATOR ','), '') AS lessons FROM course_plans p JOIN plan_sessions s ON s.course_plan_id = p.id LEFT JOIN planned_lessons l ON l.plan_session_id = s.id GROUP BY p.class_id, s.id, s.position) AS each_session GROUP BY class_id" | tr '\t' ' ' | sort >"$ledger.plans-there"
        say "  $node: $(wc -l <"$ledger.kept") samples answered as kept: $lost lost, $((doubled + more)) doubled or from nowhere; $(wc -l <"$ledger.plans") plans changed: $(comm -23 "$ledger.plans" "$ledger.plans-there" | wc -l) not as they were answered last"
        [ "$lost$doubled$more" = 000 ] || LOSS=yes
        [ "$(comm -23 "$ledger.plans" "$ledger.plans-there" | wc -l)" = 0 ] || LOSS=yes
    done
    [ -z "${LOSS:-}" ] || fail "something was lost or doubled."
    sort "$ledger.there" >"$ledger.before"
}

cluster_equal() {
    local node
    for node in db1 db2 db3; do is_synced "$node" || fail "$node is not in: ./seam cluster heal"; done
    # What is read at each of them is what all of them have confirmed.
    local differs=no table database sums
    database=$(cat "$SEAM_VAR/database")
    for table in $(sql_on db1 -e "SELECT table_name FROM information_schema.tables WHERE table_schema = '$database' AND table_type = 'BASE TABLE' ORDER BY 1"); do
        sums=$(for node in db1 db2 db3; do sql_on "$node" -e "SET SESSION wsrep_sync_wait = 15; CHECKSUM TABLE \`$database\`.\`$table\` EXTENDED" | cut -f2; done | sort -u)
        [ "$(wc -l <<<"$sums")" = 1 ] || { say "  $table differs"; differs=yes; }
    done
    [ "$differs" = no ] || fail "the nodes of the database are not the same."
    say "All nodes of the database are the same, table by table."
}

cluster_down() {
    only_one
    local node
    for node in web1 web2; do
        rm -f "$SEAM_VAR/$node.broken" "$SEAM_VAR/$node.clock"
        join_line "$node" 2>/dev/null || true
        web_seam "$node" "$(web_code "$node")" stop >/dev/null 2>&1 || true
    done
    : >"$RUN/stopping"
    # The one that goes last begins next time.
    for node in front web1-door web2-door redis db3 db2 db1; do supervisor stop "$node" >/dev/null 2>&1 || true; done
    supervisor shutdown >/dev/null 2>&1 || true
    for node in $(seq 1 100); do
        alive "$RUN/supervisor.pid" || break
        sleep 0.1
    done
    ! alive "$RUN/guard.pid" || kill "$(cat "$RUN/guard.pid")" 2>/dev/null || true
    for node in db1 db2 db3; do large_disk "$node"; done
    take_network_away
    if [ "${1:-}" = --forget ]; then
        rm -rf "${SEAM_VAR:?}"
        say "The cluster and its data are gone."
    else
        say "The cluster has stopped. All data stay in $SEAM_VAR."
    fi
}
