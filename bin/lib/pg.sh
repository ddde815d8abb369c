#!/usr/bin/env bash
# A private PostgreSQL cluster on loopback, from Debian's binaries. Never the system's own.
# usage: pg.sh start DIR | stop DIR | url DIR
set -euo pipefail
BIN=$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -1)
cmd=$1
dir=$2
# initdb and postgres refuse root: drop to the postgres user only when we are root
as_pg() { if [ "$(id -u)" = 0 ]; then (cd / && runuser -u postgres -- "$@"); else "$@"; fi; }
free_port() { node -e 'const s=require("net").createServer().listen(0,"127.0.0.1",()=>{console.log(s.address().port);s.close()})'; }
case $cmd in
  start)
    mkdir -p "$dir"
    dir=$(cd "$dir" && pwd)
    if [ "$(id -u)" = 0 ]; then chown postgres "$dir"; fi
    chmod 700 "$dir"
    if [ ! -f "$dir/data/PG_VERSION" ]; then
      as_pg "$BIN/initdb" -D "$dir/data" -U kelmot -A trust --locale=C.UTF-8 -E UTF8 >/dev/null
    fi
    if as_pg "$BIN/pg_ctl" -D "$dir/data" status >/dev/null 2>&1; then cat "$dir/url"; exit 0; fi
    port=$(free_port)
    as_pg "$BIN/pg_ctl" -D "$dir/data" -w -t 60 -l "$dir/log" -o "-p $port -c listen_addresses=127.0.0.1 -c unix_socket_directories='' ${PG_FAST:+-c fsync=off -c synchronous_commit=off -c full_page_writes=off}" start >/dev/null
    "$BIN/psql" -qtA -h 127.0.0.1 -p "$port" -U kelmot -d postgres -c "SELECT 1 FROM pg_database WHERE datname='kelmot'" | grep -q 1 ||
      "$BIN/createdb" -h 127.0.0.1 -p "$port" -U kelmot kelmot
    echo "postgres://kelmot@127.0.0.1:$port/kelmot" >"$dir/url"
    cat "$dir/url"
    ;;
  stop)
    [ -f "$dir/data/PG_VERSION" ] || exit 0
    dir=$(cd "$dir" && pwd)
    as_pg "$BIN/pg_ctl" -D "$dir/data" -m fast -w stop >/dev/null 2>&1 || true
    ;;
  url) cat "$dir/url" ;;
esac
