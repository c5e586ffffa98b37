#!/usr/bin/env bash
# The package's own trial, as root in a bare Debian root without systemd: installed, used, upgraded, backed up, restored, removed, purged.
# packaging/try.sh OLD.deb NEW.deb; its log is kept in docs/package-trial.txt. Run by hand, because it installs on the machine.
set -euo pipefail
old=${1:?the package of before} new=${2:?the package to upgrade to}
export DEBIAN_FRONTEND=noninteractive
step() { printf '\n== %s\n' "$*"; }
ask() { curl -sf -b /tmp/try.cookies -c /tmp/try.cookies -H 'Content-Type: application/json' -H "X-XSRF-TOKEN: $(awk '$6 == "XSRF-TOKEN" {print $7}' /tmp/try.cookies 2>/dev/null)" "$@"; }
at=http://127.0.0.1:8080
trap '[ ! -x /usr/sbin/istmo ] || istmo stop' EXIT # what a failed trial would leave running
wait_for_it() { for _ in $(seq 120); do curl -sf "$at/actuator/health/readiness" >/dev/null && return; sleep 1; done; tail -5 /var/lib/istmo/istmo.log; exit 1; }
sign_in() { # PASSWORD
  ask "$at/api/account" >/dev/null
  ask -X POST "$at/api/account/sign-in" -d "{\"signInName\":\"owner\",\"password\":\"$1\"}" >/dev/null
}
clients() { ask "$at/api/clients" | grep -o '"name":"[^"]*"' | sort | tr '\n' ' '; }

step install "$(basename "$old")"
apt-get update -qq
apt-get install -y -qq curl procps "$old" >/tmp/apt.log 2>&1 || { tail -20 /tmp/apt.log; exit 1; }
dpkg-query -W -f '${Package} ${Status}\n' istmo
istmo start
wait_for_it
ask "$at/api/account" >/dev/null
ask -X POST "$at/api/account/first" -d '{"name":"Own coach","signInName":"owner","password":"a long enough password"}' >/dev/null
ask -X POST "$at/api/clients" -d '{"name":"Before","statureM":1.75,"massKg":70,"sex":"FEMALE","thigh":"USUAL","ankle":"USUAL","pain":[]}' >/dev/null
echo "clients: $(clients)"
istmo backup
istmo try-backup
istmo status

step upgrade to "$(basename "$new")", which backs up first
apt-get install -y -qq "$new" >/tmp/apt.log 2>&1 || { tail -20 /tmp/apt.log; exit 1; }
grep 'istmo: backed up' /tmp/apt.log
istmo start
wait_for_it
echo "clients: $(clients)"

step the nightly backup, and a forgotten password
istmo nightly
printf '%s\n' 'another long password' 'another long password' | istmo reset-password owner
sign_in "another long password"
echo "signed in with the new one: $(clients)"

step restore the backup after a change
ask "$at/api/account" >/dev/null
ask -X POST "$at/api/clients" -d '{"name":"After","statureM":1.75,"massKg":70,"sex":"FEMALE","thigh":"USUAL","ankle":"USUAL","pain":[]}' >/dev/null
echo "clients: $(clients)"
istmo restore "$(find /var/lib/istmo/backups -name '*.dump' | sort | head -1)"
istmo stop
istmo start
wait_for_it
sign_in "a long enough password" # the backup is older than the new one
echo "clients: $(clients)"

step a broken backup changes nothing
echo broken >/var/lib/istmo/backups/broken.dump
chmod 644 /var/lib/istmo/backups/broken.dump
if istmo restore /var/lib/istmo/backups/broken.dump; then echo "it was taken"; exit 1; fi
echo "clients: $(clients)"

step remove: the data stay
apt-get remove -y -qq istmo >/dev/null
ls /var/lib/istmo

step purge without an answer: the data stay
dpkg --purge istmo
ls /var/lib/istmo/backups

step install again, and purge with yes: the data go
apt-get install -y -qq "$new" >/tmp/apt.log 2>&1
echo 'istmo istmo/purge-data boolean true' | debconf-set-selections
dpkg --purge istmo
ls -d /var/lib/istmo 2>&1 || true
step finished
