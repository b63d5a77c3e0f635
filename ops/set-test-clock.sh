#!/usr/bin/env bash
# Shifts the clock of a test kitchen by so many seconds: set-test-clock.sh SECONDS. Playwright calls it; 0 sets it right again.
# shellcheck source-path=SCRIPTDIR/..
source "$(dirname "${BASH_SOURCE[0]}")/lib.sh"
source "$ROOT/ops/instance.sh"
read -r name port <<<"${MILDBOWL_INSTANCE:-test 8680}"
case "$name" in test*) ;; *) echo "Only a test kitchen has a clock that can be shifted." >&2; exit 1 ;; esac
instance "$name" "$port"
printf '%s\n' "$1" >"$DIR/storage/app/shifted-clock"
chmod a+r "$DIR/storage/app/shifted-clock"
