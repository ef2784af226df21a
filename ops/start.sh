# start [--empty] [--network]: sets up what is missing, starts everything, says where it is.
empty="" network=""
for word in "$@"; do
    case "$word" in
        --empty) empty=yes ;;
        # Kept with the settings: the next start goes by it too, until --no-network.
        --network) network=yes ;;
        --no-network) network=no ;;
        *) fail "start does not know “$word”. It knows: --empty (no demo: for a real studio), --network (the workroom's own network, over HTTPS), --no-network." ;;
    esac
done
say "Open Seam"
settle_place
need_disk
only_one
debian_packages $RUN_PACKAGES
php_packages
[ ! -s "$SEAM_VAR/log/versions.txt" ] || say "  $(cat "$SEAM_VAR/log/versions.txt")"
node_packages
front_end
settle_code
write_settings
[ -z "$network" ] || set_setting SEAM_NETWORK "$network"
settle_network
start_database
prepare_application
welcome=$(artisan seam:welcome ${empty:+--empty}) || fail "the demo studio could not be loaded. $welcome"
start_web
say
say "  Open Seam is ready:  $APP_URL"
if [ "${SEAM_NETWORK:-}" = yes ]; then
    artisan seam:qr "$APP_URL"
    [ "$SEAM_OWN_AUTHORITY" != true ] || say "  A device warns until it trusts this machine, once: $APP_URL/open-seam-authority.crt"
fi
say "$welcome"
say "  Stop it with:        ./seam stop"
