stop_web
stop_database
say "Open Seam has stopped. All data stay in $SEAM_VAR."
