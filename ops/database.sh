# shellcheck shell=bash
# The database of an instance. Two roles: mildbowl_owner made the cluster and is used here only; mildbowl is the application's, and owns
# nothing but its tables. Sourced after processes.sh.

PG_BIN=$(dirname "$(readlink -f "$(command -v initdb || ls /usr/lib/postgresql/*/bin/initdb 2>/dev/null | sort -V | tail -n1)")" 2>/dev/null || true)
OWNER=mildbowl_owner
ROLE=mildbowl

secret() { php -r 'echo bin2hex(random_bytes(18));'; }

database_is_up() {
  [ -n "${DB_PORT:-}" ] && alive "$PG_DATA/postmaster.pid" "$PG_DATA" && "$PG_BIN/pg_isready" -q -h 127.0.0.1 -p "$DB_PORT"
}

# One that is there and does not answer mends itself after one of its workers was killed: that is waited for, not started over.
came_back() {
  local i
  for i in $(seq 150); do
    [ "${DB_PORT:-0}" != 0 ] || DB_PORT=$(sed -n 4p "$PG_DATA/postmaster.pid" 2>/dev/null)
    database_is_up && return
    alive "$PG_DATA/postmaster.pid" "$PG_DATA" || return 1
    sleep 0.1
  done
  stop_database || stop_pid "$PG_DATA/postmaster.pid" "$PG_DATA" QUIT
  return 1
}

start_database() {
  came_back || begin_database
  # a start that was killed between the two leaves a server that answers and nothing written down of it
  say_where_it_is
  as_it_was_before
}

say_where_it_is() {
  [ -f "$DIR/.env" ] || write_env "$(secret)"
  grep -qx "DB_PORT=$DB_PORT" "$DIR/ports" 2>/dev/null || remember_ports
  grep -qx "DB_PORT=$DB_PORT" "$DIR/.env" && return
  sed -i "s/^DB_PORT=.*/DB_PORT=$DB_PORT/" "$DIR/.env"
  rm -f "$DIR/storage/cache/config.php"
}

begin_database() {
  PG_BIN=${PG_BIN:-$(dirname "$(ls /usr/lib/postgresql/*/bin/initdb | sort -V | tail -n1)")}
  step "database ($NAME)" "look at $RUN/postgres.log; 'bin/start --fresh' makes the database anew (and loses what is in it)."
  make_cluster
  clear_after_a_crash
  DB_PORT=$(usual_port "${DB_PORT:-}" $((FIRST_PORT + 1)))
  keep_short "$RUN/postgres.log"
  touch "$RUN/postgres.log"
  if [ "$(id -u)" -eq 0 ]; then chown "$DB_USER" "$RUN/postgres.log"; fi
  local i
  for i in 1 2 3 4 5; do
    (cd / && as "$DB_USER" "$PG_BIN/pg_ctl" -D "$PG_DATA" -w -t 60 -s -l "$RUN/postgres.log" \
      -o "-c listen_addresses=127.0.0.1 -c port=$DB_PORT -c unix_socket_directories='' -c shared_buffers=64MB -c max_connections=40 ${PG_OPTIONS:-}" start) && break
    # what a killed server left in memory is let go after a moment
    [ "$i" -lt 5 ] || return 1
    sweep postgres
    sleep 1
  done
}

# Made beside its place and put there whole: a first start that was interrupted begins again.
make_cluster() {
  if [ -f "$PG_DATA/PG_VERSION" ] && [ ! -f "$DIR/.env" ]; then
    if [ -f "$DIR/owner.pw" ]; then write_env "$(secret)"; else mv "$PG_DATA" "$PG_DATA.unfinished-$(date +%s)"; fi
  fi
  [ -f "$PG_DATA/PG_VERSION" ] && return
  local new=$PG_DATA.new
  rm -rf "$new" "$DIR/owner.pw" "$DIR/migrated"
  install -d -m 700 "$new"
  (umask 077 && secret >"$DIR/owner.pw" && cp "$DIR/owner.pw" "$RUN/pw")
  if [ "$(id -u)" -eq 0 ]; then chown "$DB_USER" "$new" "$RUN/pw"; fi
  (cd / && as "$DB_USER" "$PG_BIN/initdb" -D "$new" -U "$OWNER" --pwfile="$RUN/pw" --encoding=UTF8 --locale=C.UTF-8 --auth=scram-sha-256 >"$RUN/initdb.log" 2>&1) || { cat "$RUN/initdb.log" >&2; return 1; }
  rm -f "$RUN/pw"
  write_env "$(secret)"
  rm -rf "$PG_DATA"
  mv "$new" "$PG_DATA"
}

# A lock file whose process is another's now, or gone; workers whose server was killed.
clear_after_a_crash() {
  if [ -f "$PG_DATA/postmaster.pid" ] && ! alive "$PG_DATA/postmaster.pid" "$PG_DATA"; then
    sweep postgres
    rm -f "$PG_DATA/postmaster.pid"
  fi
}

# Until a while ago the application worked as the cluster's own role. That one gets another name, and the application a plain one.
as_it_was_before() {
  [ -f "$DIR/owner.pw" ] && return
  local old
  old=$(sed -n 's/^DB_PASSWORD=//p' "$DIR/.env")
  if PGPASSWORD=$old psql_as "$ROLE" postgres -c 'SELECT 1' >/dev/null 2>&1; then
    # by its input: what stands in a command can be read by everybody on the machine
    PGPASSWORD=$old psql_as "$ROLE" postgres <<<"DROP ROLE IF EXISTS mildbowl_step; CREATE ROLE mildbowl_step SUPERUSER LOGIN PASSWORD '$old'"
    PGPASSWORD=$old psql_as mildbowl_step postgres -c "ALTER ROLE $ROLE RENAME TO $OWNER"
  fi
  PGPASSWORD=$old psql_as "$OWNER" postgres -c "DROP ROLE IF EXISTS mildbowl_step"
  (umask 077 && printf '%s' "$old" >"$DIR/owner.pw")
  sed -i "s/^DB_PASSWORD=.*/DB_PASSWORD=$(secret)/" "$DIR/.env"
}

psql_as() { # psql_as ROLE DATABASE ARGUMENTS…
  local role=$1 database=$2
  shift 2
  PGOPTIONS="-c client_min_messages=warning" "$PG_BIN/psql" -q -X -v ON_ERROR_STOP=1 -h 127.0.0.1 -p "$DB_PORT" -U "$role" -d "$database" "$@"
}

owner() { PGPASSWORD=$(cat "$DIR/owner.pw") psql_as "$OWNER" "$@"; }

make_database() { # make_database [NAME]: the database and the application's role, as they should be
  local name=${1:-mildbowl} password
  password=$(sed -n 's/^DB_PASSWORD=//p' "$DIR/.env")
  owner postgres -tAc "SELECT 1 FROM pg_roles WHERE rolname = '$ROLE'" | grep -q 1 || owner postgres -c "CREATE ROLE $ROLE LOGIN"
  owner postgres <<<"ALTER ROLE $ROLE NOSUPERUSER NOCREATEDB NOCREATEROLE NOREPLICATION NOBYPASSRLS LOGIN PASSWORD '$password'"
  owner postgres -tAc "SELECT 1 FROM pg_database WHERE datname = '$name'" | grep -q 1 || owner postgres -c "CREATE DATABASE $name"
  owner "$name" -c "REVOKE ALL ON SCHEMA public FROM PUBLIC" -c "GRANT USAGE, CREATE ON SCHEMA public TO $ROLE" -c "
    DO \$\$ DECLARE name text; BEGIN
      FOR name IN SELECT tablename FROM pg_tables WHERE schemaname = 'public' AND tableowner <> '$ROLE' LOOP EXECUTE format('ALTER TABLE public.%I OWNER TO $ROLE', name); END LOOP;
    END \$\$"
}

stop_database() {
  alive "$PG_DATA/postmaster.pid" "$PG_DATA" || return 0
  (cd / && as "$DB_USER" "$PG_BIN/pg_ctl" -D "$PG_DATA" -m fast -w -t 30 -s stop)
}
