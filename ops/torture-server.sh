#!/usr/bin/env bash
# What befalls the kitchen of bin/torture: a part of it is killed, or it is started again as bin/start would.
#   ops/torture-server.sh kill fpm|worker|nginx|postgres|all
#   ops/torture-server.sh start
# shellcheck source-path=SCRIPTDIR/..
source "$(dirname "${BASH_SOURCE[0]}")/lib.sh"
source "$ROOT/ops/instance.sh"
instance torture 9080
if [ "$1" = start ]; then start_instance; exit 0; fi
case "$2" in
  fpm) kill -9 "$(head -n1 "$RUN/fpm.pid")" 2>/dev/null || true ;;
  worker) for pid in $(orphans); do kill -9 "$pid" 2>/dev/null || true; done ;;
  nginx) kill -9 "$(head -n1 "$RUN/nginx.pid")" 2>/dev/null || true ;;
  postgres) kill -9 "$(head -n1 "$PG_DATA/postmaster.pid")" 2>/dev/null || true ;;
  all) for file in "$RUN/fpm.pid" "$RUN/nginx.pid" "$PG_DATA/postmaster.pid"; do kill -9 "$(head -n1 "$file")" 2>/dev/null || true; done ;;
esac
