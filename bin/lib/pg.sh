#!/usr/bin/env bash
# A private PostgreSQL cluster on loopback, from Debian's binaries. Never the system's own. Everybody is asked for a
# password. Three roles: kelmot (of the cluster, used here alone), kelmot_owner (migrates), kelmot_app (the application,
# which owns nothing).
# usage: pg.sh start DIR | stop DIR | url DIR | owner-url DIR     start prints the url of the application
set -euo pipefail
HERE=$(dirname "${BASH_SOURCE[0]}")
BIN=$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -1)
cmd=$1
dir=$2
umask 077
# initdb and postgres refuse root: drop to the postgres user only when we are root
as_pg() { if [ "$(id -u)" = 0 ]; then (cd / && runuser -u postgres -- "$@"); else "$@"; fi; }
secret() { node -e 'console.log(require("crypto").randomBytes(24).toString("hex"))'; }
keep() { [ -s "$dir/$1" ] || secret >"$dir/$1"; cat "$dir/$1"; } # keep NAME: a password, made once
cluster() { PGPASSWORD=$(cat "$dir/pw") "$BIN/psql" -qtA -v ON_ERROR_STOP=1 -h 127.0.0.1 -p "$port" -U kelmot "$@"; }

make_cluster() {
  local file
  file=$(mktemp)
  keep pw >"$file"
  if [ "$(id -u)" = 0 ]; then chown postgres "$file"; fi
  as_pg "$BIN/initdb" -D "$dir/data" -U kelmot -A scram-sha-256 --pwfile="$file" --locale=C.UTF-8 -E UTF8 >/dev/null
  rm -f "$file"
}
# A cluster of an earlier version let everybody in: its role is given a password, then everybody is asked for one.
ask_for_passwords() {
  local pw
  pw=$(keep pw)
  "$BIN/psql" -q -h 127.0.0.1 -p "$port" -U kelmot -d postgres -c "ALTER ROLE kelmot PASSWORD '$pw'"
  as_pg sed -i 's/trust$/scram-sha-256/' "$dir/data/pg_hba.conf"
  as_pg "$BIN/pg_ctl" -D "$dir/data" reload >/dev/null
}
# Roles with their passwords, the database with its owner, and whatever an earlier version made for the cluster's role.
make_roles() {
  local owner app
  owner=$(keep owner_pw)
  app=$(keep app_pw)
  cluster -d postgres <<SQL >/dev/null
DO \$\$ BEGIN
  IF NOT EXISTS (SELECT FROM pg_roles WHERE rolname = 'kelmot_owner') THEN CREATE ROLE kelmot_owner LOGIN CREATEDB; END IF;
  IF NOT EXISTS (SELECT FROM pg_roles WHERE rolname = 'kelmot_app') THEN CREATE ROLE kelmot_app LOGIN; END IF;
END \$\$;
ALTER ROLE kelmot_owner PASSWORD '$owner';
ALTER ROLE kelmot_app PASSWORD '$app';
SQL
  cluster -d postgres -c "SELECT 1 FROM pg_database WHERE datname='kelmot'" | grep -q 1 ||
    cluster -d postgres -c "CREATE DATABASE kelmot OWNER kelmot_owner"
  cluster -d postgres -c "ALTER DATABASE kelmot OWNER TO kelmot_owner"
  cluster -d kelmot <<'SQL' >/dev/null
DO $$ DECLARE had text; BEGIN
  FOR had IN
    SELECT format('ALTER SCHEMA %I OWNER TO kelmot_owner', nspname) FROM pg_namespace WHERE nspname IN ('public', 'drizzle')
    UNION ALL
    SELECT format('ALTER TABLE %I.%I OWNER TO kelmot_owner', schemaname, tablename) FROM pg_tables WHERE schemaname IN ('public', 'drizzle') AND tableowner = 'kelmot'
    UNION ALL
    SELECT format('ALTER TYPE %I.%I OWNER TO kelmot_owner', n.nspname, t.typname) FROM pg_type t JOIN pg_namespace n ON n.oid = t.typnamespace WHERE n.nspname = 'public' AND t.typtype = 'e' AND t.typowner = 'kelmot'::regrole
    UNION ALL
    SELECT format('ALTER FUNCTION %s OWNER TO kelmot_owner', p.oid::regprocedure) FROM pg_proc p JOIN pg_namespace n ON n.oid = p.pronamespace WHERE n.nspname = 'public' AND p.proowner = 'kelmot'::regrole
  LOOP EXECUTE had; END LOOP;
END $$;
SQL
}
say_urls() {
  echo "postgres://kelmot_app:$(cat "$dir/app_pw")@127.0.0.1:$port/kelmot" >"$dir/url"
  echo "postgres://kelmot_owner:$(cat "$dir/owner_pw")@127.0.0.1:$port/kelmot" >"$dir/owner-url"
}

case $cmd in
  start)
    # What lies above is passed through by the user who runs the cluster, not by this one alone.
    (umask 022 && mkdir -p "$(dirname "$dir")")
    if ! as_pg test -x "$(cd "$(dirname "$dir")" && pwd)"; then chmod a+x "$(dirname "$dir")"; fi
    mkdir -p "$dir"
    dir=$(cd "$dir" && pwd)
    if [ "$(id -u)" = 0 ]; then chown postgres "$dir"; fi
    chmod 700 "$dir"
    [ -f "$dir/data/PG_VERSION" ] || make_cluster
    if as_pg "$BIN/pg_ctl" -D "$dir/data" status >/dev/null 2>&1 && [ -s "$dir/owner-url" ]; then cat "$dir/url"; exit 0; fi
    as_pg "$BIN/pg_ctl" -D "$dir/data" -m fast -w stop >/dev/null 2>&1 || true
    # that of the last start where it is still free, so that addresses that are kept stay right
    port=$(node "$HERE/port.mjs" "$(cat "$dir/port" 2>/dev/null || echo 0)")
    echo "$port" >"$dir/port"
    as_pg "$BIN/pg_ctl" -D "$dir/data" -w -t 60 -l "$dir/log" -o "-p $port -c listen_addresses=127.0.0.1 -c unix_socket_directories='' ${PG_FAST:+-c fsync=off -c synchronous_commit=off -c full_page_writes=off}" start >/dev/null
    if as_pg grep -q 'trust$' "$dir/data/pg_hba.conf"; then ask_for_passwords; fi
    make_roles
    say_urls
    cat "$dir/url"
    ;;
  stop)
    [ -f "$dir/data/PG_VERSION" ] || exit 0
    dir=$(cd "$dir" && pwd)
    as_pg "$BIN/pg_ctl" -D "$dir/data" -m fast -w stop >/dev/null 2>&1 || true
    ;;
  url | owner-url) cat "$dir/$cmd" ;;
esac
