#!/bin/bash
# Asked by the door of a web node each second: may this node of the database be used?
# 4: it has everything; 2: it gives a copy of itself to another one meanwhile.
state=$(/usr/bin/mariadb --defaults-file=@FOLDER@/check.cnf --connect-timeout=1 --host="$3" --port="$4" --skip-column-names --batch \
    --execute "SHOW STATUS WHERE Variable_name IN ('wsrep_local_state', 'wsrep_ready', 'wsrep_cluster_status')" 2>/dev/null) || exit 1
grep -qx $'wsrep_local_state\t[24]' <<<"$state" && grep -qx $'wsrep_ready\tON' <<<"$state" && grep -qx $'wsrep_cluster_status\tPrimary' <<<"$state"
