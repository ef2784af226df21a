settle_place >/dev/null
settle_code >/dev/null
write_settings
database_answers || fail "the database does not answer: run ./seam start first."
database_account
artisan seam:mail "$@"
