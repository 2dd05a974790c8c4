# Every check and test, the benchmarks and the pictures: set-up included.
TEST_PG_FIRST_PORT=8492

# A database for tests: quick rather than safe, thrown away with its folder.
start_test_database() {
  pg_start pg-test "$TEST_PG_FIRST_PORT" "-c fsync=off -c full_page_writes=off -c synchronous_commit=off"
  export JERBOA_TEST_DB="jdbc:postgresql://127.0.0.1:$PG_PORT"
  export JERBOA_TEST_DB_PASSWORD=$JERBOA_DB_PASSWORD
  unset JERBOA_DB_URL JERBOA_DB_PASSWORD JERBOA_DB_USER
}

# For the journey that proves that a restarted database is survived.
restart_test_database() {
  setup_postgres
  local dir
  dir=$(readlink -f "$DATA/pg-test")
  as_pg "$PG_BIN/pg_ctl" -D "$dir" -m fast -w -t 60 restart -l "$dir/server.log" >/dev/null
}

setup_for_tests() {
  setup
  setup_chromium
  setup_readers
  export PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1
  export PLAYWRIGHT_NODEJS_PATH; PLAYWRIGHT_NODEJS_PATH=$(command -v node)
  trap 'pg_stop pg-test' EXIT
  start_test_database
}

run_testdb() {
  setup_for_tests
  say "export JERBOA_TEST_DB=$JERBOA_TEST_DB JERBOA_TEST_DB_PASSWORD=$JERBOA_TEST_DB_PASSWORD CHROMIUM=$CHROMIUM PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1 PLAYWRIGHT_NODEJS_PATH=$PLAYWRIGHT_NODEJS_PATH"
  sleep infinity
}

# Sums one attribute over all test reports.
counted() {
  { cat ./*/target/surefire-reports/TEST-*.xml 2>/dev/null || true; } \
    | grep -o "<testsuite [^>]*" | grep -o " $1=\"[0-9]*\"" | grep -o '[0-9]*' | awk '{s+=$1} END {print s+0}'
}

# The ten slowest test classes, from the reports; a class that ran in two parts counts once.
slowest() {
  { cat ./*/target/surefire-reports/TEST-*.xml 2>/dev/null || true; } \
    | grep -o '<testsuite [^>]*' \
    | sed -n 's/.* name="\([^"]*\)".* time="\([0-9.,]*\)".*/\2 \1/p' | tr -d ',' \
    | awk '{t[$2]+=$1} END {for (n in t) printf "%8.1f s  %s\n", t[n], n}' | sort -rn | sed -n 1,10p
}

# How often a test passed only when it was tried once more.
flakes() {
  { cat ./*/target/surefire-reports/TEST-*.xml 2>/dev/null || true; } \
    | { grep -c '<flakyFailure\|<flakyError' || true; }
}

# How fast this machine is just now: a computation that is always the same, in ms.
pace() {
  "$JAVA" "$ROOT/launcher/Pace.java"
}

# Formatting, lint and tests of the client, beside the programs' own; the client is built before.
client_lane() {
  npm --prefix web run --silent lint \
    && npm --prefix web run --silent test -- --reporter=default --reporter=json --outputFile=../.jerboa/vitest.json
}

# Closing words: counts of everything that ran, and where the time went.
tests_summary() {
  local started=$1 web=0 tests failed skipped
  [ -f .jerboa/vitest.json ] && web=$(node -p 'JSON.parse(require("fs").readFileSync(".jerboa/vitest.json")).numPassedTests')
  tests=$(counted tests)
  failed=$(($(counted failures) + $(counted errors)))
  skipped=$(counted skipped)
  say "The ten slowest:"
  slowest
  say "All of it took $((SECONDS - started)) s; the machine's pace before and after: $PACE and $(pace) ms."
  say "$((web + tests - failed - skipped)) passed, $failed failed, $skipped skipped, $(flakes) passed only at the second try"
}

# Everything; or only what is named, class by class; or, with --quick, all but the journeys.
run_tests() {
  local started=$SECONDS status=0 lane modules=()
  setup_for_tests
  say "Set-up took $((SECONDS - started)) s."
  npm_install
  PACE=$(pace)
  rm -rf ./*/target/surefire-reports e2e/target/logs .jerboa/vitest.json
  if [ $# -gt 0 ] && [ "$1" != --quick ]; then
    run_named_tests "$@" || status=$?
    tests_summary "$started"
    return "$status"
  fi
  [ "${1:-}" = --quick ] && modules=(-pl core,wire,standin,server)
  say "Client: types, build"
  npm --prefix web run --silent build >"$LOGS/web.log" || { cat "$LOGS/web.log"; fail "the client could not be built."; }
  say "Programs: formatting, lint, tests; then the journeys. Beside them the client's lint and tests."
  client_lane >"$LOGS/client.log" 2>&1 &
  lane=$!
  drop_unchecked
  mvn -B -ntp -T 2 spotless:check verify "${modules[@]}" || status=$?
  if [ "$status" = 0 ]; then touch "$CHECKED"; fi
  wait "$lane" || { cat "$LOGS/client.log"; status=1; }
  tests_summary "$started"
  return "$status"
}

# A name is that of a Java test class, wherever it is, or part of a path of the client's tests.
run_named_tests() {
  local name status=0 java=() client=()
  for name in "$@"; do
    if find ./*/src/test -name "$name.java" | grep -q .; then java+=("$name"); else client+=("$name"); fi
  done
  if [ ${#client[@]} -gt 0 ]; then
    npm --prefix web run --silent test -- --reporter=default --reporter=json --outputFile=../.jerboa/vitest.json "${client[@]}" || status=$?
  fi
  if [ ${#java[@]} -gt 0 ]; then
    npm --prefix web run --silent build >"$LOGS/web.log" || { cat "$LOGS/web.log"; fail "the client could not be built."; }
    mvn -B -ntp verify -Dtest="$(IFS=,; printf '%s' "${java[*]}")" -Dsurefire.failIfNoSpecifiedTests=false || status=$?
  fi
  return "$status"
}

run_bench() {
  setup_for_tests
  build_web
  logged "The benchmarks could not be built." bench mvn -q -B package -DskipTests
  "$JAVA" -Djerboa.root="$ROOT" -Djerboa.compiler=full -cp "bench/target/classes:bench/target/lib/*" app.jerboa.bench.Main "$@"
}

run_shots() {
  setup_for_tests
  build_web
  logged "The programs could not be built." build mvn -q -B package -DskipTests
  mvn -q -B -pl e2e -am verify -Dtest=Screenshots -Dsurefire.failIfNoSpecifiedTests=false
}
