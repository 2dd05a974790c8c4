# PostgreSQL in the checkout's own folder, on loopback, always as a non-root user.
PG_BIN=""

# Runs a program as the user the cluster belongs to.
as_pg() {
  if is_root; then
    setpriv --reuid=postgres --regid=postgres --init-groups --reset-env -- "$@"
  else
    "$@"
  fi
}

# The folder for a cluster named $1. Under root it must be one that the postgres user can reach; where
# the checkout itself is closed to it, the cluster stands under /var/lib/jerboa and a link leads there.
pg_folder() {
  local dir="$DATA/$1"
  if is_root && [ ! -L "$dir" ] && [ ! -e "$dir" ] && ! as_pg test -x "$DATA"; then
    local outside
    outside="/var/lib/jerboa/$(printf '%s' "$ROOT" | sha256sum | cut -c1-12)-$1"
    mkdir -p "$outside"
    chmod 755 /var/lib/jerboa
    ln -s "$outside" "$dir"
  fi
  mkdir -p "$(readlink -f "$dir")"
  if is_root; then chown postgres:postgres "$(readlink -f "$dir")"; fi
  chmod 700 "$(readlink -f "$dir")"
  readlink -f "$dir"
}

# pg_create FOLDER PASSWORD-FILE: a cluster with one superuser, jerboa, and a password.
pg_create() {
  local dir=$1 pw="$1.pw"
  (umask 077; cat "$2" >"$pw")
  if is_root; then chown postgres "$pw"; fi
  logged "The database could not be created." initdb \
    as_pg "$PG_BIN/initdb" -D "$dir" -U jerboa -E UTF8 --locale=C.UTF-8 --auth=scram-sha-256 --pwfile="$pw"
  rm -f "$pw"
}

# After a crash the lock file may name a process that is dead, or by now another program's.
drop_stale_lock() {
  local pid
  [ -f "$1/postmaster.pid" ] || return 0
  pid=$(head -n 1 "$1/postmaster.pid")
  if [ "$(cat "/proc/$pid/comm" 2>/dev/null)" != postgres ] || grep -q '^State:[[:space:]]*Z' "/proc/$pid/status"; then
    rm -f "$1/postmaster.pid"
  fi
}

pg_running() { as_pg "$PG_BIN/pg_ctl" -D "$1" status >/dev/null 2>&1; }

# pg_start NAME FIRST-PORT [extra settings]: sets PG_DIR and PG_PORT.
pg_start() {
  local name=$1 first=$2 extra=${3:-}
  PG_DIR=$(pg_folder "$name")
  secret "$name-password" 32 >/dev/null
  [ -s "$PG_DIR/PG_VERSION" ] || pg_create "$PG_DIR" "$DATA/$name-password"
  local major
  major=$(cat "$PG_DIR/PG_VERSION")
  case "$PG_BIN" in
    */"$major"/bin) ;;
    *) [ -x "/usr/lib/postgresql/$major/bin/postgres" ] && PG_BIN="/usr/lib/postgresql/$major/bin" \
         || fail "the data in ${PG_DIR#"$ROOT"/} were made by PostgreSQL $major, which is not installed any more. Install postgresql-$major; the data are kept." ;;
  esac
  drop_stale_lock "$PG_DIR"
  if pg_running "$PG_DIR"; then
    PG_PORT=$(sed -n 4p "$PG_DIR/postmaster.pid")
  else
    PG_PORT=$(free_port "$first")
    logged "The database did not start; its data are kept." "$name" \
      as_pg "$PG_BIN/pg_ctl" -w -t 60 -D "$PG_DIR" -l "$PG_DIR/server.log" \
      -o "-p $PG_PORT -c listen_addresses=127.0.0.1 -c unix_socket_directories= $extra" start
  fi
  export JERBOA_DB_USER=jerboa JERBOA_DB_PASSWORD
  JERBOA_DB_PASSWORD=$(cat "$DATA/$name-password")
}

pg_sql() { PGPASSWORD=$JERBOA_DB_PASSWORD "$PG_BIN/psql" -h 127.0.0.1 -p "$PG_PORT" -U jerboa -d postgres -qtAX -c "$1" 2>>"$LOGS/psql.log"; }

# pg_database NAME: makes it if it is not there, and points the application at it.
pg_database() {
  local there
  there=$(pg_sql "select count(*) from pg_database where datname = '$1'") \
    || fail "the database does not answer; its data are kept. ./jerboa stop, then start again. Its words are in .jerboa/log/psql.log."
  [ "$there" != 0 ] || pg_sql "create database $1"
  export JERBOA_DB_URL="jdbc:postgresql://127.0.0.1:$PG_PORT/$1"
}

pg_stop() {
  local dir
  dir=$(readlink -f "$DATA/$1" || true)
  [ -n "$dir" ] && [ -s "$dir/PG_VERSION" ] || return 0
  PG_BIN=${PG_BIN:-$(postgres_bin)}
  if pg_running "$dir"; then as_pg "$PG_BIN/pg_ctl" -D "$dir" -m fast -w stop >/dev/null; fi
}
