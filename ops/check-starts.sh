#!/usr/bin/env bash
# Opens a kitchen of its own after everything that may have befallen it before: an interrupted first start, each part killed, files that
# name somebody else's process, a port that is taken. Each time it has to answer, with what was in it. Says what failed.
# shellcheck source-path=SCRIPTDIR/..
source "$(dirname "${BASH_SOURCE[0]}")/lib.sh"
source "$ROOT/ops/instance.sh"
trap - EXIT
set +e
PLACE=(starts 9180)
failures=0
begin() { instance "${PLACE[@]}"; }
open_it() { (begin; set -e; start_instance) >"$ROOT/var/starts.log" 2>&1; }
answers() { # answers WHAT: whether the kitchen is open, with its dogs in it
  begin
  if curl -fsS --max-time 10 "http://127.0.0.1:$WEB_PORT/api/dogs" 2>/dev/null | grep -q '"Quill"'; then printf '  %s\n' "$1"; return; fi
  failures=$((failures + 1))
  printf '  NOT OPEN: %s\n' "$1"
  tail -n 5 "$ROOT/var/starts.log"
}
shut() { (begin; stop_instance) >/dev/null 2>&1; }
away() { shut; rm -rf "$STATE_HOME/${PLACE[0]}"; }

away
for after in 0.2 0.9 1.3 2.0 3.0; do
  # a first start is killed with all that it began, as by a lost plug
  setsid bash -c 'source "$0/ops/lib.sh"; source "$0/ops/instance.sh"; instance starts 9180; start_instance' "$ROOT" >/dev/null 2>&1 & started=$!
  sleep "$after"
  kill -KILL -- -"$started" 2>/dev/null
  wait "$started" 2>/dev/null
  open_it
  answers "after a first start that was killed at $after s"
  away
done

(begin; set -e; start_database) >/dev/null 2>&1
begin
rm -f "$DIR/ports"
sed -i 's/^DB_PORT=.*/DB_PORT=0/' "$DIR/.env"
open_it
answers "after a first start that was killed when its database had begun and nothing was written down"

open_it
begin
killed() { # killed WHAT PID…
  local what=$1
  shift
  kill -9 "$@" 2>/dev/null
  open_it
  answers "after a kill of $what"
}
killed "the pool" "$(head -n1 "$RUN/fpm.pid")"
killed "the web server" "$(head -n1 "$RUN/nginx.pid")"
killed "the database" "$(head -n1 "$PG_DATA/postmaster.pid")"
killed "all three" "$(head -n1 "$RUN/fpm.pid")" "$(head -n1 "$RUN/nginx.pid")" "$(head -n1 "$PG_DATA/postmaster.pid")"
# shellcheck disable=SC2046
killed "every worker" $(orphans)

shut
begin
sleep 300 & foreign=$!
for file in "$RUN/fpm.pid" "$RUN/nginx.pid" "$PG_DATA/postmaster.pid"; do echo "$foreign" >"$file"; done
open_it
answers "after files that name another's process"
kill -0 "$foreign" 2>/dev/null || { failures=$((failures + 1)); echo "  KILLED another's process"; }
kill "$foreign" 2>/dev/null
wait "$foreign" 2>/dev/null

shut
begin
home=$WEB_PORT
php -S "127.0.0.1:$home" -t "$RUN" >/dev/null 2>&1 & taken=$!
sleep 0.5
open_it
answers "with its port taken"
begin
[ "$WEB_PORT" != "$home" ] || { failures=$((failures + 1)); echo "  stayed on a port that is another's"; }
shut
kill "$taken" 2>/dev/null
wait "$taken" 2>/dev/null
open_it
answers "with its port free again"
begin
[ "$WEB_PORT" = "$home" ] || { failures=$((failures + 1)); echo "  did not go back to its own port"; }
# what goes on in the background holds nothing that the next command waits for
exec 8>"$ROOT/var/starts.lock"
flock -n 8
begin
(set -e; start_scheduler 8>&-) >/dev/null 2>&1
exec 8>&-
exec 8>"$ROOT/var/starts.lock"
# another hand may hold it for the moment between a fork and its exec; the fault was holding it as long as the scheduler lives
if flock -w 5 8; then printf '  %s\n' "with its scheduler begun, and the lock free"; else failures=$((failures + 1)); echo "  the scheduler HOLDS the lock of its start"; fi
exec 8>&-
for _ in $(seq 30); do alive "$DIR/storage/scheduler.pid" "$DIR" && break; sleep 0.1; done
alive "$DIR/storage/scheduler.pid" "$DIR" || { failures=$((failures + 1)); echo "  NO SCHEDULER"; }
(begin; stop_scheduler) >/dev/null 2>&1
alive "$DIR/storage/scheduler.pid" "$DIR" && { failures=$((failures + 1)); echo "  the scheduler GOES ON after it was stopped"; }
away
[ "$failures" -eq 0 ]
