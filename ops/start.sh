say "Open Seam"
need_disk
debian_packages $RUN_PACKAGES
php_packages
node_packages
front_end
write_settings
start_database
prepare_application
artisan seam:demo --when-new || fail "the demo studio could not be loaded."
start_web
say
say "  Open Seam is ready:  http://127.0.0.1:$SEAM_PORT"
say "  Demo sign-in:        teacher@mill.example   password: unbleached calico"
say "  Stop it with:        ./seam stop"
