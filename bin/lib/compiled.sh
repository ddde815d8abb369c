# Sourced by the commands that only compute: runs their TypeScript as one compiled file, which starts in a fraction of the
# time. It is compiled again when a source has changed.
ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)

run_compiled() { # run_compiled SOURCE ARGUMENTS...
  local source=$1 compiled
  shift
  [ -x "$ROOT/node_modules/.bin/esbuild" ] || (cd "$ROOT" && npm ci --no-progress >&2)
  compiled="$(cache_folder)/$(basename "$source" .ts).cjs"
  if [ ! -s "$compiled" ] || changed_since "$compiled"; then
    # Two that compile at once each write a file of their own; the last one stays.
    (cd "$ROOT" && node_modules/.bin/esbuild "$source" --bundle --platform=node --format=cjs --target=node20 \
      --outfile="$compiled.$$" --log-level=error && mv "$compiled.$$" "$compiled")
  fi
  exec node "$compiled" "$@"
}

# In the clone; where it belongs to somebody else, in a folder of this user's own.
cache_folder() {
  local own="$ROOT/node_modules/.cache/kelmot"
  mkdir -p "$own" 2>/dev/null || true
  if [ ! -w "$own" ]; then
    own="${XDG_CACHE_HOME:-$HOME/.cache}/kelmot/$(printf %s "$ROOT" | cksum | cut -d' ' -f1)"
    mkdir -p "$own"
  fi
  echo "$own"
}

# A folder is newer than the file once something in it was added or removed.
changed_since() {
  [ -n "$(find "$ROOT/packages" "$ROOT/bin/lib" "$ROOT/package-lock.json" -newer "$1" \
    \( -name '*.ts' -o -name 'package*.json' -o -type d \) -not -path '*/node_modules/*' -print -quit)" ]
}
