# Shared by bin/start, bin/stop, bin/test and bin/periplus: where things are, and how each is installed, started and stopped.
# PERIPLUS_STATE, PERIPLUS_PORT and PERIPLUS_DB_PORT give a second gym on the same machine its own place.
set -euo pipefail

ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
STATE=${PERIPLUS_STATE:-$ROOT/var/gym}
PORT=${PERIPLUS_PORT:-8420}
DB_PORT=${PERIPLUS_DB_PORT:-8421}
RUN=$STATE/run
PHP_FPM=php-fpm8.2
export PATH=$PATH:/usr/sbin:/sbin

say() { printf '%s\n' "$*" >&2; }
fail() { say "$@"; exit 1; }

# Runs a command quietly; when it fails, says what was being done and shows the end of what it printed.
step() {
    local what=$1 log; shift
    mkdir -p "$STATE/log"; log=$STATE/log/step.log
    say "$what ..."
    if ! "$@" >"$log" 2>&1; then
        tail -n 25 "$log" >&2
        fail "That failed: $what. The whole output is in $log."
    fi
}

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
    for need in "$@"; do
        case $need in
            chromium) have chromium || missing+=(chromium) ;;
            poppler) have pdftotext || missing+=(poppler-utils) ;;
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
    export COMPOSER_ALLOW_SUPERUSER=1
    if [ ! -f "$ROOT/vendor/autoload.php" ] || ! unchanged php composer.json upstream/composer.json; then
        step "Fetching the source of Symfony" composer update --working-dir="$ROOT/upstream" --no-interaction --no-progress --no-dev --no-autoloader --no-scripts --no-plugins
        step "Installing the PHP packages" composer update --working-dir="$ROOT" --no-interaction --no-progress
        remember php composer.json upstream/composer.json
        rm -f "$ROOT/var/stamps/classes"
    fi
    if ! unchanged classes core app; then
        step "Mapping the classes" composer dump-autoload --working-dir="$ROOT" --optimize --no-interaction
        remember classes core app
        rm -f "$ROOT/var/stamps/cache"
    fi
}

# npm install rather than npm ci: packages for other platforms are not in every registry, and ci insists on all of them.
web_packages() {
    node_is_there
    [ -d "$ROOT/web/node_modules" ] && unchanged npm web/package.json web/package-lock.json && return 0
    step "Installing the web packages" npm install --prefix "$ROOT/web" --no-save --no-audit --no-fund
    remember npm web/package.json web/package-lock.json
}

web_build() {
    [ -f "$ROOT/web/dist/index.html" ] && unchanged web web docs/openapi.yaml && return 0
    step "Making the API types" npm --prefix "$ROOT/web" run api
    step "Building the screens" npm --prefix "$ROOT/web" run build
    remember web web docs/openapi.yaml
}

# --- The environment of the application ---------------------------------------------------------------------------

secret() { # FILE: a random word, made once
    [ -s "$1" ] || (umask 077; mkdir -p "$(dirname "$1")"; od -An -N24 -tx1 /dev/urandom | tr -d ' \n' >"$1")
    cat "$1"
}

environment() { # [DATABASE]
    export APP_ENV=${APP_ENV:-prod}
    export APP_SECRET SESSION_PATH DATABASE_URL PERIPLUS_URL
    APP_SECRET=$(secret "$STATE/secrets/app")
    SESSION_PATH=$STATE/sessions
    DATABASE_URL="mysql://periplus:$(secret "$STATE/secrets/database")@127.0.0.1:$DB_PORT/${1:-periplus}?charset=utf8mb4"
    PERIPLUS_URL="http://127.0.0.1:$PORT"
    mkdir -p "$SESSION_PATH"
}

console() { php "$ROOT/app/Console/main.php" "$@"; }

app_cache() {
    environment
    [ -d "$ROOT/var/cache/prod" ] && unchanged cache app core composer.json && return 0
    rm -rf "$ROOT/var/cache/prod"
    step "Warming the application" console cache:warmup --no-interaction
    remember cache app core composer.json
}

# --- Servers ------------------------------------------------------------------------------------------------------

running() { # PID: an ended process that nobody has waited for yet still has a number, but does not run
    local state; state=$(ps -o stat= -p "$1" 2>/dev/null) || return 1
    [ "${state:0:1}" != Z ]
}
alive() { [ -s "$1" ] && running "$(cat "$1")"; } # PIDFILE

port_is_free() { # PORT WHAT VARIABLE
    if (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; then
        fail "Port $1 on this machine is taken by another program, and Periplus wants it for $2. Stop that program, or choose another port: $3=$(($1 + 100)) bin/start."
    fi
}

free_port() { # PORT: that one, or the next that nothing listens on
    local port=$1
    while (exec 3<>"/dev/tcp/127.0.0.1/$port") 2>/dev/null; do port=$((port + 1)); done
    echo "$port"
}

until_ready() { # SECONDS COMMAND...
    local tries=$(($1 * 10)); shift
    while ! "$@" >/dev/null 2>&1; do
        tries=$((tries - 1)); [ $tries -gt 0 ] || return 1
        sleep 0.1
    done
}

sql() { mariadb --no-defaults --socket="$RUN/db.sock" --user="$(id -un)" --batch --skip-column-names "$@"; }

database_start() {
    mkdir -p "$RUN" "$STATE/log"
    if ! alive "$RUN/db.pid"; then
        local as_root=(); [ "$(id -u)" = 0 ] && as_root=(--user=root)
        if [ ! -d "$STATE/db/mysql" ]; then
            step "Making the database" mariadb-install-db --no-defaults --datadir="$STATE/db" --skip-test-db "${as_root[@]}" \
                --auth-root-authentication-method=socket --auth-root-socket-user="$(id -un)"
        fi
        setsid nohup mariadbd --no-defaults "${as_root[@]}" --datadir="$STATE/db" --socket="$RUN/db.sock" --pid-file="$RUN/db.pid" \
            --bind-address=127.0.0.1 --port="$DB_PORT" --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_ci \
            --innodb-flush-log-at-trx-commit=1 --innodb-buffer-pool-size=256M >"$STATE/log/database.log" 2>&1 </dev/null &
        until_ready 60 sql -e 'SELECT 1' || { tail -n 20 "$STATE/log/database.log" >&2; fail "The database did not start. Its log is $STATE/log/database.log."; }
    fi
    local password; password=$(secret "$STATE/secrets/database")
    sql <<SQL
CREATE DATABASE IF NOT EXISTS periplus;
CREATE DATABASE IF NOT EXISTS periplus_test;
CREATE USER IF NOT EXISTS 'periplus'@'localhost' IDENTIFIED BY '$password';
ALTER USER 'periplus'@'localhost' IDENTIFIED BY '$password';
GRANT ALL ON periplus.* TO 'periplus'@'localhost';
GRANT ALL ON periplus_test.* TO 'periplus'@'localhost';
SQL
}

server_config() {
    mkdir -p "$RUN" "$STATE/log" "$STATE/tmp"
    cat >"$RUN/fpm.conf" <<CONF
[global]
pid = $RUN/fpm.pid
error_log = $STATE/log/php.log
daemonize = yes
[periplus]
listen = $RUN/fpm.sock
listen.mode = 0600
pm = static
pm.max_children = 6
pm.max_requests = 2000
clear_env = yes
catch_workers_output = yes
decorate_workers_output = no
env[APP_ENV] = "$APP_ENV"
env[APP_SECRET] = "$APP_SECRET"
env[SESSION_PATH] = "$SESSION_PATH"
env[DATABASE_URL] = "$DATABASE_URL"
php_admin_value[memory_limit] = 256M
php_admin_value[expose_php] = 0
php_admin_value[display_errors] = 0
php_admin_value[date.timezone] = UTC
CONF
    # These hold for the whole PHP process and cannot be set for a pool.
    mkdir -p "$RUN/php"
    cat >"$RUN/php/periplus.ini" <<CONF
opcache.enable = 1
opcache.memory_consumption = 128
opcache.max_accelerated_files = 20000
opcache.validate_timestamps = $([ "$APP_ENV" = prod ] && echo 0 || echo 1)
opcache.preload = $([ "$APP_ENV" = prod ] && echo "$ROOT/app/config/preload.php")
opcache.preload_user = $(id -un)
realpath_cache_size = 4096K
apc.shm_size = 64M
CONF
    if [ "$(id -u)" = 0 ]; then printf 'user = root\ngroup = root\n' >>"$RUN/fpm.conf"; fi
    sed -e "s#@ROOT@#$ROOT#g; s#@RUN@#$RUN#g; s#@LOG@#$STATE/log#g; s#@TMP@#$STATE/tmp#g; s#@PORT@#$PORT#g" \
        -e "s#@USER@#$([ "$(id -u)" = 0 ] && echo 'user root;')#" "$ROOT/bin/nginx.conf" >"$RUN/nginx.conf"
}

# What serves already is left alone while nothing it was started with has changed. Otherwise it is ended and started: a
# reload of PHP in place was seen to leave requests without an answer.
web_server_start() {
    server_config
    local wanted; wanted=$(cat "$RUN/fpm.conf" "$RUN/php/periplus.ini" "$RUN/nginx.conf" "$ROOT"/var/stamps/{classes,cache} | sha256sum)
    if ! alive "$RUN/nginx.pid" || ! alive "$RUN/fpm.pid" || [ "$(cat "$RUN/served" 2>/dev/null)" != "$wanted" ]; then
        stop_one "$RUN/nginx.pid" QUIT
        stop_one "$RUN/fpm.pid" QUIT
        PHP_INI_SCAN_DIR=":$RUN/php" $PHP_FPM --fpm-config "$RUN/fpm.conf" $([ "$(id -u)" = 0 ] && echo -R) >>"$STATE/log/php.log" 2>&1 \
            || { tail -n 10 "$STATE/log/php.log" >&2; fail "PHP did not start. Its log is $STATE/log/php.log."; }
        nginx -c "$RUN/nginx.conf" -p "$RUN" -e "$STATE/log/web.log" 2>>"$STATE/log/web.log" \
            || { tail -n 10 "$STATE/log/web.log" >&2; fail "The web server did not start. Its log is $STATE/log/web.log."; }
        echo "$wanted" >"$RUN/served"
    fi
    until_ready 15 curl --max-time 5 --silent --fail --output /dev/null "http://127.0.0.1:$PORT/api/ping" \
        || fail "The pages do not answer on http://127.0.0.1:$PORT. The logs are in $STATE/log."
}

stop_one() { # PIDFILE SIGNAL
    alive "$1" || { rm -f "$1"; return 0; }
    local pid; pid=$(cat "$1")
    kill "-$2" "$pid" 2>/dev/null || true
    local tries=150
    while running "$pid" && [ $tries -gt 0 ]; do tries=$((tries - 1)); sleep 0.1; done
    rm -f "$1"
}

stop_all() {
    stop_one "$RUN/nginx.pid" QUIT
    stop_one "$RUN/fpm.pid" QUIT
    stop_one "$RUN/db.pid" TERM
}
