# Builds the client and the programs where their sources have changed, and keeps a copy to run from.
APP="$DATA/app"

# A name for the present state of everything the build reads.
sources_state() {
  find core wire standin server web bench e2e pom.xml .mvn \
    \( -name node_modules -o -name target -o -name dist -o -name schema.ts \) -prune -o -type f -printf '%p %s %T@\n' \
    | LC_ALL=C sort | sha256sum | cut -d' ' -f1
}

npm_install() {
  local state
  state=$(sha256sum web/package-lock.json web/package.json | sha256sum)
  [ -d web/node_modules ] && [ "$(cat web/node_modules/.jerboa 2>/dev/null)" = "$state" ] && return
  say "Fetching the client's packages ..."
  logged "The client's packages could not be fetched. Is there a network?" npm npm --prefix web ci
  printf '%s' "$state" >web/node_modules/.jerboa
}

build_web() {
  npm_install
  logged "The client could not be built." web npm --prefix web run build
}

# Takes a copy of what Maven made: the server unpacked (it starts faster so), the rig with its parts.
keep_copy() {
  rm -rf "$APP.new"
  mkdir -p "$APP.new/standin"
  "$JAVA" -Djarmode=tools -jar server/target/jerboa-server.jar extract --destination "$APP.new/server" >/dev/null
  cp standin/target/jerboa-standin.jar "$APP.new/standin/"
  cp -r standin/target/lib "$APP.new/standin/lib"
  rm -rf "$APP"
  mv "$APP.new" "$APP"
}

# Written when Maven has compiled everything with the compiler's checks.
CHECKED=.jerboa/compiled-with-checks

# Maven takes over classes that are newer than their sources, also those that were compiled with the
# checks left out: these are compiled anew.
drop_unchecked() {
  local newer
  newer=$(find ./*/target/classes ./*/target/test-classes -name '*.class' -newer "$CHECKED" -print -quit 2>/dev/null || true)
  if [ ! -e "$CHECKED" ] || [ -n "$newer" ]; then
    rm -rf ./*/target/classes ./*/target/test-classes
  fi
}

build() {
  local state
  state=$(sources_state)
  [ -f "$APP/state" ] && [ "$(cat "$APP/state")" = "$state" ] && return
  say "Building (a minute or two the first time) ..."
  build_web
  drop_unchecked
  logged "The programs could not be built. Is there a network?" build \
    mvn -q -B -pl core,wire,standin,server -am package -DskipTests
  touch "$CHECKED"
  keep_copy
  printf '%s' "$state" >"$APP/state"
}
