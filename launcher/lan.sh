# Serving the whole network: over HTTPS, with a certificate that was supplied or one of our own.
TLS_WORDS=""

lan_addresses() { hostname -I 2>/dev/null | tr ' ' '\n' | grep -E '^[0-9]+(\.[0-9]+){3}$' || true; }

keytool() { "$(dirname "$(readlink -f "$(command -v "$JAVA")")")/keytool" "$@"; }

# make_certificate FOLDER: a key and certificate for this machine, made once; prints its fingerprint.
make_certificate() {
  local dir=$1 names="dns:localhost,ip:127.0.0.1" address
  mkdir -p "$dir"
  chmod 700 "$dir"
  if [ ! -s "$dir/jerboa.p12" ]; then
    [ -z "$(hostname 2>/dev/null)" ] || names="$names,dns:$(hostname)"
    for address in $(lan_addresses); do names="$names,ip:$address"; done
    (umask 077; head -c 48 /dev/urandom | base64 | tr -dc 'a-zA-Z0-9' | head -c 32 >"$dir/password")
    JERBOA_STORE_PASSWORD=$(cat "$dir/password") logged "The certificate could not be made." certificate \
      keytool -genkeypair -alias jerboa -keyalg EC -groupname secp256r1 -validity 825 -dname "CN=Jerboa" \
      -ext "SAN=$names" -storetype PKCS12 -keystore "$dir/jerboa.p12" -storepass:env JERBOA_STORE_PASSWORD
    chmod 600 "$dir/jerboa.p12"
  fi
  JERBOA_STORE_PASSWORD=$(cat "$dir/password") \
    keytool -list -v -alias jerboa -keystore "$dir/jerboa.p12" -storepass:env JERBOA_STORE_PASSWORD 2>/dev/null \
    | sed -n 's/.*SHA256: //p' | head -n 1
}

# Points the application at the network and at its certificate.
use_lan() {
  export JERBOA_BIND=${JERBOA_BIND:-0.0.0.0} JERBOA_SECURE=true SERVER_HTTP2_ENABLED=true
  if [ -n "${JERBOA_TLS_CERT:-}" ] || [ -n "${JERBOA_TLS_KEY:-}" ]; then
    [ -r "${JERBOA_TLS_CERT:-}" ] && [ -r "${JERBOA_TLS_KEY:-}" ] \
      || fail "JERBOA_TLS_CERT and JERBOA_TLS_KEY must both name files (PEM) that can be read."
    export SERVER_SSL_CERTIFICATE="file:$JERBOA_TLS_CERT" SERVER_SSL_CERTIFICATE_PRIVATE_KEY="file:$JERBOA_TLS_KEY"
    TLS_WORDS="The certificate is the one of JERBOA_TLS_CERT."
    return
  fi
  local print
  print=$(make_certificate "$DATA/tls")
  export SERVER_SSL_KEY_STORE="file:$DATA/tls/jerboa.p12" SERVER_SSL_KEY_STORE_TYPE=PKCS12 SERVER_SSL_KEY_ALIAS=jerboa
  export SERVER_SSL_KEY_STORE_PASSWORD; SERVER_SSL_KEY_STORE_PASSWORD=$(cat "$DATA/tls/password")
  TLS_WORDS="Its certificate is its own, so browsers ask once. Let them go on only when the SHA-256 fingerprint is
    $print"
}
