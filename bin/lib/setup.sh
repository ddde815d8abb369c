# Sourced by bin/demo and bin/test: installs what is missing, builds what has changed.
ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)
cd "$ROOT"
export EXPO_NO_TELEMETRY=1 EXPO_OFFLINE=1 DO_NOT_TRACK=1

note() { printf '· %s\n' "$*" >&2; }
stop_with() { printf '\n%s\n' "$*" >&2; exit 1; }

as_root() {
  if [ "$(id -u)" = 0 ]; then "$@"
  elif command -v sudo >/dev/null && sudo -n true 2>/dev/null; then sudo -n "$@"
  else return 1; fi
}

apt_updated=
apt_install() { # apt_install PACKAGE
  if [ -z "$apt_updated" ]; then
    as_root env DEBIAN_FRONTEND=noninteractive apt-get update -qq >/dev/null || return 1
    apt_updated=1
  fi
  note "installing Debian's $1"
  as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "$1" >/dev/null
}

ensure_node() {
  command -v node >/dev/null || stop_with "Node 20.19.4 or later is needed."
  node -e 'const [a,b]=process.versions.node.split(".").map(Number);process.exit(a>20||(a===20&&b>=19)?0:1)' ||
    stop_with "Node 20.19.4 or later is needed; this is $(node --version)."
}

ensure_postgres() {
  ls /usr/lib/postgresql/*/bin/postgres >/dev/null 2>&1 && return
  apt_install postgresql || stop_with "PostgreSQL's server is missing. Install it once as root: apt-get install postgresql"
}

ensure_chromium() {
  command -v chromium >/dev/null && return
  apt_install chromium || return 1
}

hash_of() { cat "$@" 2>/dev/null | sha256sum | cut -d' ' -f1; }

ensure_packages() {
  local want
  want=$(hash_of package-lock.json)
  [ "$(cat node_modules/.kelmot-lock 2>/dev/null)" = "$want" ] && return
  note "installing npm packages by the lockfile"
  npm ci --no-progress --loglevel=error >&2
  echo "$want" >node_modules/.kelmot-lock
}

ensure_web() {
  local want
  want=$(find apps/client packages package-lock.json -type f \
    -not -path '*/node_modules/*' -not -path '*/dist/*' -not -path '*/.expo/*' -not -path '*/test/*' -not -path '*/__tests__/*' \
    -print0 | LC_ALL=C sort -z | xargs -0 sha256sum | sha256sum | cut -d' ' -f1)
  [ "$(cat apps/client/dist/.kelmot-hash 2>/dev/null)" = "$want" ] && return
  note "building the web client (about two minutes the first time)"
  local log
  log=$(mktemp)
  if ! (CI=1 npm run --silent build:web >"$log" 2>&1); then
    cat "$log" >&2
    stop_with "The web client did not build."
  fi
  rm -f "$log"
  echo "$want" >apps/client/dist/.kelmot-hash
}

# Where this clone keeps its database: outside the clone, which the postgres user may not be able to enter.
data_folder() {
  local name
  name=$(basename "$ROOT")-$(printf %s "$ROOT" | sha256sum | cut -c1-8)
  if [ "$(id -u)" = 0 ]; then echo "/var/lib/kelmot/$name"; else echo "${XDG_DATA_HOME:-$HOME/.local/share}/kelmot/$name"; fi
}
