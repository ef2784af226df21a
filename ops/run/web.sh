#!/usr/bin/env bash
# Run by the supervisor as the account of the services.
set -u
cd /
. "$SEAM_CODE/ops/run/left.sh"
WEB="$SEAM_VAR/web"
clear_left "$WEB/run" web nginx
umask 077
exec "$(command -v nginx || echo /usr/sbin/nginx)" -p "$WEB" -e stderr -c "$WEB/nginx.conf"
