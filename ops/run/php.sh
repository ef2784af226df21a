#!/usr/bin/env bash
# Run by the supervisor as the account of the services.
set -u
cd /
. "$SEAM_CODE/ops/run/left.sh"
WEB="$SEAM_VAR/web"
clear_left "$WEB/run" php php-fpm
rm -f "$WEB/run/fpm.sock"
umask 077
exec "$(command -v php-fpm8.2 || echo /usr/sbin/php-fpm8.2)" --nodaemonize -d opcache.enable=1 -d opcache.validate_timestamps=0 -d apc.shm_size=64M -y "$WEB/fpm.conf"
