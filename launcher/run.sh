# Runs the application: demo, serve, one stand-in; and ends it.
APP_PORT=8470
RIG_PORT=8471
PG_FIRST_PORT=8472

# Quick to start rather than quickest when hot, but for "serve", which runs for long and must not hold a stick up while
# it clears its memory; the class archive is made by the first run that ends cleanly.
quick_java() {
  local archive="$APP/$1${LONG_RUN:+-long}.jsa"
  shift
  local flags=(${LONG_RUN:--XX:TieredStopAtLevel=1 -XX:+UseSerialGC} -Xshare:auto -Xlog:cds=off -Xlog:cds+dynamic=off)
  if [ -s "$archive" ]; then
    flags+=("-XX:SharedArchiveFile=$archive")
  else
    flags+=("-XX:ArchiveClassesAtExit=$archive")
  fi
  exec "$JAVA" "${flags[@]}" "$@"
}

# Pauses of about 1 ms instead of 30 to 50 every two seconds; a machine that may not reserve the room for it does without.
collector() {
  "$JAVA" -XX:+UseZGC -Xmx1g -version >/dev/null 2>&1 && echo -XX:+UseZGC || echo -XX:+UseSerialGC
}

pid_alive() { [ -s "$RUN/$1.pid" ] && kill -0 "$(cat "$RUN/$1.pid")" 2>/dev/null; }

# Ends one of our processes, first asking, and waits for it.
end_process() {
  if pid_alive "$1" && tr '\0' ' ' <"/proc/$(cat "$RUN/$1.pid")/cmdline" 2>/dev/null | grep -qF "$APP"; then
    local pid
    pid=$(cat "$RUN/$1.pid")
    kill "$pid" 2>/dev/null || true
    for _ in $(seq 100); do kill -0 "$pid" 2>/dev/null || break; sleep 0.1; done
    kill -9 "$pid" 2>/dev/null || true
  fi
  rm -f "$RUN/$1.pid"
}

# The launcher that watches over them goes first, or it would start them again; it ends them itself.
end_launcher() {
  local pid
  pid=$(cat "$RUN/launcher.pid" 2>/dev/null || true)
  if [ -n "$pid" ] && [ "$pid" != $$ ] && tr '\0' ' ' <"/proc/$pid/cmdline" 2>/dev/null | grep -q "jerboa"; then
    kill "$pid" 2>/dev/null || true
    for _ in $(seq 300); do kill -0 "$pid" 2>/dev/null || break; sleep 0.1; done
  fi
  rm -f "$RUN/launcher.pid"
}

run_stop() {
  end_launcher
  end_process server
  end_process rig
  pg_stop pg
  pg_stop pg-test
  say "Stopped. The data in .jerboa are kept."
}

run_reset() {
  [ -e "$DATA/pg" ] || [ -e "$DATA/rig.json" ] || { say "There is nothing to throw away."; return; }
  local answer=""
  read -r -p "This throws away every job and account stored in .jerboa. Type \"throw away\" to go on: " answer || true
  [ "$answer" = "throw away" ] || fail "nothing was thrown away."
  run_stop >/dev/null
  rm -rf "$(readlink -f "$DATA/pg")" "$DATA/pg" "$DATA/pg-password" "$DATA/rig.json" "$DATA/demo-password"
  say "Thrown away."
}

# What an earlier run left behind when it was killed is ended first.
end_leftovers() {
  if pid_alive server || pid_alive rig; then
    say "Ending what an earlier run from this checkout left running ..."
    end_launcher
    end_process server
    end_process rig
  fi
}

insist_on_free_port() {
  case "$1" in ''|*[!0-9]*) fail "--port needs a number from 1024 to 65535." ;; esac
  [ "$1" -ge 1024 ] && [ "$1" -le 65535 ] || fail "--port needs a number from 1024 to 65535."
  port_in_use "$1" && fail "port $1 is in use by another program. End that one, or choose another: ./jerboa $2 --port $(free_port "$(($1 + 10))")"
  return 0
}

RIG_SPEED=""

# The port is chosen once: a rig that is started again is found where it was.
start_rig() {
  if [ -z "$RIG_SPEED" ]; then
    RIG_SPEED=$1
    RIG_PORT=$(free_port "$RIG_PORT")
    export JERBOA_RIG_URL="http://127.0.0.1:$RIG_PORT"
  fi
  (quick_java rig -Xmx128m -cp "$APP/standin/jerboa-standin.jar:$APP/standin/lib/*" app.jerboa.standin.Main \
    rig --port "$RIG_PORT" --state "$DATA/rig.json" --speed "$RIG_SPEED") >>"$LOGS/rig.log" 2>&1 &
  echo $! >"$RUN/rig.pid"
  disown
}

# The application keeps its own log (10 files of 10 MB at most); what the machine below it says stands in server.out.
start_server() {
  (LOGGING_FILE_NAME="$LOGS/server.log" LOGGING_THRESHOLD_CONSOLE=error \
    quick_java server -Xmx1g -XX:+ExitOnOutOfMemoryError -jar "$APP/server/jerboa-server.jar") >"$LOGS/server.out" 2>&1 &
  echo $! >"$RUN/server.pid"
  disown
}

# Whether the application says that it is usable.
healthy() {
  if [ -n "${TLS_WORDS:-}" ]; then
    node -e 'require("https").get({host:"127.0.0.1",port:process.argv[1],path:"/actuator/health",rejectUnauthorized:false},
      r=>{let t="";r.on("data",d=>t+=d);r.on("end",()=>process.exit(t.includes("\"UP\"")?0:1))}).on("error",()=>process.exit(1))' "$JERBOA_PORT"
    return
  fi
  (
    exec 3<>"/dev/tcp/127.0.0.1/$JERBOA_PORT" || exit 1
    printf 'GET /actuator/health HTTP/1.0\r\nHost: 127.0.0.1\r\n\r\n' >&3
    grep -q '"UP"' <&3
  ) 2>/dev/null
}

wait_until_up() {
  for _ in $(seq 600); do
    if healthy; then return; fi
    pid_alive server || { fail "the application did not start; what is stored is kept. Its log is .jerboa/log/server.log."; }
    sleep 0.1
  done
  fail "the application did not answer within a minute; what is stored is kept. Its log is .jerboa/log/server.log."
}

ending() {
  trap - EXIT INT TERM
  say ""
  say "Ending ..."
  end_process server
  end_process rig
  pg_stop pg
  say "Ended. Everything stored is kept."
}

# Starts again what died, at once the first time, then after 1, 2, 4 ... 60 s; said each time. Half an hour of peace
# counts as the first time again.
declare -A DEATHS=() DIED_AT=()
revive() {
  local what=$1 start=$2 pause=0
  if [ $((SECONDS - ${DIED_AT[$what]:-0})) -gt 1800 ]; then DEATHS[$what]=0; fi
  DIED_AT[$what]=$SECONDS
  DEATHS[$what]=$((${DEATHS[$what]:-0} + 1))
  if [ "${DEATHS[$what]}" -gt 1 ]; then
    pause=$((1 << (DEATHS[$what] > 7 ? 6 : DEATHS[$what] - 2)))
    [ "$pause" -le 60 ] || pause=60
  fi
  say "$(date +%H:%M:%S) The $what ended by itself; it is started again$([ "$pause" = 0 ] || printf ' in %s s' "$pause"). Its log is in .jerboa/log."
  sleep "$pause"
  $start || say "$(date +%H:%M:%S) The $what could not be started; it is tried again."
}

own_database_runs() { [ -z "$OWN_PG" ] || pg_running "$PG_DIR"; }
revive_database() { as_pg "$PG_BIN/pg_ctl" -w -t 60 -D "$PG_DIR" -l "$PG_DIR/server.log" \
  -o "-p $PG_PORT -c listen_addresses=127.0.0.1 -c unix_socket_directories=" start >>"$LOGS/pg.log" 2>&1; }
OWN_PG=""

# Until Ctrl-C: whatever dies meanwhile is started again.
stay() {
  local round=0
  while :; do
    pid_alive server || revive application start_server
    if [ -n "$RIG_SPEED" ]; then pid_alive rig || revive "stand-in rig" start_rig; fi
    if [ $((round++ % 6)) = 0 ] && ! own_database_runs; then
      drop_stale_lock "$PG_DIR"
      revive database revive_database
    fi
    sleep 0.5
  done
}

run_demo() {
  only_options "--port --speed" "$@"
  local speed
  export JERBOA_PORT; JERBOA_PORT=$(option port "$APP_PORT" "$@")
  speed=$(option speed 1 "$@")
  [[ "$speed" =~ ^[0-9]+(\.[0-9]+)?$ ]] || fail "--speed needs a number, 1 for real time."
  end_leftovers
  insist_on_free_port "$JERBOA_PORT" demo
  setup
  build
  echo $$ >"$RUN/launcher.pid"
  trap ending EXIT
  trap 'exit 130' INT TERM
  start_rig "$speed"
  pg_start pg "$PG_FIRST_PORT"
  OWN_PG=yes
  pg_database jerboa
  export JERBOA_SECRET_KEY; JERBOA_SECRET_KEY=$(secret secret-key 44)
  export JERBOA_DEMO_PASSWORD; JERBOA_DEMO_PASSWORD=$(secret demo-password 10)
  start_server
  wait_until_up
  say ""
  say "  Jerboa is ready:  http://127.0.0.1:$JERBOA_PORT"
  say "  Sign in as:       asha"
  say "  Password:         $JERBOA_DEMO_PASSWORD"
  say "  (also tomas, rigging, and mei, desk, with the same password)"
  say ""
  say "  The stand-in rig runs at $speed x real time. Ctrl-C ends everything; nothing stored is lost."
  stay
}

# Settings of jerboa.conf, lines NAME=value; what the environment says goes before.
read_settings() {
  local line name
  [ -f "$ROOT/jerboa.conf" ] || return 0
  while IFS= read -r line || [ -n "$line" ]; do
    case "$line" in ''|'#'*) continue ;; esac
    name=${line%%=*}
    [[ "$line" == *=* && "$name" =~ ^(JERBOA|SERVER)_[A-Z_]+$ ]] \
      || fail "jerboa.conf has a line that is no setting: \"$line\". Settings are lines like JERBOA_PORT=8470."
    [ -n "${!name:-}" ] || export "$name=${line#*=}"
  done <"$ROOT/jerboa.conf"
}

run_serve() {
  local lan=""
  if [ "${1:-}" = --lan ]; then lan=yes; shift; fi
  only_options "--port" "$@"
  read_settings
  export JERBOA_PORT; JERBOA_PORT=$(option port "${JERBOA_PORT:-$APP_PORT}" "$@")
  end_leftovers
  insist_on_free_port "$JERBOA_PORT" "serve${lan:+ --lan}"
  setup
  LONG_RUN="-XX:+TieredCompilation $(collector)"
  [ -z "$lan" ] || use_lan
  build
  echo $$ >"$RUN/launcher.pid"
  trap ending EXIT
  trap 'exit 130' INT TERM
  if [ -z "${JERBOA_DB_URL:-}" ]; then
    pg_start pg "$PG_FIRST_PORT"
    OWN_PG=yes
    pg_database jerboa
  fi
  if [ -n "$lan" ]; then export JERBOA_FIRST_CODE; JERBOA_FIRST_CODE=$(secret first-code 8); fi
  export JERBOA_SECRET_KEY; JERBOA_SECRET_KEY=${JERBOA_SECRET_KEY:-$(secret secret-key 44)}
  start_server
  wait_until_up
  say ""
  if [ -n "$lan" ]; then
    say "  Jerboa is ready on this network:"
    for address in $(lan_addresses) 127.0.0.1; do say "    https://$address:$JERBOA_PORT"; done
    say "  ${TLS_WORDS}"
  else
    say "  Jerboa is ready:  http://127.0.0.1:$JERBOA_PORT"
  fi
  say "  On first use the page asks you to make the first account${lan:+, with the code  $JERBOA_FIRST_CODE}."
  say "  Ctrl-C ends it; nothing stored is lost."
  stay
}

run_standin() {
  setup_java
  setup_node
  build
  exec "$JAVA" -XX:+UseSerialGC -cp "$APP/standin/jerboa-standin.jar:$APP/standin/lib/*" app.jerboa.standin.Main "$@"
}
