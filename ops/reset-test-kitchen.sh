#!/usr/bin/env bash
# The test kitchen as new: tables dropped and seeded again. Playwright calls it before each file.
# shellcheck source-path=SCRIPTDIR/..
source "$(dirname "${BASH_SOURCE[0]}")/lib.sh"
source "$ROOT/ops/instance.sh"
instance test 8680
artisan migrate:fresh --seed --force --no-interaction --quiet
