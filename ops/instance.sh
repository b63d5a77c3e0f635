# shellcheck shell=bash
# One running instance (the kitchen, the tests, the bench): its database, its pool and its web server,
# all on loopback, in a folder of its own. Sourced after lib.sh.

PG_BIN=$(dirname "$(readlink -f "$(command -v initdb || ls /usr/lib/postgresql/*/bin/initdb 2>/dev/null | sort -V | tail -n1)")" 2>/dev/null || true)

instance() { # instance NAME FIRST_PORT: names the instance that the functions below work on
  NAME=$1
  DIR=$STATE_HOME/$1
  RUN=$DIR/run
  PG_DATA=$DIR/postgres
  FIRST_PORT=$2
  mkdir -p "$DIR" "$RUN/tmp" "$DIR/storage/cache" "$DIR/storage/logs" "$DIR/storage/framework/views" "$DIR/storage/framework/cache/data" "$DIR/storage/framework/sessions" "$DIR/storage/app"
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

database_is_up() {
  [ -n "${DB_PORT:-}" ] && alive "$PG_DATA/postmaster.pid" postgres && "$PG_BIN/pg_isready" -q -h 127.0.0.1 -p "$DB_PORT"
}

start_database() {
  database_is_up && return
  PG_BIN=${PG_BIN:-$(dirname "$(ls /usr/lib/postgresql/*/bin/initdb | sort -V | tail -n1)")}
  step "database ($NAME)" "look at $RUN/postgres.log; 'bin/start --fresh' makes the database anew (and loses what is in it)."
  if [ ! -f "$PG_DATA/PG_VERSION" ]; then
    local password
    password=$(php -r 'echo bin2hex(random_bytes(18));')
    rm -rf "$PG_DATA"
    install -d -m 700 "$PG_DATA"
    printf '%s' "$password" >"$RUN/pw"
    chmod 600 "$RUN/pw"
    if [ "$(id -u)" -eq 0 ]; then chown "$DB_USER" "$PG_DATA" "$RUN/pw"; fi
    (cd / && as "$DB_USER" "$PG_BIN/initdb" -D "$PG_DATA" -U mildbowl --pwfile="$RUN/pw" --encoding=UTF8 --locale=C.UTF-8 --auth=scram-sha-256 >"$RUN/initdb.log" 2>&1) || { cat "$RUN/initdb.log" >&2; return 1; }
    rm -f "$RUN/pw"
    write_env "$password"
  fi
  DB_PORT=$(free_port $((FIRST_PORT + 1)))
  : >"$RUN/postgres.log"
  if [ "$(id -u)" -eq 0 ]; then chown "$DB_USER" "$RUN/postgres.log"; fi
  (cd / && as "$DB_USER" "$PG_BIN/pg_ctl" -D "$PG_DATA" -w -t 30 -s -l "$RUN/postgres.log" \
    -o "-c listen_addresses=127.0.0.1 -c port=$DB_PORT -c unix_socket_directories='' -c shared_buffers=64MB -c max_connections=40 ${PG_OPTIONS:-}" start)
  remember_ports
  sed -i "s/^DB_PORT=.*/DB_PORT=$DB_PORT/" "$DIR/.env"
  rm -f "$DIR/storage/cache/config.php"
}

write_env() { # write_env PASSWORD: this instance's secrets, readable by its own users only
  cat >"$DIR/.env" <<ENV
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
  chmod 640 "$DIR/.env"
  if [ "$(id -u)" -eq 0 ]; then chgrp "$WEB_USER" "$DIR/.env"; fi
}

remember_ports() {
  printf 'DB_PORT=%s\nWEB_PORT=%s\n' "${DB_PORT:-}" "${WEB_PORT:-}" >"$DIR/ports"
}

make_database() { # make_database [NAME]: creates it when it is not there yet
  local name=${1:-mildbowl}
  PGPASSWORD=$(sed -n 's/^DB_PASSWORD=//p' "$DIR/.env") "$PG_BIN/psql" -q -h 127.0.0.1 -p "$DB_PORT" -U mildbowl -d postgres -tAc "SELECT 1 FROM pg_database WHERE datname = '$name'" | grep -q 1 ||
    PGPASSWORD=$(sed -n 's/^DB_PASSWORD=//p' "$DIR/.env") "$PG_BIN/psql" -q -h 127.0.0.1 -p "$DB_PORT" -U mildbowl -d postgres -c "CREATE DATABASE $name"
}

artisan() { # artisan ARGUMENTS…: as the web user, in this instance
  environment
  (cd "$APP_HOME" && as "$WEB_USER" php artisan "$@")
}

migrate_and_seed() {
  local inputs
  inputs=$(hash_of "$ROOT/database")
  if [ -f "$DIR/migrated" ] && [ "$(cat "$DIR/migrated")" = "$inputs" ]; then return; fi
  step "tables and demo kitchen ($NAME)" "look at the message above; a migration in database/migrations is at fault."
  make_database
  artisan migrate --force --no-interaction --quiet
  artisan db:seed --force --no-interaction --quiet
  printf '%s' "$inputs" >"$DIR/migrated"
}

publish_code() { # where the pool cannot reach the clone, it reads a copy
  [ "$APP_HOME" = "$ROOT" ] && return
  step "a copy of the code that the web server can read" "is there room on the disk at $STATE_HOME?"
  mkdir -p "$APP_HOME"
  (cd "$ROOT" && tar -c --exclude=./node_modules --exclude=./.git --exclude=./var --exclude=./test-results -h .) | tar -x -C "$APP_HOME"
  chmod -R a+rX "$APP_HOME"
}

cache_configuration() {
  local inputs
  inputs=$(hash_of "$ROOT/config" "$ROOT/routes" "$DIR/.env" "$ROOT/bootstrap/app.php" "$ROOT/var/stamps/composer")
  if [ -f "$DIR/storage/cache/config.php" ] && [ -f "$DIR/cached" ] && [ "$(cat "$DIR/cached")" = "$inputs" ]; then return; fi
  artisan config:cache --quiet
  artisan route:cache --quiet
  artisan view:cache --quiet
  printf '%s' "$inputs" >"$DIR/cached"
  CODE_CHANGED=1
}

server_is_up() {
  alive "$RUN/fpm.pid" php-fpm && alive "$RUN/nginx.pid" nginx
}

start_server() {
  local inputs
  inputs=$(hash_of "$ROOT/app" "$ROOT/config" "$ROOT/routes" "$ROOT/bootstrap/app.php" "$ROOT/core/src" "$ROOT/core/build" "$ROOT/resources/views" "$ROOT/ops")
  if server_is_up && [ -f "$DIR/serving" ] && [ "$(cat "$DIR/serving")" = "$inputs" ] && [ -z "${CODE_CHANGED:-}" ]; then return; fi
  step "web server ($NAME)" "look at $RUN/nginx-error.log and $RUN/fpm.log."
  stop_server
  WEB_PORT=$(free_port "$FIRST_PORT")
  remember_ports
  local user_line="" user_lines="" fpm
  if [ "$(id -u)" -eq 0 ]; then
    user_line="user $WEB_USER;"
    user_lines="user = $WEB_USER\ngroup = $WEB_USER\nlisten.owner = $WEB_USER\nlisten.group = $WEB_USER\nlisten.mode = 0600"
  fi
  fpm=$(command -v php-fpm8.2 || command -v php-fpm || ls /usr/sbin/php-fpm* | sort -V | tail -n1)
  sed -e "s|__RUN__|$RUN|g; s|__APP__|$APP_HOME|g; s|__PORT__|$WEB_PORT|g; s|__USER_LINE__|$user_line|" ops/nginx.conf.template >"$RUN/nginx.conf"
  sed -e "s|__RUN__|$RUN|g; s|__INSTANCE__|$DIR|g; s|__USER_LINES__|$user_lines|; s|__VALIDATE__|${OPCACHE_VALIDATE:-0}|" ops/php-fpm.conf.template >"$RUN/php-fpm.conf"
  local preload=()
  if [ "$(id -u)" -eq 0 ]; then preload=(-d "opcache.preload_user=$WEB_USER"); fi
  "$fpm" -d "opcache.preload=$APP_HOME/ops/preload.php" "${preload[@]}" --fpm-config "$RUN/php-fpm.conf" --prefix "$RUN"
  PATH=$PATH:/usr/sbin nginx -c "$RUN/nginx.conf" -p "$RUN" -e "$RUN/nginx-error.log"
  wait_until_answering
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
  stop_pid "$RUN/nginx.pid" nginx QUIT
  stop_pid "$RUN/fpm.pid" php-fpm QUIT
}

stop_pid() { # stop_pid PIDFILE WORD SIGNAL: only a process that is ours
  alive "$1" "$2" || return 0
  local pid i
  pid=$(head -n1 "$1")
  kill -"$3" "$pid" 2>/dev/null || true
  for i in $(seq 50); do
    [ -d "/proc/$pid" ] || return 0
    sleep 0.1
  done
  kill -KILL "$pid" 2>/dev/null || true
}

stop_database() {
  alive "$PG_DATA/postmaster.pid" postgres || return 0
  (cd / && as "$DB_USER" "$PG_BIN/pg_ctl" -D "$PG_DATA" -m fast -w -t 30 -s stop)
}

stop_instance() {
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
