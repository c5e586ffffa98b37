#!/usr/bin/env bash
# A mixed day of many coaches asked of a fresh Istmo with a database of its own: ./istmo bench-load [-DperSecond=200 -Dseconds=60 -Dcoaches=40 -Dclients=5 -Dsets=240 -DnewClientsPerSecond=0.2]
# Needs the jar (./istmo builds it). It tells for each kind of request what is wanted and what it was, in ms.
set -euo pipefail
here=$(cd "$(dirname "${BASH_SOURCE[0]}")" && pwd -P)
repo=$(dirname "$here")
tools=$repo/.tools
# shellcheck source=scripts/common.sh
. "$here/common.sh"
port=${PORT:-8098}
log=$tools/load.log
export_env < <("$here/pg.sh" start)
export PORT=$port ISTMO_DEMO=false
(umask 077; : >"$log")
# shellcheck disable=SC2046,SC2086 # options are words
java $(java_options) ${LOAD_JAVA:-} -jar "$repo/app/target/istmo.jar" >"$log" 2>&1 &
app=$!
# shellcheck disable=SC2064 # the process id as it is now
trap "kill $app 2>/dev/null || true; wait $app 2>/dev/null || true; '$here/pg.sh' destroy" EXIT
await_ready "$port" "$app" || fail "the application did not start; its log is $log"
cd "$repo/bench/load"
mvn -B -ntp -q compile exec:exec -Dexec.executable=java \
  -Dexec.args="--add-opens java.base/java.lang=ALL-UNNAMED -Daddress=http://127.0.0.1:$port $* -cp %classpath io.gatling.app.Gatling -s istmo.load.MixedDay -nr -rf target/gatling" \
  || say "not all that is wanted was so; see above"
[ ! -e "/proc/$app" ] || say "the application took $(ps -o cputimes= -p "$app" | tr -d " ") s of a processor and $(($(ps -o rss= -p "$app") / 1024)) MB"
