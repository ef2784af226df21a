#!/usr/bin/env bash
# Keeps the supervisor itself running until it is told to stop.
set -u
cd /
umask 077
while [ ! -e "$SEAM_VAR/run/stopping" ]; do
    /usr/bin/supervisord --nodaemon --configuration "$SEAM_VAR/run/supervisord.conf" </dev/null >/dev/null 2>&1
    [ -e "$SEAM_VAR/run/stopping" ] || sleep 1
done
