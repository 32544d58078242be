# Shared by the commands in bin/: the gym's own network, which bin/start --network serves over TLS.
# PERIPLUS_ADDRESS says on which address of this machine (all of them when left out), PERIPLUS_HTTPS_PORT and
# PERIPLUS_HTTP_PORT on which ports, and PERIPLUS_CERTIFICATE with PERIPLUS_CERTIFICATE_KEY name files of a certificate
# that the gym has; without one, a small authority of the gym's own makes it.

NETWORK=
# Days that a certificate is good for, as browsers take it, and that are left when it is made anew.
CERTIFICATE_DAYS=397
CERTIFICATE_LEFT=30

# Sets up the network under these names. Everything that the web server reads of it lies in RUN/network.
use_network() { # NAMES
    NETWORK=$1
    [[ $NETWORK =~ ^[A-Za-z0-9]([A-Za-z0-9.-]*[A-Za-z0-9])?(\ [A-Za-z0-9]([A-Za-z0-9.-]*[A-Za-z0-9])?)*$ ]] \
        || fail "--network takes the names of this machine in the gym's network, with blanks between them, such as gym.local or 192.168.1.20; not \"$NETWORK\"."
    NETWORK_ADDRESS=${PERIPLUS_ADDRESS:-0.0.0.0}
    [[ $NETWORK_ADDRESS =~ ^[0-9]{1,3}(\.[0-9]{1,3}){3}$ ]] || fail "PERIPLUS_ADDRESS is an address of this machine such as 192.168.1.20, not \"$NETWORK_ADDRESS\"."
    local root=; [ "$(id -u)" = 0 ] && root=yes
    HTTPS_PORT=${PERIPLUS_HTTPS_PORT:-$([ -n "$root" ] && echo 443 || echo 8443)}
    HTTP_PORT=${PERIPLUS_HTTP_PORT:-$([ -n "$root" ] && echo 80 || echo 8080)}
    for port in "PERIPLUS_HTTPS_PORT $HTTPS_PORT" "PERIPLUS_HTTP_PORT $HTTP_PORT"; do
        [[ ${port#* } =~ ^[1-9][0-9]{0,4}$ && ${port#* } -le 65535 ]] || fail "${port%% *} is a number from 1 to 65535, not \"${port#* }\"."
    done
    HOSTS="$HOSTS${HOSTS:+ }$NETWORK"
    NETWORK_URL=https://${NETWORK%% *}$([ "$HTTPS_PORT" = 443 ] || echo ":$HTTPS_PORT")
    TRUST_URL=http://${NETWORK%% *}$([ "$HTTP_PORT" = 80 ] || echo ":$HTTP_PORT")/trust
}

network_listens() { # PORT
    local address=$NETWORK_ADDRESS; [ "$address" != 0.0.0.0 ] || address=127.0.0.1
    (exec 3<>"/dev/tcp/$address/$1") 2>/dev/null
}

# Another program that holds one of them is named before anything is started.
network_ports_are_free() {
    local port
    [ -n "$NETWORK" ] || return 0
    for port in "$HTTPS_PORT PERIPLUS_HTTPS_PORT" "$HTTP_PORT PERIPLUS_HTTP_PORT"; do
        # Held by the web server of this gym itself, when it runs already.
        grep -qs ":${port% *}\b" "$RUN/nginx.conf" && runs $NGINX && continue
        ! network_listens "${port% *}" || fail "Port ${port% *} of this machine is taken by another program, such as a web server of Debian's. Stop that program, or choose another port: ${port#* }=$((${port% *} % 50000 + 8000)) bin/start --network \"$NETWORK\"."
    done
}

# The certificate that is given, or one of the gym's own.
network_certificate() {
    local folder=$RUN/network authority=$STATE/secrets/authority name names= number=0
    mkdir -p "$folder"
    chmod 711 "$folder"
    if [ -n "${PERIPLUS_CERTIFICATE:-}" ]; then
        [ -r "$PERIPLUS_CERTIFICATE" ] && [ -r "${PERIPLUS_CERTIFICATE_KEY:-}" ] || fail "PERIPLUS_CERTIFICATE and PERIPLUS_CERTIFICATE_KEY name two files that can be read: the certificate with its chain, and its key."
        [ "$(openssl x509 -in "$PERIPLUS_CERTIFICATE" -noout -pubkey 2>/dev/null)" = "$(openssl pkey -in "$PERIPLUS_CERTIFICATE_KEY" -pubout 2>/dev/null)" ] || fail "The key in $PERIPLUS_CERTIFICATE_KEY does not belong to the certificate in $PERIPLUS_CERTIFICATE."
        for name in $NETWORK; do is_for "$PERIPLUS_CERTIFICATE" "$name" || fail "The certificate in $PERIPLUS_CERTIFICATE is not for $name."; done
        openssl x509 -in "$PERIPLUS_CERTIFICATE" -noout -checkend 0 >/dev/null || fail "The certificate in $PERIPLUS_CERTIFICATE is not good any more."
        cp "$PERIPLUS_CERTIFICATE" "$folder/server.crt"
        cp "$PERIPLUS_CERTIFICATE_KEY" "$folder/server.key"
        rm -f "$folder/root.crt" "$folder/trust.html"
    else
        mkdir -p "$authority"
        chmod 700 "$authority"
        # A root that is not bound to these names, and to servers alone, is made again; devices have to install it again.
        if [ "$NETWORK" != "$(cat "$authority/root.names" 2>/dev/null)" ] || [ ! -s "$authority/root.crt" ]; then
            [ ! -s "$authority/root.crt" ] || say "The names of this machine changed, so the gym has a new root: let every device trust it again at $TRUST_URL."
            openssl req -x509 -newkey ec -pkeyopt ec_paramgen_curve:P-256 -nodes -days 3650 -subj "/CN=Periplus, authority of ${NETWORK%% *}" \
                -addext "basicConstraints=critical,CA:TRUE,pathlen:0" -addext "keyUsage=critical,keyCertSign,cRLSign" \
                -addext "extendedKeyUsage=serverAuth" -addext "nameConstraints=critical,$(root_bounds)" \
                -keyout "$authority/root.key" -out "$authority/root.crt.new" 2>/dev/null || fail "The authority of the gym could not be made."
            mv "$authority/root.crt.new" "$authority/root.crt"
            rm -f "$authority/server.crt"
            printf '%s' "$NETWORK" >"$authority/root.names"
        fi
        for name in $NETWORK; do
            number=$((number + 1))
            [[ $name =~ ^[0-9.]+$ ]] && names+="IP.$number=$name"$'\n' || names+="DNS.$number=$name"$'\n'
        done
        if [ ! -s "$authority/server.crt" ] || [ "$names" != "$(cat "$authority/names" 2>/dev/null)"$'\n' ] || ! openssl x509 -in "$authority/server.crt" -noout -checkend $((86400 * CERTIFICATE_LEFT)) >/dev/null; then
            printf '[san]\nsubjectAltName=@names\nbasicConstraints=CA:FALSE\nkeyUsage=digitalSignature\nextendedKeyUsage=serverAuth\n[names]\n%s' "$names" >"$authority/san.conf"
            openssl req -new -newkey ec -pkeyopt ec_paramgen_curve:P-256 -nodes -subj "/CN=${NETWORK%% *}" -keyout "$authority/server.key" -out "$authority/server.csr" 2>/dev/null \
                && openssl x509 -req -in "$authority/server.csr" -CA "$authority/root.crt" -CAkey "$authority/root.key" -set_serial "0x$(openssl rand -hex 16)" -days $CERTIFICATE_DAYS \
                    -extfile "$authority/san.conf" -extensions san -out "$authority/server.crt" 2>/dev/null || fail "The certificate of this machine could not be made."
            printf '%s' "$names" >"$authority/names"
        fi
        cp "$authority/server.crt" "$authority/server.key" "$authority/root.crt" "$folder/"
        trust_page >"$folder/trust.html"
        chmod 644 "$folder/root.crt" "$folder/trust.html"
    fi
    chmod 644 "$folder/server.crt"
    chmod 600 "$folder/server.key"
}

# What the root may vouch for: the names and addresses of this machine, and no mail address. A kind that is not named here
# would be free, so that one which the gym does not use is bound to a name that nobody has.
root_bounds() {
    local name dns= ip= bounds=
    for name in $NETWORK; do
        if [[ $name =~ ^[0-9.]+$ ]]; then ip=yes; bounds+="permitted;IP:$name/255.255.255.255,"; else dns=yes; bounds+="permitted;DNS:$name,"; fi
    done
    [ -n "$dns" ] || bounds+="permitted;DNS:invalid,"
    [ -n "$ip" ] || bounds+="permitted;IP:127.0.0.1/255.255.255.255,"
    printf '%spermitted;email:invalid' "$bounds"
}

is_for() { # CERTIFICATE NAME
    local what=checkhost; [[ $2 =~ ^[0-9.]+$ ]] && what=checkip
    openssl x509 -in "$1" -noout -$what "$2" | grep -q 'does match'
}

# The page from which a device takes the root of the gym's authority; its code leads a tablet to it.
trust_page() {
    local print code
    print=$(openssl x509 -in "$STATE/secrets/authority/root.crt" -noout -fingerprint -sha256 | cut -d= -f2)
    code=$(cd "$ROOT/web" && node --input-type=module -e 'import { renderSVG } from "uqr"; console.log(renderSVG(process.argv[1], { border: 3 }))' "$TRUST_URL")
    cat <<HTML
<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>Trust this gym</title>
<link rel="stylesheet" href="/trust.css"></head>
<body><main>
<h1>Let this device trust the gym</h1>
<p>Periplus runs on a machine of the gym, which vouches for itself. A device that has its root opens Periplus without a warning, and keeps walls going without the network.</p>
<ol>
<li><a href="/root.crt">Take the root of the gym</a>, and install it as a certificate authority: on Android under Security, Install a certificate, CA certificate; on iPhone and iPad open the file, install the profile, then switch it on under General, About, Certificate Trust Settings; on a computer in the settings of the browser or the system.</li>
<li>Compare its fingerprint with the one that <code>bin/start</code> printed:<br><code>$print</code></li>
<li><a href="$NETWORK_URL/">Open Periplus</a>.</li>
</ol>
<figure>$code<figcaption>$TRUST_URL</figcaption></figure>
<p class="small">Whoever holds the gym's machine could vouch for any address to this device. Install it on devices of the gym; take it out of the list again when you do not need it.</p>
</main></body></html>
HTML
}

# What the web server is told of it: in the server of the pages, for names that are not its own, and for http.
network_config() { # PART
    [ -n "$NETWORK" ] || return 0
    local to='https://$host'; [ "$HTTPS_PORT" = 443 ] || to+=":$HTTPS_PORT"
    # Ciphers that authenticate what they encrypt, with forward secrecy and without SHA-1: RFC 9325, section 4.2.
    local tls="ssl_certificate \"$RUN/network/server.crt\"; ssl_certificate_key \"$RUN/network/server.key\"; ssl_protocols TLSv1.2 TLSv1.3;
        ssl_ciphers ECDHE-ECDSA-AES128-GCM-SHA256:ECDHE-RSA-AES128-GCM-SHA256:ECDHE-ECDSA-AES256-GCM-SHA384:ECDHE-RSA-AES256-GCM-SHA384:ECDHE-ECDSA-CHACHA20-POLY1305:ECDHE-RSA-CHACHA20-POLY1305;
        ssl_conf_command SignatureAlgorithms ECDSA+SHA256:RSA-PSS+SHA256:RSA+SHA256:ECDSA+SHA384:RSA-PSS+SHA384:RSA+SHA384;"
    local trust="location = /trust { root \"$RUN/network\"; default_type text/html; add_header Content-Security-Policy \"default-src 'none'; style-src 'self'; frame-ancestors 'none'\" always; try_files /trust.html =404; }
        location = /trust.css { root \"$ROOT/web/dist\"; try_files /trust.css =404; }
        location = /root.crt { root \"$RUN/network\"; default_type application/x-x509-ca-cert; try_files /root.crt =404; }"
    case $1 in
        # Another certificate is another configuration, so that it is read.
        pages) echo "# $(sha256sum <"$RUN/network/server.crt")
        listen \"unix:$RUN/web/tls.sock\" ssl proxy_protocol; $tls $trust" ;;
        others) echo "listen \"unix:$RUN/web/tls.sock\" ssl default_server proxy_protocol backlog=4096; $tls" ;;
        front) echo "server { listen $NETWORK_ADDRESS:$HTTPS_PORT backlog=4096; proxy_pass \"unix:$RUN/web/tls.sock\"; }
    server { listen $NETWORK_ADDRESS:$HTTP_PORT backlog=4096; proxy_pass \"unix:$RUN/web/http.sock\"; }" ;;
        http) echo "server { listen \"unix:$RUN/web/http.sock\" default_server proxy_protocol; default_type text/plain; return 421 \"This gym is not known by that name.\"; }
    server { listen \"unix:$RUN/web/http.sock\" proxy_protocol; server_name $NETWORK; $trust location / { return 301 $to\$request_uri; } }" ;;
    esac
}
