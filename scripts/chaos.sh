#!/usr/bin/env bash
# Devices write sets down while the application, PostgreSQL, both, or their connections are killed: ./istmo bench-chaos [MINUTES]
# Needs the jar (./istmo builds it). Tells in the end whether a set that was answered is lost, doubled or out of its order, and how long nothing was answered.
# "chaos.sh hit KIND SERVER" is one blow at the starter whose process id is SERVER.
set -euo pipefail
here=$(cd "$(dirname "${BASH_SOURCE[0]}")" && pwd -P)
repo=$(dirname "$here")
tools=$repo/.tools
# shellcheck source=scripts/common.sh
. "$here/common.sh"

# The application is the Java that the starter has started last.
application() { pgrep -P "$1" -x java | tail -1; } # SERVER
postmaster() { head -1 "$ISTMO_PG_HOME/data/postmaster.pid" 2>/dev/null || true; }

hit() { # KIND SERVER
  local pid
  case $1 in
    application) kill -9 "$(application "$2")" ;;
    ended) kill "$(application "$2")" ;;
    database) kill -9 "$(postmaster)" ;;
    restarted) "$here/pg.sh" crash ;;
    both) kill -9 "$(application "$2")" "$(postmaster)" ;;
    connections) pkill -9 -P "$(postmaster)" -f '^postgres: istmo istmo ' || true ;;
    stopped)
      pid=$(postmaster)
      # shellcheck disable=SC2046 # process ids are words
      kill -STOP "$pid" $(pgrep -P "$pid")
      sleep 20
      # shellcheck disable=SC2046
      kill -CONT $(pgrep -P "$pid") "$pid"
      ;;
    *) fail "no such blow: $1" ;;
  esac
}

if [ "${1:-}" = hit ]; then hit "$2" "$3"; exit; fi

minutes=${1:-60}
export PORT=${PORT:-8097}
export ISTMO_OWN_HOME=$ISTMO_PG_HOME ISTMO_BACKUPS=$tools/chaos-backups
"$repo/istmo" serve >"$tools/chaos-serve.log" 2>&1 &
server=$!
# shellcheck disable=SC2064 # the process id as it is now
trap "kill $server 2>/dev/null || true; wait $server 2>/dev/null || true; '$here/pg.sh' destroy; rm -rf '$ISTMO_BACKUPS'" EXIT
await_ready "$PORT" "$server" || fail "the application did not start; its log is $tools/chaos-serve.log"
cd "$repo/bench/load"
mvn -B -ntp -q compile exec:exec -Dexec.executable=java \
  -Dexec.args="-cp %classpath istmo.load.Chaos http://127.0.0.1:$PORT $minutes $here/chaos.sh $server"
