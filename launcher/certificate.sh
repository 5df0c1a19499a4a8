# The certificate of the house: an authority made once, and what it vouches for. Read by ../elvaro.

# The names and addresses by which the machine is reached, as a certificate names them.
house_names() {
    local name address
    printf 'dns:localhost,ip:127.0.0.1'
    for name in "$(hostname)" "$(hostname).local" ${ELVARO_NAMES:-}; do
        [[ ! $name =~ ^[A-Za-z0-9.-]+$ ]] || printf ',dns:%s' "$name"
    done
    for address in $(hostname -I 2>/dev/null); do
        printf ',ip:%s' "$address"
    done
}

# An authority made once, for ten years, and by it a certificate for a year: anew when its names change, or after ten months.
certify() {
    local tls=$DIR/secret/tls names
    names=$(house_names)
    mkdir -p "$tls"
    ELVARO_STORE_PASSWORD=$(secret tls-password 24)
    export ELVARO_STORE_PASSWORD
    local store=(-storetype PKCS12 -storepass:env ELVARO_STORE_PASSWORD)
    if [ ! -s "$tls/authority.pem" ]; then
        rm -f "$tls/authority.p12"
        keytool -genkeypair -alias authority -keystore "$tls/authority.p12" "${store[@]}" -keyalg EC -groupname secp256r1 \
            -dname "CN=Elvaro in the house of $(hostname)" -validity 3650 -ext bc:critical=ca:true,pathlen:0 \
            -ext ku:critical=keyCertSign,cRLSign
        keytool -exportcert -rfc -alias authority -keystore "$tls/authority.p12" "${store[@]}" >"$tls/authority.new"
        mv "$tls/authority.new" "$tls/authority.pem"
    fi
    [ "$(cat "$tls/names" 2>/dev/null)" != "$names" ] || [ ! -s "$tls/house.p12" ] ||
        [ -z "$(find "$tls/house.p12" -mtime -300)" ] || return 0
    rm -f "$tls/house.new"
    keytool -genkeypair -alias house -keystore "$tls/house.new" "${store[@]}" -keyalg EC -groupname secp256r1 \
        -dname "CN=$(hostname)" -validity 396
    keytool -importcert -noprompt -alias authority -file "$tls/authority.pem" -keystore "$tls/house.new" "${store[@]}"
    keytool -certreq -alias house -keystore "$tls/house.new" "${store[@]}" |
        keytool -gencert -rfc -alias authority -keystore "$tls/authority.p12" "${store[@]}" -validity 396 \
            -ext "san=$names" -ext ku:critical=digitalSignature -ext eku=serverAuth |
        keytool -importcert -noprompt -alias house -keystore "$tls/house.new" "${store[@]}"
    mv "$tls/house.new" "$tls/house.p12"
    printf '%s' "$names" >"$tls/names"
}

# Tells the application to speak encrypted, and to lead over who does not.
encrypt() {
    [ "$TLS" = yes ] || return 0
    step "Making the certificate of the house" "$LOGS/tls.log" certify
    APP_ENV+=(
        SERVER_SSL_KEY_STORE="$DIR/secret/tls/house.p12" SERVER_SSL_KEY_STORE_TYPE=PKCS12 SERVER_SSL_KEY_ALIAS=house
        SERVER_SSL_KEY_STORE_PASSWORD="$(secret tls-password 24)" SERVER_SSL_ENABLED_PROTOCOLS=TLSv1.2,TLSv1.3
        SERVER_SERVLET_SESSION_COOKIE_SECURE=true
        ELVARO_PLAIN_PORT="$HTTP_PORT" ELVARO_AUTHORITY_FILE="$DIR/secret/tls/authority.pem"
        ELVARO_TRUST_ADDRESS="http://$(reached_at):$HTTP_PORT/trust"
        ELVARO_ADDRESS="${ELVARO_ADDRESS:-$(address)}"
    )
}

# Where people open it.
address() {
    if [ "$TLS" = yes ]; then
        printf 'https://%s:%s' "$(reached_at)" "$TLS_PORT"
    else
        printf 'http://%s:%s' "$(reached_at)" "$HTTP_PORT"
    fi
}

# By what others reach the machine.
reached_at() {
    local host=$BIND
    [ "$BIND" != 0.0.0.0 ] || host=$(hostname -I 2>/dev/null | awk '{ print $1 }')
    printf '%s' "${host:-127.0.0.1}"
}
