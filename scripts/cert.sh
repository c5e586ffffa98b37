#!/usr/bin/env bash
# A self-made certificate for an address of this machine: cert.sh FOLDER ADDRESS
# Prints KEY=VALUE lines for the application, and the fingerprint to compare on the other device. The same address keeps its certificate.
set -euo pipefail
folder=$1 address=$2
umask 077
mkdir -p "$folder"
store=$folder/$(printf %s "$address" | tr -c 'A-Za-z0-9.' _).p12
if [ ! -s "$store" ]; then
  [ -s "$folder/password" ] || od -An -N16 -tx1 /dev/urandom | tr -d ' \n' > "$folder/password"
  if [[ $address =~ ^[0-9.]+$ || $address == *:* ]]; then kind=ip; else kind=dns; fi
  keytool -genkeypair -alias istmo -keyalg EC -groupname secp256r1 -sigalg SHA256withECDSA -validity 800 -dname "CN=Istmo $address" -ext "SAN=$kind:$address" -ext "EKU=serverAuth" \
    -storetype PKCS12 -keystore "$store.part" -storepass:file "$folder/password" >"$folder/keytool.log" 2>&1 || { cat "$folder/keytool.log" >&2; exit 1; }
  mv "$store.part" "$store" # one that was cut short leaves no half store
fi
printf 'SERVER_SSL_KEY_STORE=%s\nSERVER_SSL_KEY_STORE_PASSWORD=%s\nSERVER_SSL_KEY_STORE_TYPE=PKCS12\n' "$store" "$(cat "$folder/password")"
printf 'FINGERPRINT=%s\n' "$(keytool -list -v -keystore "$store" -storepass:file "$folder/password" 2>/dev/null | sed -n 's/^[[:space:]]*SHA256: //p' | head -1)"
