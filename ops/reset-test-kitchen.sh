#!/usr/bin/env bash
# The test kitchen as new: tables dropped and seeded again. Playwright calls it before each file.
# shellcheck source-path=SCRIPTDIR/..
source "$(dirname "${BASH_SOURCE[0]}")/lib.sh"
source "$ROOT/ops/instance.sh"
read -r name port <<<"${MILDBOWL_INSTANCE:-test 8680}"
instance "$name" "$port"
rm -rf "$DIR/storage/app/shifted-clock" "$DIR/storage/app/backups"
artisan migrate:fresh --seed --force --no-interaction
