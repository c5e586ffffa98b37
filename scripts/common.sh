# shellcheck shell=bash
# What the command and its helpers share. Sourced, not run; $repo and $tools are the caller's.
: "${tools:?}" "${repo:?}"

say() { printf 'istmo: %s\n' "$*" >&2; }
fail() { printf 'istmo: %s\n' "$*" >&2; exit 1; }

# Where a database of this checkout lives. PostgreSQL does not run as root, and its own user may not reach the checkout: root's data live outside it.
data_home() { # NAME-FOR-ROOT NAME-IN-THE-CHECKOUT
  if [ "$(id -u)" = 0 ]; then echo "/var/lib/istmo-pg/$1"; else echo "$repo/.data/$2"; fi
}
checkout_id() { printf %s "$repo" | sha256sum | cut -c1-12; }
demo_home() { data_home "$(checkout_id)" pg; }
own_home() { data_home "own-$(checkout_id)" own; }

# Installs missing Debian packages, or says which are missing when that needs root.
need_packages() {
  local missing=() p
  for p in "$@"; do
    dpkg-query -W -f '${db:Status-Status}' "$p" 2>/dev/null | grep -qx installed || missing+=("$p")
  done
  [ ${#missing[@]} -gt 0 ] || return 0
  [ "$(id -u)" = 0 ] || fail "these Debian packages are missing: ${missing[*]}. Install them as root (apt-get install ${missing[*]}) and call again."
  say "installing ${missing[*]}"
  if ! { apt-get update -qq && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "${missing[@]}"; } >"$tools/apt.log" 2>&1; then
    tail -5 "$tools/apt.log" >&2
    fail "Debian's packages could not be installed (${missing[*]}). Is the package registry reached?"
  fi
}

# Stops early when the disk is nearly full: a build and a database need room.
need_disk() { # PATH MEGABYTES
  local free
  free=$(df -Pm "$1" | awk 'NR==2{print $4}')
  [ "$free" -ge "$2" ] || fail "only $free MB are free for $1; $2 MB are needed. Free some space and call again."
}

# Whether an address on this machine answers 200, without needing curl.
curl_ok() {
  local rest=${1#http://} host path
  host=${rest%%/*}; path=/${rest#*/}
  { exec 3<>"/dev/tcp/${host%:*}/${host#*:}"; } 2>/dev/null || return 1
  printf 'GET %s HTTP/1.0\r\nHost: %s\r\n\r\n' "$path" "$host" >&3
  local status
  IFS= read -r -t 5 status <&3 || status=
  exec 3>&-
  [[ $status == *" 200"* ]]
}

# Whether the application becomes ready while its process lives, within ten minutes: a busy machine
# may need three for the demo's data. It says every half minute that it goes on.
await_ready() { # PORT PID
  local begun=$SECONDS told=0
  while [ $((SECONDS - begun)) -lt 600 ]; do
    if curl_ok "http://127.0.0.1:$1/actuator/health/readiness"; then return 0; fi
    kill -0 "$2" 2>/dev/null || return 1
    if [ $(((SECONDS - begun) / 30)) -gt "$told" ]; then
      told=$(((SECONDS - begun) / 30))
      say "still starting after $((30 * told)) seconds"
    fi
    sleep 0.5
  done
  return 1
}

# How Java runs the application: with a bounded heap, and ended rather than half alive when that is full; the starter starts
# it again. ISTMO_HEAP=2g gives it more. Threads that compute yield to threads that read and write.
java_options() { echo "-Xmx${ISTMO_HEAP:-1g} -XX:+ExitOnOutOfMemoryError -XX:ThreadPriorityPolicy=1"; }

export_env() { # reads KEY=VALUE lines
  local line
  while IFS= read -r line; do
    [[ $line == *=* ]] && export "${line?}"
  done
}

# Asks twice for a new password; prints the name as it is kept and the hash, with a tab between.
new_password() { # JAR NAME
  local password again
  read -rsp "New password for $2: " password; echo >&2
  read -rsp "The same again: " again; echo >&2
  [ "$password" = "$again" ] || fail "the two are not the same; nothing was changed."
  printf '%s\n' "$password" | java -cp "$1" -Dloader.main=istmo.app.accounts.ForgottenPassword org.springframework.boot.loader.launch.PropertiesLauncher "$2"
}
