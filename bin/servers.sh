# Shared by the commands in bin/: the database, PHP and the web server of a gym, and the accounts they run as.
# A process is told by its program and the folder it works in, never by a number in a file: numbers are given anew.

MARIADB=mariadbd
NGINX=nginx
KEEPER=keeper

# --- Processes ----------------------------------------------------------------------------------------------------

# Numbers of this gym's processes of a program, one a line. Ended ones that nobody waited for have no folder any more.
ours() { # PROGRAM
    local process name where folder=$RUN
    [ "$1" = $MARIADB ] && folder=$STATE/db
    for process in /proc/[0-9]*; do
        { read -r name <"$process/comm"; } 2>/dev/null || continue
        [ "$name" = "$1" ] || continue
        where=$(readlink "$process/cwd" 2>/dev/null) || continue
        # Servers that an older bin/start began work elsewhere, and are known by the configuration they name.
        if [ "${where% (deleted)}" = "$folder" ] || grep -qaF -- "$RUN/" "$process/cmdline" 2>/dev/null; then echo "${process#/proc/}"; fi
    done
}

runs() { [ -n "$(ours "$1")" ]; } # PROGRAM

# The process that leads the others; nothing when it is gone and they are left.
leader() { # PROGRAM [WORDS OF ITS COMMAND LINE]
    local pid
    for pid in $(ours "$1"); do
        if grep -qaF -- "master process" "/proc/$pid/cmdline" 2>/dev/null && grep -qaF -- "${2:-}" "/proc/$pid/cmdline" 2>/dev/null; then echo "$pid"; return; fi
    done
}

# Ends processes: asks, waits, and takes what has not gone by then.
end() { # SECONDS SIGNAL PID...
    local tries=$(($1 * 10)) signal=$2 pid left; shift 2
    [ $# -gt 0 ] || return 0
    kill "-$signal" "$@" 2>/dev/null || true
    while [ $tries -gt 0 ]; do
        left=
        for pid in "$@"; do if is_alive "$pid"; then left=yes; fi; done
        [ -n "$left" ] || return 0
        tries=$((tries - 1)); sleep 0.1
    done
    kill -KILL "$@" 2>/dev/null || true
}

is_alive() { # PID: an ended process that nobody has waited for yet still has a number, but does not run
    local state
    { read -r state <"/proc/$1/stat"; } 2>/dev/null || return 1
    state=${state##*) }
    [ "${state:0:1}" != Z ]
}

stop_all() {
    end 5 KILL $(ours $KEEPER)
    end 15 QUIT $(ours $NGINX)
    end 15 QUIT $(ours $PHP_FPM)
    end 60 TERM $(ours $MARIADB)
    rm -rf "$RUN"/php-* "$RUN"/*.pid "$RUN"/*.sock "$RUN/db" "$RUN/push" "$RUN/web" "$RUN/network"
}

until_ready() { # SECONDS COMMAND...
    local tries=$(($1 * 10)); shift
    while ! "$@" >/dev/null 2>&1; do
        tries=$((tries - 1)); [ $tries -gt 0 ] || return 1
        sleep 0.1
    done
}

listens() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; } # PORT

port_is_free() { # PORT WHAT VARIABLE
    if listens "$1"; then
        fail "Port $1 on this machine is taken by another program, and Periplus wants it for $2. Stop that program, or choose another port: $3=$(($1 + 100)) bin/start."
    fi
}

free_port() { # PORT: that one, or the next that nothing listens on
    local port=$1
    while listens "$port"; do port=$((port + 1)); done
    echo "$port"
}

# --- Accounts and folders -----------------------------------------------------------------------------------------

# The account that a server runs as: one without rights where bin/start runs as root, and that account can reach what the
# server needs; else the one that runs bin/start.
account_for() { # ACCOUNT FILE...
    local account=$1 file; shift
    if [ "$(id -u)" != 0 ] || [ "${APP_ENV:-prod}" = dev ]; then id -un; return; fi
    for file in "$STATE" "$@"; do
        runuser -u "$account" -- test -r "$file" -o -x "$file" 2>/dev/null && continue
        say "A server runs as root, because the account $account cannot reach $file: keep Periplus where every account may pass, such as /srv, to change that."
        id -un
        return
    done
    echo "$account"
}

# What is there is made private, and must not be somebody else's.
is_gym_or_empty() {
    local part
    [ -n "$(ls -A "$STATE" 2>/dev/null)" ] || return 0
    for part in db secrets run lock log; do [ ! -e "$STATE/$part" ] || return 0; done
    return 1
}

# What belongs to the gym is for its own accounts alone; also what an older bin/start left open.
private_folders() {
    mkdir -p "$STATE" "$RUN" "$STATE/log" "$STATE/secrets" "$STATE/backups" "$STATE/tmp/php"
    # Passed through by the servers' accounts on the way to what they read.
    mkdir -p "$ROOT/var/cache"
    chmod 711 "$ROOT/var" "$ROOT/var/cache"
    chmod 711 "$STATE" "$RUN" "$STATE/tmp"
    chmod 700 "$STATE/log" "$STATE/secrets" "$STATE/tmp/php"
    chmod o-rwx "$STATE/backups"
    find "$STATE/log" "$STATE/secrets" -type f -perm /077 -exec chmod go-rwx {} +
    find "$STATE/backups" -type f -perm /037 -exec chmod g-wx,o-rwx {} +
    find "$RUN" -maxdepth 2 \( -name '*.conf' -o -name '*.ini' \) -perm /077 -exec chmod go-rwx {} +
    # Sessions were files once, and what the library was checked by stood in one; both are in the database now.
    rm -rf "$STATE/sessions" "$STATE/checked-by"
}

give() { # ACCOUNT FOLDER: to that account alone, with all that is in it
    if [ "$(id -u)" = 0 ] && [ -n "$(find "$2" ! -user "$1" -print -quit)" ]; then chown -R "$1": "$2"; fi
    chmod 700 "$2"
}

# --- The database -------------------------------------------------------------------------------------------------

# Where the database of the gym that is meant is: - for the server of this installation, else host:port.
DB_SERVER=-
# Runs a client of the database: here by the socket, with all rights; elsewhere as the application connects.
with_database() { # PROGRAM OPTIONS...
    if [ "$DB_SERVER" = - ]; then
        "$1" --no-defaults --socket="$DB_SOCKET" --user="$(id -un)" "${@:2}"
    else
        MYSQL_PWD=$(cat "$STATE/secrets/database") "$1" --no-defaults --host="${DB_SERVER%:*}" --port="${DB_SERVER##*:}" --user=periplus "${@:2}"
    fi
}
sql() { with_database mariadb --batch --skip-column-names "$@"; }
database_url() { # DATABASE
    if [ "$DB_SERVER" = - ]; then
        echo "mysql://$(id -un)@localhost/$1?unix_socket=${DB_SOCKET// /%20}&charset=utf8mb4"
    else
        echo "mysql://periplus:$(cat "$STATE/secrets/database")@$DB_SERVER/$1?charset=utf8mb4"
    fi
}

database_start() {
    private_folders
    DB_ACCOUNT=$(account_for mysql)
    local pid; pid=$(ours $MARIADB | head -n 1)
    # Ended and started anew where it runs as another account than it should, or does not answer where it is expected.
    if [ -n "$pid" ] && { [ "$(ps -o user:32= -p "$pid")" != "$DB_ACCOUNT" ] || ! until_ready 20 sql -e 'SELECT 1'; }; then
        end 60 TERM $(ours $MARIADB)
        pid=
    fi
    if [ -z "$pid" ]; then
        # Its temporary tables are in a folder of its own: whichever server starts next clears the one it uses.
        rm -rf "$RUN/db"
        mkdir -p "$RUN/db/tmp"
        give "$DB_ACCOUNT" "$RUN/db"
        if [ ! -d "$STATE/db" ]; then
            # Made beside its place and moved in when complete: what is there is whole.
            rm -rf "$STATE/db.new"
            # From within the folder: it cannot be told of one whose name has blanks.
            (cd "$STATE" && TMPDIR=$RUN/db/tmp step "Making the database" mariadb-install-db --no-defaults --datadir=./db.new --skip-test-db --user="$DB_ACCOUNT" \
                --auth-root-authentication-method=socket --auth-root-socket-user="$(id -un)")
            sync -f "$STATE/db.new"
            mv -T "$STATE/db.new" "$STATE/db"
        fi
        give "$DB_ACCOUNT" "$STATE/db"
        database_process &
        pid=$!
        until_ready 90 database_answers "$pid" || true
        sql -e 'SELECT 1' >/dev/null 2>&1 || {
            tail -n 20 "$STATE/log/database.log" >&2
            if disk_is_full "$STATE"; then fail "The disk is full, so the database did not start. Make room, then run this again."; fi
            fail "The database did not start. Its log is $STATE/log/database.log."
        }
    fi
    local password; password=$(secret "$STATE/secrets/database")
    gym_is_read_only 0
    sql <<SQL
CREATE USER IF NOT EXISTS 'periplus'@'localhost' IDENTIFIED BY '$password';
ALTER USER 'periplus'@'localhost' IDENTIFIED BY '$password';
GRANT ALL ON \`periplus%\`.* TO 'periplus'@'localhost';
SQL
}

# Further options of the server, such as those of a node in a cluster.
DB_OPTIONS=()
database_process() {
    unlock
    cd "$STATE"
    exec setsid nohup $MARIADB --no-defaults --user="$DB_ACCOUNT" --datadir="$STATE/db" --socket="$DB_SOCKET" --pid-file="$RUN/db/db.pid" \
        --tmpdir="$RUN/db/tmp" --bind-address=127.0.0.1 --port="$DB_PORT" --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_ci \
        --innodb-flush-log-at-trx-commit=1 --innodb-buffer-pool-size=256M "${DB_OPTIONS[@]}" >>"$STATE/log/database.log" 2>&1 </dev/null
}

gym_is_read_only() { sql -e "SET GLOBAL read_only = $1"; } # 0 or 1: while it is upgraded

database_answers() { ! is_alive "$1" || sql -e 'SELECT 1'; } # PID: also once it has given up

# --- What looks after the gym -------------------------------------------------------------------------------------

# The account of the web server asks by files in one folder and reads answers and backups in two others.
keeper_start() {
    mkdir -p "$STATE/asked" "$STATE/told"
    give "$WEB_ACCOUNT" "$STATE/asked"
    rm -rf "$STATE/asked"/*
    share_backups
    end 5 KILL $(ours $KEEPER)
    (unlock; cd "$RUN" && exec setsid nohup "$ROOT/bin/keeper" >>"$STATE/log/keeper.log" 2>&1 </dev/null) &
}

web_group() { if [ "$(id -u)" = 0 ]; then id -gn "$(stat -c %U "$STATE/asked")"; else id -gn; fi; }

# Puts a file into the folder that the account of the web server reads.
tell_file() { # FILE NAME
    chgrp "$(web_group)" "$1" && chmod 640 "$1" && mv -f "$1" "$STATE/told/$2"
}

share_backups() {
    local group; group=$(web_group)
    chgrp "$group" "$STATE/backups" "$STATE/told"
    chmod 750 "$STATE/backups" "$STATE/told"
    find "$STATE/backups" -maxdepth 1 -name '*.tar' -exec chgrp "$group" {} + -exec chmod 640 {} +
}

gym_kind() { sql -e "SELECT kind FROM $GYM_DB.gym WHERE id = 1"; }

# --- PHP and the web server ---------------------------------------------------------------------------------------

# What the application is told where it keeps things outside its machine: see docs/cluster.md.
ELSEWHERE=(CACHE_DSN LOCK_DSN MESSENGER_TRANSPORT_DSN DIRECTORY_URL GYMS_BY_HOST DATABASE_FAILOVER_SECONDS RECORDINGS_IN_DATABASE)

# Every configuration of PHP has a folder and a socket of its own, named by its digest, so that the next one can be
# started beside the one that serves.
server_config() {
    CERTIFICATE_END=
    if [ -n "$NETWORK" ]; then
        network_certificate
        CERTIFICATE_END=$(date -u -d "$(openssl x509 -in "$RUN/network/server.crt" -noout -enddate | cut -d= -f2)" +%Y-%m-%dT%H:%M:%SZ)
    fi
    local preload=; [ "$APP_ENV" = prod ] && preload=$ROOT/app/config/preload.php
    local account=; [ "$(id -u)" = 0 ] && account="user = $WEB_ACCOUNT
group = $(id -gn "$WEB_ACCOUNT")
listen.owner = $WEB_ACCOUNT"
    mkdir -p "$PERIPLUS_CLIPS" "$RECORDINGS" "$RUN/push" "$RUN/web"
    give "$WEB_ACCOUNT" "$STATE/tmp/php"
    give "$WEB_ACCOUNT" "$PERIPLUS_CLIPS"
    give "$WEB_ACCOUNT" "$RECORDINGS"
    give "$WEB_ACCOUNT" "$RUN/push"
    # The front says on these sockets which device a request came from: nobody else may.
    give "$WEB_ACCOUNT" "$RUN/web"
    PHP_CONFIG="[global]
pid = @PHP@/fpm.pid
error_log = $STATE/log/php.log
daemonize = yes
[periplus]
listen = @PHP@/fpm.sock
listen.mode = 0600
$account
pm = static
pm.max_children = 6
pm.max_requests = 2000
clear_env = yes
catch_workers_output = yes
decorate_workers_output = no
env[APP_ENV] = \"$APP_ENV\"
env[APP_SECRET] = \"$APP_SECRET\"
env[SYMFONY_TRUSTED_HOSTS] = '$SYMFONY_TRUSTED_HOSTS'
${APP_CACHE_DIR:+env[APP_CACHE_DIR] = \"$APP_CACHE_DIR\"}
env[DATABASE_URL] = \"$DATABASE_URL\"
env[TMPDIR] = \"$STATE/tmp/php\"
env[PERIPLUS_CLIPS] = \"$PERIPLUS_CLIPS\"
env[PERIPLUS_PUSH] = \"$PERIPLUS_PUSH\"
env[PERIPLUS_LINKS] = \"$PERIPLUS_LINKS\"
env[PERIPLUS_STATE] = \"$STATE\"
$(for name in "${ELSEWHERE[@]}"; do [ -z "${!name:-}" ] || echo "env[$name] = \"${!name}\""; done)
${CERTIFICATE_END:+env[PERIPLUS_CERTIFICATE_END] = \"$CERTIFICATE_END\"}
php_admin_value[memory_limit] = 256M
php_admin_value[expose_php] = 0
php_admin_value[display_errors] = 0
php_admin_value[date.timezone] = UTC
php_admin_value[sys_temp_dir] = \"$STATE/tmp/php\""
    # These hold for the whole PHP process and cannot be set for a pool.
    PHP_INI="opcache.enable = 1
opcache.memory_consumption = 128
opcache.max_accelerated_files = 20000
opcache.jit = tracing
opcache.jit_buffer_size = 64M
opcache.validate_timestamps = $([ "$APP_ENV" = prod ] && echo 0 || echo 1)
opcache.preload = \"$preload\"
opcache.preload_user = $WEB_ACCOUNT
realpath_cache_size = 4096K
apc.shm_size = 64M"
    PHP=$RUN/php-$({ echo "$PHP_CONFIG"; echo "$PHP_INI"; cat "$ROOT/var/stamps/classes"; } | sha256sum | cut -c1-8)
}

web_server_start() {
    private_folders
    WEB_ACCOUNT=$(account_for www-data "$ROOT/app/public/index.php" "$ROOT/vendor/autoload.php" "${APP_CACHE_DIR:-$ROOT/app}" "$ROOT/web/dist/index.html")
    server_config
    if [ -z "$(leader $PHP_FPM "$PHP/")" ] || [ ! -S "$PHP/fpm.sock" ]; then
        rm -rf "$PHP"
        mkdir -p "$PHP/ini"
        chmod 711 "$PHP"
        echo "${PHP_CONFIG//@PHP@/$PHP}" >"$PHP/fpm.conf"
        echo "$PHP_INI" >"$PHP/ini/periplus.ini"
        (unlock; cd "$RUN" && PHP_INI_SCAN_DIR=":$PHP/ini" $PHP_FPM --fpm-config "$PHP/fpm.conf" $([ "$WEB_ACCOUNT" = root ] && echo -R)) >>"$STATE/log/php.log" 2>&1 \
            || { tail -n 10 "$STATE/log/php.log" >&2; fail "PHP did not start. Its log is $STATE/log/php.log."; }
    fi
    nginx_start
    # What served before ends once nothing is sent to it any more.
    local pid current; current=$(leader $PHP_FPM "$PHP/")
    for pid in $(ours $PHP_FPM); do
        if [ "$pid" != "$current" ] && [ "$(ps -o ppid= -p "$pid" | tr -d ' ')" != "$current" ]; then end 15 QUIT "$pid"; fi
    done
    find "$RUN" -maxdepth 1 \( -name 'php-*' -o -name php -o -name fpm.conf -o -name fpm.pid -o -name fpm.sock -o -name served \) ! -path "$PHP" -exec rm -rf {} +
    until_ready 45 curl ${BALANCER:+--haproxy-protocol} --max-time 15 --silent --fail --output /dev/null "http://127.0.0.1:$PORT/health/live" \
        || fail "The pages do not answer on http://127.0.0.1:$PORT. The logs are in $STATE/log."
}

nginx_start() {
    local user= name names= before pid config=$RUN/nginx.conf
    [ -n "$NETWORK" ] || rm -rf "$RUN/network" # of an earlier start; its key is not needed now
    # As many files as this account may open, up to what a gym of a thousand screens needs.
    local files; files=$(ulimit -Hn)
    [[ $files =~ ^[0-9]+$ && $files -lt 32768 ]] || files=32768
    [ "$(id -u)" = 0 ] && user="user $WEB_ACCOUNT;"
    if [ "$GYMS_BY_HOST" = 1 ]; then names=' ~.'; else for name in $APP_HOSTS; do names+=" $name"; done; fi
    sed -e "s#@ROOT@#$ROOT#g; s#@RUN@#$RUN#g; s#@PHP@#$PHP#g; s#@LOG@#$STATE/log#g; s#@TMP@#$STATE/tmp#g; s#@RECORDINGS@#$RECORDINGS#g; s#@PORT@#$PORT#g; s#@USER@#$user#g; s#@HOSTS@#$names#g; s#@FILES@#$files#g; s#@CONNECTIONS@#$((files / 2))#g" "$ROOT/bin/nginx.conf" >"$config.new"
    local template; template=$(<"$config.new")
    local balancer= balancer_address= push=
    if [ -n "${BALANCER:-}" ]; then
        balancer=proxy_protocol
        balancer_address="set_real_ip_from $BALANCER;"
    fi
    if [ -n "${PUSH_LISTEN:-}" ]; then
        push="listen $PUSH_LISTEN;"
        for name in $PUSH_FROM; do push+=" allow $name;"; done
        push+=" allow unix:; deny all;"
    fi
    template=${template//@BALANCER@/$balancer}
    template=${template//@BALANCER_ADDRESS@/$balancer_address}
    template=${template//@PUSH@/$push}
    template=${template//@NETWORK_FRONT@/$(network_config front)}
    template=${template//@NETWORK_PAGES@/$(network_config pages)}
    template=${template//@NETWORK_OTHERS@/$(network_config others)}
    printf '%s\n' "${template//@NETWORK_HTTP@/$(network_config http)}" >"$config.new"
    nginx -t -q -c "$config.new" -p "$RUN" -e stderr 2>>"$STATE/log/web.log" || { tail -n 10 "$STATE/log/web.log" >&2; fail "The web server cannot be set up. Its log is $STATE/log/web.log."; }
    pid=$(leader $NGINX)
    if [ -n "$pid" ] && cmp -s "$config.new" "$config"; then
        rm "$config.new"
        return
    fi
    mv "$config.new" "$config"
    if [ -n "$pid" ]; then
        before=$(ours $NGINX)
        kill -HUP "$pid"
        until_ready 5 has_new_worker "$before" || true
    else
        end 15 QUIT $(ours $NGINX) # left without the process that led them, they hold the port
        rm -f "$RUN/nginx.pid" "$RUN/push/publish.sock" "$RUN"/web/*.sock
        # The keys of screens and cards stand in addresses, and must not stand in a log.
        (unlock; cd "$RUN" && nginx -c "$config" -p "$RUN" -e stderr) 2> >(unlock; exec setsid sed -u -E 's/[0-9a-f]{32}/KEY/g' >>"$STATE/log/web.log" 2>/dev/null) \
            || { tail -n 10 "$STATE/log/web.log" >&2; fail "The web server did not start. Its log is $STATE/log/web.log."; }
    fi
}

has_new_worker() { # NUMBERS OF BEFORE
    local pid
    for pid in $(ours $NGINX); do grep -qx "$pid" <<<"$1" || { sleep 0.2; return 0; }; done
    return 1
}
