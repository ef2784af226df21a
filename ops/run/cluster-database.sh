#!/usr/bin/env bash
# Run by the cluster's supervisor as the database's account, inside its node: cluster-database.sh FOLDER
set -u
cd /
node=$1
umask 077
position=()
if [ -e "$node/run/first" ]; then
    # The one that begins, when no other is there to join.
    rm -f "$node/run/first"
    position=(--wsrep-new-cluster)
elif grep -qs '^seqno: *-1' "$node/data/grastate.dat"; then
    # It was ended in the middle of its work: how far it came stands in its tables, and it asks the others for the rest only.
    found=$(mariadbd --defaults-file="$node/my.cnf" --wsrep-recover --log-error="$node/run/recover.log" 2>/dev/null; sed -n 's/.*Recovered position: *//p' "$node/run/recover.log" | tail -n 1)
    rm -f "$node/run/recover.log"
    [ -z "$found" ] || position=("--wsrep-start-position=$found")
fi
rm -f "$node/run/my.sock" "$node/run/my.pid"
exec mariadbd --defaults-file="$node/my.cnf" "${position[@]}"
