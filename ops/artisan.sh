write_settings
artisan "$@"
