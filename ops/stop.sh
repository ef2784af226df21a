settle_place
[ -d "$SEAM_VAR" ] || { say "Nothing of Open Seam is set up here."; exit 0; }
only_one
write_settings
stop_services
say "Open Seam has stopped. All data stay in $SEAM_VAR."
