# Shared by bin/start, bin/stop, bin/test and bin/periplus: where things are, and how each is installed.
# PERIPLUS_STATE, PERIPLUS_PORT and PERIPLUS_DB_PORT give a second gym on the same machine its own place;
# PERIPLUS_HOSTS names further hosts under which the pages are asked for, such as the name of a proxy before them.
umask 077
set -euo pipefail
export PATH=$PATH:/usr/sbin:/sbin

say() { printf '%s\n' "$*" >&2; }
fail() { say "$@"; exit 1; }

ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd -P)
STATE=$(realpath -m -- "${PERIPLUS_STATE:-$ROOT/var/gym}")
PORT=${PERIPLUS_PORT:-8420}
DB_PORT=${PERIPLUS_DB_PORT:-8421}
HOSTS=${PERIPLUS_HOSTS:-}
PHP_FPM=php-fpm8.2
GALERA=/usr/lib/galera/libgalera_smm.so
# The database of the gym that is meant; others are named after it while something is built beside it.
GYM_DB=periplus

# Sets what follows from where the state of a gym lies.
use_state() { # FOLDER
    STATE=$1
    RUN=$STATE/run
    DB_SOCKET=$RUN/db/db.sock
    RECORDINGS=$STATE/recordings
    export PERIPLUS_STATE=$STATE
}
use_state "$STATE"

# Signs that mean something in the configuration of the servers are refused here rather than misread there.
for path in "$ROOT" "$STATE"; do
    [[ $path != *[\"\'\\\$\`#\;:{}\|\<\>\*\?\&%@^$'\n\t']* ]] || fail "Periplus cannot run in \"$path\": use a folder whose name has letters, digits, blanks, dots, hyphens and underscores."
done
[ "$(LC_ALL=C; printf %s "$RUN/php-00000000/fpm.sock" | wc -c)" -le 107 ] || fail "The folder for the state of the gym, $STATE, has too long a name for the sockets in it: choose a shorter one, such as PERIPLUS_STATE=/var/lib/periplus bin/start."
for port in "PERIPLUS_PORT $PORT" "PERIPLUS_DB_PORT $DB_PORT"; do
    [[ ${port#* } =~ ^[1-9][0-9]{0,4}$ && ${port#* } -le 65535 ]] || fail "${port%% *} is a number from 1 to 65535, not \"${port#* }\"."
done
[[ $HOSTS =~ ^[A-Za-z0-9.\ -]*$ ]] || fail "PERIPLUS_HOSTS is a list of host names with blanks between them, not \"$HOSTS\"."

# Runs a command quietly; when it fails, says what was being done and shows the end of what it printed.
step() {
    local what=$1 log; shift
    mkdir -p "$STATE/log"; log=$STATE/log/step.log
    say "$what ..."
    if ! "$@" >"$log" 2>&1; then
        tail -n 25 "$log" >&2
        if grep -q 'No space left on device\|Errcode: 28\|error 28' "$log" || disk_is_full "$STATE"; then fail "The disk is full. Make room, then run this again."; fi
        fail "That failed: $what. The whole output is in $log."
    fi
}

disk_is_full() { [ "$(df --output=avail -k "$1" 2>/dev/null | tail -n 1)" -lt 64 ] 2>/dev/null; } # FOLDER

# One at a time: whoever comes second waits. The lock goes with the process, however it ends.
lock() { # FILE WHAT
    local fd
    mkdir -p "$(dirname "$1")"
    exec {fd}>>"$1"
    LOCKS+=("$fd")
    flock -n "$fd" || { say "Another $2 is under way; this one waits for it ..."; flock "$fd"; }
}
LOCKS=()
unlock_last() { local fd=${LOCKS[-1]}; exec {fd}>&-; unset 'LOCKS[-1]'; }
unlock() { local fd; for fd in "${LOCKS[@]}"; do exec {fd}>&-; done; LOCKS=(); }

# --- What has to be installed -------------------------------------------------------------------------------------

debian_packages() {
    local missing=() need
    have() { command -v "$1" >/dev/null 2>&1; }
    have php || missing+=(php8.2-cli)
    have composer || missing+=(composer)
    have unzip || missing+=(unzip)
    have curl || missing+=(curl)
    have ps || missing+=(procps)
    have mariadbd || missing+=(mariadb-server)
    have nginx || missing+=(nginx)
    have $PHP_FPM || missing+=(php8.2-fpm)
    [ -e /usr/lib/nginx/modules/ngx_nchan_module.so ] || missing+=(libnginx-mod-nchan)
    [ -e /usr/lib/nginx/modules/ngx_stream_module.so ] || missing+=(libnginx-mod-stream)
    have espeak-ng || missing+=(espeak-ng)
    have openssl || missing+=(openssl)
    for need in "$@"; do
        case $need in
            chromium) have chromium-headless-shell || missing+=(chromium-headless-shell) ;;
            poppler) have pdftotext || missing+=(poppler-utils) ;;
            cluster)
                have haproxy || missing+=(haproxy)
                have redis-server || missing+=(redis-server)
                have rsync || missing+=(rsync)
                [ -e "$GALERA" ] || missing+=(galera-4)
                php -m 2>/dev/null | grep -qix redis || missing+=(php8.2-redis)
                ;;
        esac
    done
    local modules; modules=$(php -m 2>/dev/null || true)
    for need in pdo_mysql:mysql intl:intl mbstring:mbstring xml:xml curl:curl zip:zip apcu:apcu; do
        grep -qix "${need%%:*}" <<<"$modules" || missing+=("php8.2-${need##*:}")
    done
    [ ${#missing[@]} -eq 0 ] && return 0
    [ "$(id -u)" = 0 ] || fail "These Debian packages are missing: ${missing[*]}. Install them as root (apt-get install ${missing[*]}), then run this again."
    # The project starts its own servers; those of the packages stay down.
    local policy=/usr/sbin/policy-rc.d made=
    if [ ! -e $policy ]; then
        printf '#!/bin/sh\nexit 101\n' >$policy; chmod +x $policy; made=yes
    fi
    step "Reading the list of Debian packages" apt-get update -qq
    step "Installing ${missing[*]}" env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "${missing[@]}"
    [ -z "$made" ] || rm -f $policy
}

node_is_there() {
    local version
    version=$(node --version 2>/dev/null || true)
    [ -n "$version" ] || fail "Node.js is missing. Install Node.js 20.19 or newer with npm, then run this again."
    node -e 'const [a,b]=process.versions.node.split(".").map(Number);process.exit(a>20||(a===20&&b>=19)?0:1)' \
        || fail "Node.js $version is too old to build the screens. Install Node.js 20.19 or newer, then run this again."
}

# unchanged NAME FILE... : whether the files are what they were when NAME was last remembered.
digest() { (cd "$ROOT" && find "$@" -type f -not -path '*/node_modules/*' -not -path '*/dist/*' -print0 | sort -z | xargs -0 sha256sum | sha256sum | cut -c1-32); }
unchanged() { local name=$1; shift; [ "$(cat "$ROOT/var/stamps/$name" 2>/dev/null)" = "$(digest "$@")" ]; }
remember() { local name=$1; shift; mkdir -p "$ROOT/var/stamps"; digest "$@" >"$ROOT/var/stamps/$name"; }

# Two steps, because some Symfony components are only to be had inside the whole: see docs/development.md.
php_packages() {
    umask 022 # the servers' accounts read it
    export COMPOSER_ALLOW_SUPERUSER=1
    if [ ! -f "$ROOT/vendor/autoload.php" ] || ! unchanged php composer.json upstream/composer.json; then
        step "Fetching the source of Symfony" composer update --working-dir="$ROOT/upstream" --no-interaction --no-progress --no-dev --no-autoloader --no-scripts --no-plugins
        step "Installing the PHP packages" composer update --working-dir="$ROOT" --no-interaction --no-progress
        chmod -R go+rX "$ROOT/vendor" # some archives carry narrower rights
        remember php composer.json upstream/composer.json
        rm -f "$ROOT/var/stamps/classes"
    fi
    if ! unchanged classes core app; then
        step "Mapping the classes" composer dump-autoload --working-dir="$ROOT" --optimize --no-interaction
        remember classes core app
    fi
    umask 077
}

# npm install rather than npm ci: packages for other platforms are not in every registry, and ci insists on all of them.
web_packages() {
    node_is_there
    [ -d "$ROOT/web/node_modules" ] && unchanged npm web/package.json web/package-lock.json && return 0
    step "Installing the web packages" npm install --prefix "$ROOT/web" --no-save --no-audit --no-fund
    remember npm web/package.json web/package-lock.json
}

web_build() {
    [ -f "$ROOT/web/dist/index.html" ] && unchanged web web docs/openapi.yaml docs/formats/session.schema.json core/data/palette.json && return 0
    umask 022
    step "Making the API types" npm --prefix "$ROOT/web" run api
    step "Building the screens" npm --prefix "$ROOT/web" run build
    remember web web docs/openapi.yaml docs/formats/session.schema.json core/data/palette.json
    umask 077
}

# --- The environment of the application ---------------------------------------------------------------------------

secret() { # FILE: a random word, made once
    [ -s "$1" ] || (umask 077; mkdir -p "$(dirname "$1")"; od -An -N24 -tx1 /dev/urandom | tr -d ' \n' >"$1")
    cat "$1"
}

environment() { # [DATABASE]
    export APP_ENV=${APP_ENV:-prod}
    export APP_SECRET SYMFONY_TRUSTED_HOSTS DATABASE_URL PERIPLUS_URL
    APP_SECRET=$(secret "$STATE/secrets/app")
    APP_HOSTS="localhost 127.0.0.1${HOSTS:+ $HOSTS}"
    SYMFONY_TRUSTED_HOSTS=$(printf '%s\n' $APP_HOSTS | sed 's/\./\\./g; s/.*/^&$/' | paste -sd,)
    # An installation of several gyms takes every name, and looks up whose it is.
    [ ! -e "$STATE/several" ] || SYMFONY_TRUSTED_HOSTS=.
    export GYMS_BY_HOST DIRECTORY_URL
    GYMS_BY_HOST=$([ -e "$STATE/several" ] && echo 1 || echo 0)
    DIRECTORY_URL="mysql://periplus:$(secret "$STATE/secrets/database")@127.0.0.1:$DB_PORT/periplus_directory?charset=utf8mb4"
    DATABASE_URL="mysql://periplus:$(secret "$STATE/secrets/database")@127.0.0.1:$DB_PORT/${1:-periplus}?charset=utf8mb4"
    PERIPLUS_URL="http://127.0.0.1:$PORT"
    export PERIPLUS_CLIPS=$STATE/clips PERIPLUS_PUSH=${PUSH_SERVERS:-unix://$RUN/push/publish.sock}
    # What links to the pages begin with: as the last bin/start printed it, in the network of the gym where there is one.
    export PERIPLUS_LINKS=${NETWORK_URL:-$(cat "$STATE/address" 2>/dev/null || echo "$PERIPLUS_URL")}
}

# Commands of the application share no memory with the servers, but find the same kind of cache.
# The computation is arithmetic, which the just-in-time compiler makes nearly twice as quick; the server has it as well.
COMPILED="-d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M"
console() { php $COMPILED -d apc.enable_cli=1 "$ROOT/app/Console/main.php" "$@"; }

# What the framework makes of the code is kept in a folder for each state of the code, so that making the next one takes
# nothing away from what serves.
app_cache() {
    environment
    [ "$APP_ENV" = prod ] || return 0
    export APP_CACHE_DIR
    APP_CACHE_DIR=$ROOT/var/cache/prod-$(digest app core composer.json)
    [ -e "$APP_CACHE_DIR/ready" ] && return 0
    umask 022
    rm -rf "$APP_CACHE_DIR"
    step "Warming the application" console cache:warmup --no-interaction
    touch "$APP_CACHE_DIR/ready"
    find "$ROOT/var/cache" -maxdepth 1 -name 'prod*' -mmin +1440 ! -path "$APP_CACHE_DIR" -exec rm -rf {} +
    umask 077
}

. "$ROOT/bin/network.sh"
. "$ROOT/bin/servers.sh"
. "$ROOT/bin/upgrade.sh"
. "$ROOT/bin/backup.sh"
. "$ROOT/bin/gyms.sh"
