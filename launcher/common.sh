# Words, places and small helpers that every part of the launcher uses.
DATA="$ROOT/.jerboa"
LOGS="$DATA/log"
RUN="$DATA/run"
mkdir -p "$DATA" "$LOGS" "$RUN"

say() { printf '%s\n' "$*"; }

# A plain sentence and the end; nothing that was stored is touched.
fail() {
  printf 'Jerboa: %s\n' "$*" >&2
  exit 1
}

is_root() { [ "$(id -u)" = 0 ]; }

port_in_use() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

# The first free port from $1 on.
free_port() {
  local port=$1
  while port_in_use "$port"; do port=$((port + 1)); done
  printf '%s' "$port"
}

# Runs a command with its output in a log; on failure says $1 and where the log is.
logged() {
  local sentence=$1 log="$LOGS/$2.log"
  shift 2
  if ! "$@" >"$log" 2>&1; then
    tail -n 15 "$log" >&2
    fail "$sentence The whole output is in ${log#"$ROOT"/}."
  fi
}

# A secret kept in a file only its owner reads; made once.
secret() {
  local file="$DATA/$1"
  if [ ! -s "$file" ]; then
    (umask 077; head -c 64 /dev/urandom | base64 | tr -dc 'a-km-zA-HJ-NP-Z2-9' | head -c "$2" >"$file")
  fi
  cat "$file"
}

# Option $1 of the remaining arguments, or the default $2.
option() {
  local name=$1 value=$2
  shift 2
  while [ $# -gt 0 ]; do
    if [ "$1" = "--$name" ]; then
      [ $# -gt 1 ] || fail "--$name needs a value."
      value=$2
    fi
    shift
  done
  printf '%s' "$value"
}

# Refuses options that are not in the list $1.
only_options() {
  local known=" $1 "
  shift
  while [ $# -gt 0 ]; do
    case "$known" in
      *" $1 "*) ;;
      *) fail "the option \"$1\" is not known here; known are:$known" ;;
    esac
    shift $(($# > 1 ? 2 : 1))
  done
}
