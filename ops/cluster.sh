# cluster up | status | doctor | load | break NAME [how] | heal [NAME] | down: many servers on this one machine, from the same templates as real ones.
for part in network nodes databases acts; do . "$ROOT/ops/cluster/$part.sh"; done

cluster_usage() {
    cat <<'TEXT'
./seam cluster up               three nodes of the database, two web nodes, a memory store, a balancer: each a machine of its own
               status           who runs, who is in, how far each is
               doctor           what is well and what is not, on every web node and on all of them together
               load [options]   teachers at work: --teachers=20 --saves=2000 --corrections=500 --plans=200; says what was lost or doubled
               equal            are all nodes of the database the same, table by table?
               break NAME HOW   kill (at once, comes back by itself), stop, cut (off the network), full (its disk), clock (three minutes ahead)
               heal [NAME]      mends what break broke
               leave NAME       a web node gets nobody new; back NAME takes it in again
               forget NAME      a database node loses all its data, and comes back from nothing
               upgrade NAME DIR a web node goes over to the version in another folder
               share NAME N     a web node gets N hundredths of a core and no more, to see what another one brings; 0: all it can get
               backup FILE      all data as they are at one moment, while everybody works on
               restore FILE     a backup, filled in beside the present data while everybody works on, then served by all
               down             stops all of it; data stay, with --forget they go
Names: db1 db2 db3 web1 web2 redis front
TEXT
}

act=${1:-}
[ $# -gt 0 ] && shift
case "$act" in
    up | status | doctor | load | equal | break | heal | leave | back | forget | upgrade | share | backup | restore | down) ;;
    *)
        cluster_usage
        exit 2
        ;;
esac
settle_place
settle_mode
DB="$SEAM_VAR/db" WEB="$SEAM_VAR/web" RUN="$SEAM_VAR/run"
[ "$act" = up ] || [ -s "$SEAM_VAR/mode" ] || fail "there is no cluster in $SEAM_VAR: ./seam cluster up makes one."
settle_code
"cluster_$act" "$@"
