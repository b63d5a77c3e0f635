#!/usr/bin/env bash
# The test kitchen as new. Playwright calls it before each file. The demo is seeded once a day and copied from then on:
# the seeders count from today, and the copy is a twentieth of their time.
# shellcheck source-path=SCRIPTDIR/..
source "$(dirname "${BASH_SOURCE[0]}")/lib.sh"
source "$ROOT/ops/instance.sh"
read -r name port <<<"${MILDBOWL_INSTANCE:-test 8680}"
case "$name" in test*) ;; *) echo "Only a test kitchen is made new by a test." >&2; exit 1 ;; esac
instance "$name" "$port"
rm -rf "$DIR/storage/app/shifted-clock" "$DIR/storage/app/backups"
made_from="$(hash_of "$ROOT/database" "$ROOT/core/data" "$ROOT/core/src" "$ROOT/app") $(date -u +%F)"
if [ "$(cat "$DIR/as-new" 2>/dev/null || true)" != "$made_from" ]; then
  rm -f "$DIR/as-new"
  artisan migrate:fresh --seed --force --no-interaction
  owner postgres -c "DROP DATABASE IF EXISTS mildbowl_as_new WITH (FORCE)"
  owner postgres -c "SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = 'mildbowl' AND pid <> pg_backend_pid()" >/dev/null
  owner postgres -c "CREATE DATABASE mildbowl_as_new TEMPLATE mildbowl"
  printf '%s' "$made_from" >"$DIR/as-new"
else
  owner postgres -c "DROP DATABASE IF EXISTS mildbowl WITH (FORCE)" -c "CREATE DATABASE mildbowl TEMPLATE mildbowl_as_new"
fi
