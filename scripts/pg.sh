#!/usr/bin/env bash
# A private PostgreSQL on loopback: pg.sh start|stop|crash|set-password|backup|restore|try|nightly|status|env|destroy
# ISTMO_PG_HOME says where it lives; ISTMO_PG_THROWAWAY=1 trades durability for speed (tests only).
set -euo pipefail
here=$(cd "$(dirname "${BASH_SOURCE[0]}")" && pwd -P)
repo=$(dirname "$here")
tools=${ISTMO_TOOLS:-$repo/.tools}; mkdir -p "$tools"
# shellcheck source=scripts/common.sh
. "$here/common.sh"
unset PGHOST PGPORT PGUSER PGDATABASE PGPASSWORD PGDATA PGOPTIONS PGSERVICE
umask 077

if [ "$(id -u)" = 0 ]; then
  owner=postgres # PostgreSQL refuses to run as root
  as() { (cd / && runuser -u "$owner" -- "$@"); }
else
  owner=$(id -un)
  as() { (cd / && "$@"); }
fi
home=${ISTMO_PG_HOME:-$(demo_home)}
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

# The port of the last time, unless somebody else has it now.
port_of_before() {
  local p
  p=$(sed -n 's/^PG_PORT=//p' "$envfile" 2>/dev/null) || return 0
  [ -z "$p" ] || (exec 3<>"/dev/tcp/127.0.0.1/$p") 2>/dev/null || echo "$p"
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
  # what a row holds is nobody's business: no row and no statement of one in the log
  local private="-c log_error_verbosity=terse -c log_min_error_statement=panic"
  for i in 1 2 3 4 5 6 7 8; do
    # an application that still runs finds it again on the port of before; after a crash the old server's children need a moment to end
    port=$(port_of_before)
    if [ "$i" -gt 6 ] || [ -z "$port" ]; then port=$(free_port); fi
    # 9>&-: the server must not keep the lock; -l keeps its output away from the caller's pipe
    as "$b/pg_ctl" -D "$data" -l "$log" -w -t 60 -o "-h 127.0.0.1 -p $port -k $sock -c timezone=UTC -c log_timezone=UTC -c max_connections=60 $private $extra" start >/dev/null 2>&1 9>&- && break
    [ "$i" -lt 8 ] || { tail -20 "$log" >&2; fail "PostgreSQL did not start; its log is $log"; }
    sleep 1
  done
  if [ -s "$envfile" ]; then pw=$(sed -n 's/^DB_PASSWORD=//p' "$envfile"); else pw=$(od -An -N16 -tx1 /dev/urandom | tr -d ' \n'); fi
  # the password goes through the environment: arguments stand in the list of processes
  ISTMO_PW=$pw as psql -X -q -v ON_ERROR_STOP=1 -h "$sock" -p "$port" -U "$owner" -d postgres >&2 <<'SQL'
\getenv pw ISTMO_PW
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

# Ends it without a farewell and starts it again where it was, as after a crash: for tests of what survives.
crash() {
  [ -n "$(pid_of_ours)" ] || fail "PostgreSQL does not run."
  as "$(bin)/pg_ctl" -D "$data" -l "$log" -m immediate -w -t 60 restart >/dev/null
}

on_socket() { # COMMAND ARGUMENTS: as the owner, over the socket
  local command=$1 port
  shift
  port=$(sed -n 's/^PG_PORT=//p' "$envfile")
  as "$(bin)/$command" -h "$sock" -p "$port" -U "$owner" "$@"
}

counted_tables="coach client gym training_session performed_set week_plan"

# How much of what matters is in a database, in words: what a backup and its restoring are compared by.
counted() { # DATABASE
  local table words=""
  for table in $counted_tables; do
    words="$words${words:+, }$table $(on_socket psql -X -A -t -d "$1" -c "select coalesce(sum((xpath('/row/c/text()', query_to_xml(format('select count(*) as c from %I.%I', table_schema, table_name), false, true, '')))[1]::text::bigint), 0) from information_schema.tables where table_name = '$table'")"
  done
  printf '%s\n' "$words"
}

# The same for a backup: the rows are counted as they stand in the file, so a file that cannot be read is found here.
counted_in() { # FILE
  local table tables=()
  for table in $counted_tables; do tables+=(-t "$table"); done
  "$(bin)/pg_restore" --data-only "${tables[@]}" -f - "$1" | awk -v order="$counted_tables" '
    /^COPY / && !inside { name = $2; sub(/.*\./, "", name); gsub(/"/, "", name); inside = 1; next }
    /^\\\.$/ { inside = 0; next }
    inside { rows[name]++ }
    END {
      if (inside) exit 1
      n = split(order, table, " ")
      for (i = 1; i <= n; i++) printf "%s%s %d", (i > 1 ? ", " : ""), table[i], rows[table[i]]
      print ""
    }'
}

# Writes a backup of the whole database into FILE and says what is in it: all of it, or no file.
backup() { # FILE
  local file=${1:-} folder part words
  [ -n "$file" ] || fail "say which file the backup goes into."
  [ -n "$(pid_of_ours)" ] || fail "PostgreSQL does not run; nothing was backed up."
  folder=$(dirname "$file")
  if [ ! -d "$folder" ] || [ ! -w "$folder" ]; then fail "there is no folder $folder that can be written to; nothing was backed up."; fi
  need_disk "$folder" 100
  part=$(mktemp "$file.XXXXXX.part")
  # shellcheck disable=SC2064 # the name as it is now
  trap "rm -f '$part'" EXIT
  on_socket pg_dump -F c -d istmo >"$part" || fail "the backup failed; $file was not written."
  words=$(counted_in "$part") || fail "the backup cannot be read again; $file was not written."
  mv "$part" "$file"
  printf '%s\n' "$words"
}

# Makes a database of what a backup holds, and only then puts it in the place of the one there was, which is kept under another name until the next time.
restore() { # FILE [DATABASE]
  local file=${1:-} to=${2:-istmo}
  [ -n "$(pid_of_ours)" ] || fail "PostgreSQL does not run; nothing was restored."
  [ -r "$file" ] || fail "there is no backup at \"$file\"."
  on_socket dropdb --if-exists --force restoring
  on_socket createdb -O istmo restoring
  if ! on_socket pg_restore --exit-on-error --single-transaction -d restoring < "$file"; then
    on_socket dropdb --if-exists restoring
    fail "\"$file\" could not be restored; the data are as they were."
  fi
  on_socket dropdb --if-exists --force "before_$to"
  on_socket psql -X -q -v ON_ERROR_STOP=1 -d postgres -v to="$to" >&2 <<'SQL'
select pg_terminate_backend(pid) from pg_stat_activity where datname = :'to' and pid <> pg_backend_pid() \g /dev/null
select format('alter database %I rename to %I', :'to', 'before_' || :'to') where exists (select from pg_database where datname = :'to') \gexec
alter database restoring rename to :"to";
SQL
  counted "$to"
}

# A backup is good once it was restored: beside the data, counted against what its file holds, and thrown away again.
try_backup() { # FILE
  local file=${1:-} there held
  held=$(counted_in "$file") || fail "\"$file\" cannot be read."
  there=$(restore "$file" tried_backup) || exit 1
  on_socket dropdb --if-exists --force tried_backup
  [ "$there" = "$held" ] || fail "\"$file\" holds $held; restored were $there."
  date +%F > "$home/tried"
  printf '%s\n' "$there"
}

# The day's backup unless there is one; once a week it is restored for a try; those older than so many days go. Says what was done.
nightly() { # FOLDER DAYS
  local file words
  file=$1/istmo-$(date +%F).dump
  if [ ! -s "$file" ]; then
    words=$(backup "$file") || exit 1
    echo "backed up into $file: $words"
  fi
  if [ -z "$(find "$home/tried" -mtime -7 2>/dev/null)" ]; then
    words=$(try_backup "$file") || exit 1
    echo "restored $file for a try: $words"
  fi
  find "$1" -name 'istmo-????-??-??.dump' -mtime +"$2" -delete
}

# Puts a hash in the place of a coach's password, and signs the coach out everywhere.
set_password() { # NAME HASH
  local changed
  changed=$(ISTMO_NAME=${1:?} ISTMO_HASH=${2:?} on_socket psql -X -q -A -t -v ON_ERROR_STOP=1 -d istmo <<'SQL'
\getenv name ISTMO_NAME
\getenv hash ISTMO_HASH
delete from spring_session where principal_name in (select id::text from coach where sign_in_name = :'name');
delete from sign_in_failure where starts_with(sign_in_name, :'name');
update coach set password_hash = :'hash' where sign_in_name = :'name' returning 1;
SQL
  ) || fail "the password could not be changed."
  [ "$changed" = 1 ] || fail "there is no coach who signs in as \"$1\"."
}

case ${1:-} in
  set-password) set_password "${2:-}" "${3:-}" ;;
  backup) backup "${2:-}" ;;
  restore) restore "${2:-}" "${3:-istmo}" ;;
  nightly) nightly "${2:?}" "${3:?}" ;;
  try) try_backup "${2:-}" ;;
  drop) on_socket dropdb --if-exists --force "${2:?}" ;;
  start) start ;;
  crash) crash ;;
  stop) stop ;;
  env) cat "$envfile" ;;
  status) p=$(pid_of_ours); if [ -n "$p" ]; then echo "running, pid $p"; else echo stopped; exit 3; fi ;;
  destroy) stop; rm -rf "$home"; rm -rf "$sock" ;;
  *) echo "use: pg.sh start|stop|crash|set-password NAME HASH|backup FILE|restore FILE [DATABASE]|try FILE|nightly FOLDER DAYS|drop DATABASE|status|env|destroy" >&2; exit 2 ;;
esac
