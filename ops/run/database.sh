#!/usr/bin/env bash
# Run by the supervisor as the database's account.
set -u
cd /
. "$SEAM_CODE/ops/run/left.sh"
DB="$SEAM_VAR/db"
clear_left "$DB/run" database mariadbd
rm -f "$DB/run/my.sock" "$DB/run/my.pid"
exec mariadbd --no-defaults --datadir="$DB/data" --socket="$DB/run/my.sock" --pid-file="$DB/run/my.pid" \
    --bind-address=127.0.0.1 --port="$SEAM_DB_PORT" --skip-name-resolve --character-set-server=utf8mb4 \
    --collation-server=utf8mb4_unicode_ci --innodb-buffer-pool-size="${SEAM_DB_BUFFER:-128M}" --max-allowed-packet=64M
