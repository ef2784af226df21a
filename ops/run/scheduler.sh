#!/usr/bin/env bash
# Run by the supervisor as the account of the services: what is due is done each minute, by Laravel's scheduler.
set -u
cd /
. "$SEAM_CODE/ops/run/left.sh"
clear_left "$SEAM_VAR/web/run" scheduler php
umask 077
exec php "$SEAM_CODE/artisan" schedule:work --quiet
