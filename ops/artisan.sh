# Contracts are written into the checkout, by whoever works on it; all else is done as the services do it.
case "${1:-}" in
    seam:contract) exec php "$ROOT/artisan" "$@" ;;
esac
settle_place
settle_code
write_settings
artisan "$@"
