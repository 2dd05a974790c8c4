# Everything stored into one file, and back.

# Where the database is: the one named in the settings, else the checkout's own, started when it does not run.
# Sets PGHOST, PGPORT, PGUSER, PGPASSWORD, PGDATABASE for PostgreSQL's programs. With "fresh" it is made where there
# is none yet.
STARTED_HERE=""
reach_database() {
  setup_postgres
  read_settings
  if [ -z "${JERBOA_DB_URL:-}" ]; then
    if [ -z "${1:-}" ]; then
      [ -s "$(readlink -f "$DATA/pg")/PG_VERSION" ] || fail "nothing is stored in this checkout yet."
    fi
    pg_running "$(readlink -f "$DATA/pg" || true)" || STARTED_HERE=yes
    pg_start pg "$PG_FIRST_PORT"
    pg_database jerboa
  fi
  [[ "$JERBOA_DB_URL" =~ ^jdbc:postgresql://([^:/]+)(:([0-9]+))?/([A-Za-z0-9_]+)$ ]] \
    || fail "JERBOA_DB_URL is not of the form jdbc:postgresql://host:port/name."
  export PGHOST=${BASH_REMATCH[1]} PGPORT=${BASH_REMATCH[3]:-5432} PGDATABASE=${BASH_REMATCH[4]}
  export PGUSER=${JERBOA_DB_USER:-jerboa} PGPASSWORD=${JERBOA_DB_PASSWORD:-}
}

leave_database() { [ -z "$STARTED_HERE" ] || pg_stop pg; }

run_backup() {
  local file=${1:-jerboa-$(date +%Y%m%d-%H%M%S).backup}
  [ ! -e "$file" ] || fail "$file is there already; nothing was written over it. Name another file."
  reach_database
  BACKUP_PART="$file.part"
  trap 'rm -f "$BACKUP_PART"; leave_database' EXIT
  (umask 077; : >"$file.part")
  # Whoever is signed in now is not signed in when it is taken back.
  logged "The backup could not be made; nothing was changed." backup \
    "$PG_BIN/pg_dump" --format=custom --no-owner --file="$file.part" \
    --exclude-table-data=spring_session --exclude-table-data=spring_session_attributes \
    --exclude-table-data=drive_lease --exclude-table-data=presence --exclude-table-data=request_key
  mv "$file.part" "$file"
  say "Device passwords in it are encrypted with the key in .jerboa/secret-key: keep that file too, somewhere else than the backup."
  say "Everything stored is in $file ($(du -h "$file" | cut -f1)). Keep it somewhere else than on this machine."
}

# Into a database beside the present one first; only when all of it is there do the two change places.
run_restore() {
  local file=${1:-} yes=${2:-} aside
  [ -n "$file" ] && [ -r "$file" ] || fail "name the backup to take back: ./jerboa restore FILE"
  if pid_alive server; then fail "Jerboa is running. End it first (./jerboa stop), then restore; nothing was changed."; fi
  reach_database fresh
  trap leave_database EXIT
  "$PG_BIN/pg_restore" --list "$file" >/dev/null 2>&1 || fail "$file is no backup of Jerboa, or is damaged. Nothing was changed."
  if [ "$yes" != --yes ]; then
    local answer=""
    read -r -p "This puts $file in the place of what is stored now, which is kept aside. Type \"restore\" to go on: " answer || true
    [ "$answer" = restore ] || fail "nothing was changed."
  fi
  aside="${PGDATABASE}_before_$(date -u +%Y%m%d_%H%M%S)"
  local sql=("$PG_BIN/psql" -d postgres -v ON_ERROR_STOP=1 -qtAX)
  "${sql[@]}" -c "drop database if exists ${PGDATABASE}_restored" -c "create database ${PGDATABASE}_restored" >"$LOGS/restore.log" 2>&1 \
    || fail "the database could not be reached. Nothing was changed. Its words are in .jerboa/log/restore.log."
  logged "The backup could not be read back; what was stored is untouched." restore \
    "$PG_BIN/pg_restore" --no-owner --exit-on-error --dbname="${PGDATABASE}_restored" "$file"
  # One command, so that both names change or none.
  "${sql[@]}" -c "alter database $PGDATABASE rename to $aside;
    alter database ${PGDATABASE}_restored rename to $PGDATABASE" >"$LOGS/restore.log" 2>&1 \
    || fail "somebody still uses the database, so nothing was changed. End every Jerboa on it and try again."
  say "Restored. What was stored before is kept aside in the database $aside."
}
