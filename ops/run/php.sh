#!/usr/bin/env bash
# Run by the supervisor as the account of the services.
set -u
cd /
. "$SEAM_CODE/ops/run/left.sh"
WEB="$SEAM_VAR/web"
clear_left "$WEB/run" php php-fpm
rm -f "$WEB/run/fpm.sock"
umask 077
# All of the program in memory from the start; what each worker shares besides (apc) is what was worked out once.
exec "$(command -v php-fpm8.2 || echo /usr/sbin/php-fpm8.2)" --nodaemonize -d opcache.enable=1 -d opcache.validate_timestamps=0 \
    -d opcache.memory_consumption=192 -d opcache.max_accelerated_files=20000 -d opcache.preload="$SEAM_CODE/bootstrap/preload.php" -d apc.shm_size=64M -y "$WEB/fpm.conf"
