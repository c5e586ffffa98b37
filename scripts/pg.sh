#!/usr/bin/env bash
# A private PostgreSQL on loopback: pg.sh start|stop|status|env|destroy
# ISTMO_PG_HOME says where it lives; ISTMO_PG_THROWAWAY=1 trades durability for speed (tests only).
set -euo pipefail
here=$(cd "$(dirname "${BASH_SOURCE[0]}")" && pwd -P)
repo=$(dirname "$here")
tools=$repo/.tools; mkdir -p "$tools"
# shellcheck source=scripts/common.sh
. "$here/common.sh"
unset PGHOST PGPORT PGUSER PGDATABASE PGPASSWORD PGDATA PGOPTIONS PGSERVICE
umask 077

if [ "$(id -u)" = 0 ]; then
  # postgres refuses to run as root, and its user may not reach the checkout: the data live outside it
  owner=postgres
  home=${ISTMO_PG_HOME:-/var/lib/istmo-pg/$(printf %s "$repo" | sha256sum | cut -c1-12)}
  as() { (cd / && runuser -u "$owner" -- "$@"); }
else
  owner=$(id -un)
  home=${ISTMO_PG_HOME:-$repo/.data/pg}
  as() { (cd / && "$@"); }
fi
data=$home/data; envfile=$home/pg.env; log=$home/postgres.log
sock=$home/s
[ ${#sock} -le 80 ] || sock=/tmp/istmo-pg-$(printf %s "$home" | sha256sum | cut -c1-12) # a socket's path may have 107 bytes

bin() { find /usr/lib/postgresql -mindepth 2 -maxdepth 2 -name bin 2>/dev/null | sort -V | tail -1; }

install() {
  [ -n "$(bin)" ] && [ -x "$(bin)/initdb" ] && return
  if [ "$(id -u)" = 0 ] && [ ! -e /etc/postgresql-common/createcluster.conf ]; then
    # no cluster of Debian's own on port 5432; has to be said before the package is unpacked
    mkdir -p /etc/postgresql-common/createcluster.d
    echo 'create_main_cluster = false' > /etc/postgresql-common/createcluster.d/no-main.conf
  fi
  need_packages postgresql
}

# Prints the process id of a live server of this very data folder, or nothing.
pid_of_ours() {
  local pid
  pid=$(head -1 "$data/postmaster.pid" 2>/dev/null) || return 0
  if [ -n "$pid" ] && [ "$(readlink -f "/proc/$pid/cwd" 2>/dev/null)" = "$(readlink -f "$data")" ]; then echo "$pid"; fi
}

free_port() {
  local p
  for _ in $(seq 50); do
    p=$((20000 + RANDOM % 12000))
    (exec 3<>"/dev/tcp/127.0.0.1/$p") 2>/dev/null || { echo "$p"; return; }
  done
  return 1
}

start() {
  install
  local b pw port extra=""
  b=$(bin)
  mkdir -p "$home" "$sock"
  if [ "$(id -u)" = 0 ]; then
    chmod 711 "$(dirname "$home")"
    chown "$owner" "$home" "$sock"
  fi
  exec 9> "$home/lock"; flock 9
  if [ -n "$(pid_of_ours)" ]; then cat "$envfile"; return; fi
  need_disk "$home" 300
  if [ ! -e "$data/PG_VERSION" ]; then
    as rm -rf "$data.new"
    as "$b/initdb" -D "$data.new" -U "$owner" -E UTF8 --locale=C.UTF-8 --auth-local=peer --auth-host=reject >"$home/initdb.log" 2>&1 \
      || { cat "$home/initdb.log" >&2; fail "PostgreSQL could not set up its data folder."; }
    # the owner only over the socket, as its own operating-system user; the application's role only over loopback, by password
    printf 'local all all peer\nhost istmo istmo 127.0.0.1/32 scram-sha-256\n' | as tee "$data.new/pg_hba.conf" >/dev/null
    as mv "$data.new" "$data" # an initdb that was cut short leaves no half cluster
  fi
  rm -f "$data/postmaster.pid" # stale after a crash; its number may be another program's by now
  [ "${ISTMO_PG_THROWAWAY:-0}" = 0 ] || extra="-c fsync=off -c synchronous_commit=off -c full_page_writes=off"
  for i in 1 2 3 4 5; do
    port=$(free_port)
    # 9>&-: the server must not keep the lock; -l keeps its output away from the caller's pipe
    as "$b/pg_ctl" -D "$data" -l "$log" -w -t 60 -o "-h 127.0.0.1 -p $port -k $sock -c timezone=UTC -c log_timezone=UTC -c max_connections=60 $extra" start >/dev/null 9>&- && break
    [ "$i" -lt 5 ] || { tail -20 "$log" >&2; fail "PostgreSQL did not start; its log is $log"; }
  done
  if [ -s "$envfile" ]; then pw=$(sed -n 's/^DB_PASSWORD=//p' "$envfile"); else pw=$(od -An -N16 -tx1 /dev/urandom | tr -d ' \n'); fi
  as psql -X -q -v ON_ERROR_STOP=1 -h "$sock" -p "$port" -U "$owner" -d postgres -v pw="$pw" >&2 <<'SQL'
select 'create role istmo login' where not exists (select from pg_roles where rolname = 'istmo') \gexec
alter role istmo password :'pw';
select 'create database istmo owner istmo' where not exists (select from pg_database where datname = 'istmo') \gexec
SQL
  printf 'DB_URL=jdbc:postgresql://127.0.0.1:%s/istmo\nDB_USER=istmo\nDB_PASSWORD=%s\nPG_SOCKET=%s\nPG_PORT=%s\nPG_OWNER=%s\n' "$port" "$pw" "$sock" "$port" "$owner" > "$envfile"
  cat "$envfile"
}

stop() {
  [ -n "$(pid_of_ours)" ] || return 0
  as "$(bin)/pg_ctl" -D "$data" -m fast -w -t 60 stop >/dev/null
}

case ${1:-} in
  start) start ;;
  stop) stop ;;
  env) cat "$envfile" ;;
  status) p=$(pid_of_ours); if [ -n "$p" ]; then echo "running, pid $p"; else echo stopped; exit 3; fi ;;
  destroy) stop; rm -rf "$home"; rm -rf "$sock" ;;
  *) echo "use: pg.sh start|stop|status|env|destroy" >&2; exit 2 ;;
esac
