# shellcheck shell=bash
# Shared by every command in bin/: where things live, how a step is announced
# and how it fails. Sourced, never run.
set -euo pipefail

ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd -P)
export ROOT
cd "$ROOT"

# The user that serves pages and owns the database when the command runs as root
# (neither PostgreSQL nor a web pool may run as root).
if [ "$(id -u)" -eq 0 ]; then
  DB_USER=postgres
  WEB_USER=www-data
else
  DB_USER=$(id -un)
  WEB_USER=$(id -un)
fi

CURRENT_STEP="starting"
CURRENT_REMEDY=""

# step NAME REMEDY: names what is being done, and what to do should it fail.
step() {
  CURRENT_STEP=$1
  CURRENT_REMEDY=${2:-}
  printf '  %s\n' "$1"
}

failed() {
  local code=$?
  [ "$code" -eq 0 ] && return
  printf '\nStopped at: %s\n' "$CURRENT_STEP" >&2
  [ -n "$CURRENT_REMEDY" ] && printf 'What to do: %s\n' "$CURRENT_REMEDY" >&2
  exit "$code"
}
trap failed EXIT

as() { # as USER COMMAND…: run as an unprivileged user when we are root
  local user=$1
  shift
  if [ "$(id -u)" -eq 0 ]; then runuser -u "$user" -- "$@"; else "$@"; fi
}

reachable() { # reachable USER DIR: can this user enter this folder?
  as "$1" test -x "$2" 2>/dev/null && as "$1" test -r "$2" 2>/dev/null
}

# Where the running parts live. Beside the code when the unprivileged users can
# reach it and socket paths stay short; else in a folder of its own.
state_home() {
  local short
  if [ "${#ROOT}" -le 60 ] && reachable "$DB_USER" "$ROOT" && reachable "$WEB_USER" "$ROOT"; then
    printf '%s/var' "$ROOT"
    return
  fi
  short=$(printf '%s' "$ROOT" | sha256sum | cut -c1-10)
  if [ "$(id -u)" -eq 0 ]; then printf '/var/lib/mildbowl-%s' "$short"; else printf '%s/.mildbowl-%s' "$HOME" "$short"; fi
}

STATE_HOME=$(state_home)
mkdir -p "$ROOT/var" "$STATE_HOME"
chmod a+rx "$STATE_HOME"

# Code the web pool can read: the clone itself, or a copy when it cannot be reached.
if [ "$STATE_HOME" = "$ROOT/var" ]; then APP_HOME=$ROOT; else APP_HOME=$STATE_HOME/app; fi

stamp_is() { # stamp_is NAME HASH: was this step last done for these inputs?
  [ -f "$ROOT/var/stamps/$1" ] && [ "$(cat "$ROOT/var/stamps/$1")" = "$2" ]
}

stamp() {
  mkdir -p "$ROOT/var/stamps"
  printf '%s' "$2" >"$ROOT/var/stamps/$1"
}

hash_of() { # hash_of PATH…: one hash over the files below these paths
  find "$@" -type f -not -path '*/node_modules/*' -not -path '*/vendor/*' -print0 2>/dev/null |
    LC_ALL=C sort -z | xargs -0 -r sha256sum | sha256sum | cut -c1-32
}

free_port() { # free_port FIRST: the first loopback port from here that nobody listens on
  php -r '
    for ($p = (int) $argv[1]; $p < (int) $argv[1] + 400; $p++) {
      $s = @stream_socket_server("tcp://127.0.0.1:$p");
      if ($s) { fclose($s); echo $p; exit(0); }
    }
    fwrite(STDERR, "no free port\n"); exit(1);' "$1"
}
