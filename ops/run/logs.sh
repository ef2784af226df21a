#!/usr/bin/env bash
# Run by the supervisor as whoever started it, whose the logs are: what is due is put aside, and an hour later the
# supervisor begins it again.
set -u
cd /
umask 077
/usr/sbin/logrotate --state "$SEAM_VAR/run/logrotate.state" "$SEAM_VAR/run/logrotate.conf"
exec sleep 3600
