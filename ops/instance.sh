# shellcheck shell=bash
# One running instance (the kitchen, the tests, the bench): its database, its pool and its web server,
# all on loopback, in a folder of its own. Sourced after lib.sh.

# shellcheck source-path=SCRIPTDIR
source "$ROOT/ops/processes.sh"
source "$ROOT/ops/database.sh"

instance() { # instance NAME FIRST_PORT: names the instance that the functions below work on
  NAME=$1
  DIR=$STATE_HOME/$1
  RUN=$DIR/run
  PG_DATA=$DIR/postgres
  FIRST_PORT=$2
  # by its pool a worker is known, even one whose master was killed
  POOL=mildbowl-$(printf '%s' "$DIR" | sha256sum | cut -c1-10)
  mkdir -p "$DIR" "$RUN/tmp" "$DIR/storage/cache" "$DIR/storage/logs" "$DIR/storage/framework/views" "$DIR/storage/framework/cache/data" "$DIR/storage/framework/sessions" "$DIR/storage/app"
  chmod 700 "$DIR/storage" "$DIR/storage/cache" "$DIR/storage/logs"
  chmod a+rx "$DIR" "$RUN"
  if [ "$(id -u)" -eq 0 ]; then chown -R "$WEB_USER" "$DIR/storage"; fi
  # shellcheck disable=SC1091
  if [ -f "$DIR/ports" ]; then . "$DIR/ports"; fi
}

environment() { # what artisan and the pool of this instance see
  export MILDBOWL_INSTANCE_DIR=$DIR LARAVEL_STORAGE_PATH=$DIR/storage
  export APP_CONFIG_CACHE=$DIR/storage/cache/config.php APP_ROUTES_CACHE=$DIR/storage/cache/routes.php APP_EVENTS_CACHE=$DIR/storage/cache/events.php
  export APP_SERVICES_CACHE=$DIR/storage/cache/services.php APP_PACKAGES_CACHE=$DIR/storage/cache/packages.php
}

write_env() { # write_env PASSWORD: this instance's secrets, readable by its own users only
  (umask 077 && cat >"$DIR/.env.new" <<ENV
APP_ENV=${APP_ENV_NAME:-production}
APP_KEY=base64:$(php -r 'echo base64_encode(random_bytes(32));')
APP_DEBUG=false
APP_URL=http://127.0.0.1
DB_HOST=127.0.0.1
DB_PORT=0
DB_DATABASE=mildbowl
DB_USERNAME=mildbowl
DB_PASSWORD=$1
ENV
  )
  mv "$DIR/.env.new" "$DIR/.env"
}

guard_secrets() { # readable by the pool's user alone
  # what was made by root in between (the tests do) is the pool's as well
  if [ "$(id -u)" -eq 0 ]; then chown -R "$WEB_USER" "$DIR/.env" "$DIR/storage"; fi
  chmod 600 "$DIR/.env"
  find "$DIR/storage/cache" -name '*.php' -exec chmod 600 {} +
}

remember_ports() {
  printf 'DB_PORT=%s\nWEB_PORT=%s\nWEB_HOME=%s\n' "${DB_PORT:-}" "${WEB_PORT:-}" "${WEB_HOME:-}" >"$DIR/ports.new"
  mv "$DIR/ports.new" "$DIR/ports"
}

usual_port() { # usual_port RECORDED FIRST: the one that was used before, as long as nobody else has it: what a browser keeps is kept by address
  if [ -n "$1" ] && [ "$(free_port "$1")" = "$1" ]; then echo "$1"; else free_port "$2"; fi
}

keep_short() { # keep_short FILE: a log that has grown long becomes yesterday's
  [ "$(stat -c %s "$1" 2>/dev/null || echo 0)" -lt 2000000 ] || mv "$1" "$1.1"
}

artisan() { # artisan ARGUMENTS…: as the web user, in this instance; what it says is shown when it fails
  local said code=0
  environment
  guard_secrets
  # its own --quiet would keep the reason of a failure to itself
  said=$(cd "$APP_HOME" && umask 077 && as "$WEB_USER" php artisan "$@" --no-ansi 2>&1) || code=$?
  [ "$code" -eq 0 ] || printf '%s\n' "$said" >&2
  return "$code"
}

migrate_and_seed() {
  local inputs
  inputs=$(hash_of "$ROOT/database")
  if [ -f "$DIR/migrated" ] && [ "$(cat "$DIR/migrated")" = "$inputs" ]; then return; fi
  step "tables and demo kitchen ($NAME)" "look at the message above; a migration in database/migrations is at fault."
  make_database
  before_an_upgrade
  artisan migrate --force --no-interaction
  artisan db:seed --class="${SEEDER:-DatabaseSeeder}" --force --no-interaction
  printf '%s' "$inputs" >"$DIR/migrated"
}

before_an_upgrade() { # what was kept until now, as the tables stand now
  [ -f "$DIR/migrated" ] || return 0
  step "a backup before the upgrade" "look at the message above; nothing was upgraded yet. Is there room on the disk?"
  artisan kitchen:backup --reason=before-upgrade
  step "tables and demo kitchen ($NAME)" "look at the message above; a migration in database/migrations is at fault. What was kept is in $DIR/storage/app/backups."
}

# A kitchen that is begun anew is backed up first. One whose database cannot be opened any more is laid aside.
set_aside_what_is_there() {
  [ -f "$PG_DATA/PG_VERSION" ] && [ -f "$DIR/migrated" ] || return 0
  step "a backup of the kitchen as it is" "look at the message above."
  if (start_database && make_database && artisan kitchen:backup --reason=before-fresh); then
    printf '  What was in it: %s\n' "$DIR/storage/app/backups"
    return
  fi
  stop_database || stop_pid "$PG_DATA/postmaster.pid" "$PG_DATA" QUIT
  mv "$PG_DATA" "$PG_DATA.before-$(date +%Y%m%d%H%M%S)"
  printf '  It could not be backed up: its database lies in %s now.\n' "$PG_DATA.before-*"
}

# Night by night, and whatever else has its hour. Its number is written by itself, as the unprivileged user it runs as.
start_scheduler() {
  local pid=$DIR/storage/scheduler.pid
  if alive "$pid" "$DIR" && [ -z "${CODE_CHANGED:-}" ]; then return; fi
  stop_scheduler
  environment
  local run=(setsid sh -c 'echo $$ >"$1" && exec php -d "mildbowl.instance=$2" "$3/artisan" schedule:work' scheduler "$pid" "$DIR" "$APP_HOME")
  if [ "$(id -u)" -eq 0 ]; then run=(runuser -u "$WEB_USER" -- "${run[@]}"); fi
  # exec: a shell that stayed behind would hold whatever bin/start has open, its lock first of all
  (cd "$APP_HOME" && exec "${run[@]}" >/dev/null 2>>"$DIR/storage/logs/scheduler.log" </dev/null &)
}

stop_scheduler() { stop_pid "$DIR/storage/scheduler.pid" "$DIR" TERM; }

publish_code() { # where the pool cannot reach the clone, it reads a copy
  [ "$APP_HOME" = "$ROOT" ] && return
  step "a copy of the code that the web server can read" "is there room on the disk at $STATE_HOME?"
  mkdir -p "$APP_HOME"
  (cd "$ROOT" && tar -c --exclude=./node_modules --exclude=./.git --exclude=./var --exclude=./test-results -h .) | tar -x -C "$APP_HOME"
  chmod -R a+rX "$APP_HOME"
}

cache_configuration() {
  local inputs
  inputs=$(hash_of "$ROOT/config" "$ROOT/routes" "$ROOT/core/src/Contract/Contract.php" "$DIR/.env" "$ROOT/bootstrap/app.php" "$ROOT/var/stamps/composer")
  if [ -f "$DIR/storage/cache/config.php" ] && [ -f "$DIR/cached" ] && [ "$(cat "$DIR/cached")" = "$inputs" ]; then return; fi
  artisan config:cache
  artisan route:cache
  artisan view:cache
  guard_secrets
  printf '%s' "$inputs" >"$DIR/cached"
  CODE_CHANGED=1
}

server_is_up() {
  alive "$RUN/fpm.pid" "$RUN" && alive "$RUN/nginx.pid" "$RUN"
}

start_server() {
  local inputs
  inputs=$(hash_of "$ROOT/app" "$ROOT/config" "$ROOT/routes" "$ROOT/bootstrap/app.php" "$ROOT/core/src" "$ROOT/core/build" "$ROOT/resources/views" "$ROOT/ops")
  if server_is_up && [ -f "$DIR/serving" ] && [ "$(cat "$DIR/serving")" = "$inputs" ] && [ -z "${CODE_CHANGED:-}" ]; then return; fi
  step "web server ($NAME)" "look at $RUN/nginx-error.log and $RUN/fpm.log."
  stop_server
  WEB_HOME=${WEB_HOME:-${WEB_PORT:-}}
  WEB_PORT=$(usual_port "$WEB_HOME" "$FIRST_PORT")
  WEB_HOME=${WEB_HOME:-$WEB_PORT}
  remember_ports
  [ "$WEB_PORT" = "$WEB_HOME" ] || printf '  Port %s is taken by another program: this time the kitchen is at %s, and what waits in a browser at the other address waits there.\n' "$WEB_HOME" "$WEB_PORT"
  keep_short "$RUN/nginx-error.log"
  keep_short "$RUN/fpm.log"
  local user_line="" user_lines="" fpm
  if [ "$(id -u)" -eq 0 ]; then
    user_line="user $WEB_USER;"
    user_lines="user = $WEB_USER\ngroup = $WEB_USER\nlisten.owner = $WEB_USER\nlisten.group = $WEB_USER\nlisten.mode = 0600"
  fi
  fpm=$(command -v php-fpm8.2 || command -v php-fpm || ls /usr/sbin/php-fpm* | sort -V | tail -n1)
  sed -e "s|__RUN__|$RUN|g; s|__APP__|$APP_HOME|g; s|__PORT__|$WEB_PORT|g; s|__USER_LINE__|$user_line|" ops/nginx.conf.template >"$RUN/nginx.conf"
  sed -e "s|__RUN__|$RUN|g; s|__INSTANCE__|$DIR|g; s|__POOL__|$POOL|g; s|__USER_LINES__|$user_lines|; s|__VALIDATE__|${OPCACHE_VALIDATE:-0}|" ops/php-fpm.conf.template >"$RUN/php-fpm.conf"
  local preload=()
  if [ "$(id -u)" -eq 0 ]; then preload=(-d "opcache.preload_user=$WEB_USER"); fi
  "$fpm" -d "opcache.preload=$APP_HOME/ops/preload.php" "${preload[@]}" --fpm-config "$RUN/php-fpm.conf" --prefix "$RUN"
  PATH=$PATH:/usr/sbin nginx -c "$RUN/nginx.conf" -p "$RUN" -e "$RUN/nginx-error.log"
  wait_until_answering
  note_process "$RUN/fpm.pid"
  note_process "$RUN/nginx.pid"
  printf '%s' "$inputs" >"$DIR/serving"
}

wait_until_answering() {
  local i
  for i in $(seq 100); do
    curl -fsS -o /dev/null --max-time 5 "http://127.0.0.1:$WEB_PORT/robots.txt" 2>/dev/null && return
    sleep 0.1
  done
  echo "No answer from http://127.0.0.1:$WEB_PORT" >&2
  return 1
}

stop_server() {
  stop_pid "$RUN/nginx.pid" "$RUN" QUIT
  stop_pid "$RUN/fpm.pid" "$RUN" QUIT
  sweep nginx
  sweep php-fpm
}

stop_instance() {
  stop_scheduler
  stop_server
  stop_database
}

start_instance() {
  publish_code
  start_database
  make_database
  migrate_and_seed
  cache_configuration
  start_server
}

address() { printf 'http://127.0.0.1:%s' "$WEB_PORT"; }
