# start [--empty]: sets up what is missing, starts everything, says where it is.
empty=""
for word in "$@"; do
    case "$word" in
        --empty) empty=yes ;;
        *) fail "start does not know “$word”. It knows: --empty (no demo: for a real studio)." ;;
    esac
done
say "Open Seam"
settle_place
need_disk
only_one
debian_packages $RUN_PACKAGES
php_packages
node_packages
front_end
settle_code
write_settings
start_database
prepare_application
welcome=$(artisan seam:welcome ${empty:+--empty}) || fail "the demo studio could not be loaded. $welcome"
start_web
say
say "  Open Seam is ready:  $APP_URL"
say "$welcome"
say "  Stop it with:        ./seam stop"
