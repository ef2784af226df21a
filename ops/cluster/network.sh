# The machines of a cluster on one machine: each with an address of its own, in a network namespace where those can be made,
# on loopback addresses where they cannot.

CLUSTER_NODES="db1:11 db2:12 db3:13 web1:21 web2:22 redis:31 front:41"

cluster_names() { for node in $CLUSTER_NODES; do printf '%s ' "${node%%:*}"; done; }

is_node() { [[ " $(cluster_names)" == *" $1 "* ]]; }

# Two clusters of two folders do not meet: the third number of all addresses, from the folder's name.
cluster_key() { echo $((16#$(printf '%s' "$SEAM_VAR" | sha256sum | cut -c1-2) % 250 + 2)); }

space() { echo "seam$KEY-$1"; }

address() {
    local node
    for node in $CLUSTER_NODES; do
        [ "${node%%:*}" = "$1" ] && echo "$NET.$KEY.${node##*:}" && return 0
    done
    return 1
}

# Settled once for a cluster, kept in its folder.
settle_mode() {
    KEY=$(cluster_key)
    MODE=$(cat "$SEAM_VAR/mode" 2>/dev/null || true)
    if [ -z "$MODE" ]; then
        MODE=loopback
        [ "${SEAM_LOOPBACK:-}" = yes ] || ! is_root || ! can_make_networks || MODE=namespaces
    fi
    [ "$MODE" = namespaces ] && NET=10.77 || NET=127.77
}

can_make_networks() {
    command -v ip >/dev/null || return 1
    ip netns add "$(space try)" 2>/dev/null || return 1
    local well=no
    ip link add "seamb$KEY" type bridge 2>/dev/null && ip link add "seamt$KEY" type veth peer name eth0 netns "$(space try)" 2>/dev/null && well=yes
    ip link del "seamt$KEY" 2>/dev/null
    ip link del "seamb$KEY" 2>/dev/null
    ip netns del "$(space try)"
    [ "$well" = yes ]
}

make_network() {
    [ "$MODE" = namespaces ] || return 0
    local node name
    if ! ip link show "seamb$KEY" >/dev/null 2>&1; then
        ip link add "seamb$KEY" type bridge
        ip addr add "$NET.$KEY.1/24" dev "seamb$KEY"
        ip link set "seamb$KEY" up
    fi
    for node in $CLUSTER_NODES; do
        name=${node%%:*}
        ip netns list | grep -qw "$(space "$name")" && continue
        ip netns add "$(space "$name")"
        ip link add "seam$KEY$name" type veth peer name eth0 netns "$(space "$name")"
        ip link set "seam$KEY$name" master "seamb$KEY" up
        ip -n "$(space "$name")" addr add "$NET.$KEY.${node##*:}/24" dev eth0
        ip -n "$(space "$name")" link set eth0 up
        ip -n "$(space "$name")" link set lo up
    done
}

take_network_away() {
    [ "$MODE" = namespaces ] || return 0
    local node
    for node in $(cluster_names); do
        ip link del "seam$KEY$node" 2>/dev/null || true
        ip netns del "$(space "$node")" 2>/dev/null || true
    done
    ip link del "seamb$KEY" 2>/dev/null || true
}

# A command as that machine runs it.
on_node() {
    local node=$1
    shift
    if [ "$MODE" = namespaces ]; then ip netns exec "$(space "$node")" "$@"; else "$@"; fi
}

# The same as words of a supervisor's command, as an account.
on_node_as() {
    local node=$1 account=$2
    [ "$MODE" = namespaces ] && printf 'ip netns exec %s ' "$(space "$node")"
    is_root && printf 'setpriv --reuid=%s --regid=%s --clear-groups --no-new-privs ' "$account" "$(id -g "$account")"
    return 0
}

# Nothing goes to the machine or comes from it.
cut_line() {
    if [ "$MODE" = namespaces ]; then ip link set "seam$KEY$1" down; else each_process "$1" -STOP; fi
}

join_line() {
    if [ "$MODE" = namespaces ]; then ip link set "seam$KEY$1" up; else each_process "$1" -CONT; fi
}
