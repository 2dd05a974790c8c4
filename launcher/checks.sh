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

run_tests() {
  local started=$SECONDS status=0
  setup_for_tests
  say "Set-up took $((SECONDS - started)) s."
  npm_install
  rm -rf ./*/target/surefire-reports e2e/target/logs
  say "Client: types, formatting, lint, tests, build"
  npm --prefix web run --silent types
  npm --prefix web run --silent lint
  npm --prefix web run --silent test -- --reporter=default --reporter=json --outputFile=../.jerboa/vitest.json
  npm --prefix web run --silent build >"$LOGS/web.log" || { cat "$LOGS/web.log"; fail "the client could not be built."; }
  say "Programs: formatting, lint, tests; then the journeys"
  mvn -B -ntp spotless:check verify || status=$?
  local web tests failed
  web=$(node -p 'JSON.parse(require("fs").readFileSync(".jerboa/vitest.json")).numPassedTests')
  tests=$(counted tests)
  failed=$(($(counted failures) + $(counted errors)))
  say "All of it took $((SECONDS - started)) s."
  say "$((web + tests - failed - $(counted skipped))) passed, $failed failed, $(counted skipped) skipped"
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
