# Shared by bin/start, bin/periplus and bin/cluster: several gyms in one installation. Each has a database of its own,
# periplus_NAME, chosen by the host name of the request from the directory, periplus_directory.

# Commands of the application on the directory, with all rights.
console_on_directory() { # COMMAND...
    GYMS_BY_HOST=1 DIRECTORY_URL=$(DB_SERVER=- database_url periplus_directory) console "$@"
}

# Makes the directory, or brings its table up to date.
directory_start() {
    DB_SERVER=- sql -e "CREATE DATABASE IF NOT EXISTS periplus_directory"
    step "Looking after the directory of gyms" console_on_directory doctrine:schema:update --em=directory --force
}

# Of one of several gyms the directory says that it is read only; the others are written meanwhile.
alone() {
    gym_is_read_only() { # 1 or 0
        if [ "$1" = 1 ]; then
            console_on_directory directory:change "$HOSTED" --state=read-only
            GYM_STATE=read-only
            until_ready 60 nobody_writes || true
        else
            console_on_directory directory:change "$HOSTED" --state=serves
            GYM_STATE=serves
        fi
    }
}

is_several() { [ -e "$STATE/several" ]; }

hosted_gyms() { console_on_directory directory:list; } # NAME HOST STATE GROUP SERVER DAY, with tabs between

# Other names of the server of this installation, as a balancer gives them, and which of them a new gym gets.
OWN_SERVERS=
NEW_GYM_SERVER=
# A server by its name here: - where it is the one of this installation.
as_seen_here() { if [[ " - $OWN_SERVERS " = *" $1 "* ]]; then echo -; else echo "$1"; fi; } # SERVER

# Sets what follows from which of the gyms is meant.
use_hosted() { # NAME
    local found
    found=$(hosted_gyms | awk -F '\t' -v name="$1" '$1 == name')
    [ -n "$found" ] || fail "There is no gym \"$1\". bin/periplus gym list names them."
    HOSTED=$1
    GYM_DB=periplus_$1
    GYM_STATE=$(cut -f3 <<<"$found")
    GYM_SERVER=$(cut -f5 <<<"$found")
    DB_SERVER=$(as_seen_here "$GYM_SERVER")
    RECORDINGS=$STATE/recordings/gyms/$1
}

gym_create() { # NAME HOST [GROUP]
    [ -n "${1:-}" ] && [ -n "${2:-}" ] || fail "Say which and under which name it is asked for: bin/periplus gym create NAME HOST [GROUP]."
    local said
    said=$(console_on_directory directory:add "$1" "$2" ${3:+--group="$3"} ${NEW_GYM_SERVER:+--server="$NEW_GYM_SERVER"}) || fail "$said"
    use_hosted "$1"
    # A gym that is being created has no coaches, so nothing has to be made read only.
    gym_is_read_only() { :; }
    OWN_GYM=$1
    upgrade
    console_of "$1" gym:setup-link
}

# Commands of the application as the web server runs them for one of the gyms.
console_of() { PERIPLUS_GYM=$1 console "${@:2}"; } # NAME COMMAND...

# Upgrades one gym while the others are served and written.
gym_upgrade() { # NAME
    use_hosted "$1"
    [ "$GYM_STATE" != archived ] || return 0
    alone
    # A gym whose creation was interrupted is founded now.
    OWN_GYM=$([ -n "$(applied_migrations "$GYM_DB")" ] || echo "$1")
    [ "$(applied_migrations "$GYM_DB")" = "$(known_migrations)" ] || say "$1:"
    upgrade
    # Also where an earlier upgrade was killed.
    [ "$GYM_STATE" = serves ] || gym_is_read_only 0
}

# Whether no transaction of the gym that is meant is open.
nobody_writes() {
    # Another server does not tell: what takes longer than this is found when the tables are compared.
    [ "$DB_SERVER" = - ] || { sleep 5; return; }
    [ "$(sql -e "SELECT COUNT(*) FROM information_schema.innodb_trx t JOIN information_schema.processlist p ON p.id = t.trx_mysql_thread_id WHERE p.db = '$GYM_DB'")" = 0 ]
}

gyms_upgrade() {
    local name
    while IFS=$'\t' read -r name _; do (gym_upgrade "$name"); done < <(hosted_gyms)
}

checksums() { # SERVER: of every table of the gym that is meant
    local DB_SERVER=$1 table
    for table in $(sql -e "SHOW TABLES IN $GYM_DB"); do sql -e "CHECKSUM TABLE $GYM_DB.\`$table\`"; done
}

# Moves the database of a gym to another server of the installation; meanwhile the gym can be read.
gym_move() { # NAME SERVER
    [ -n "${2:-}" ] || fail "Say which gym and where to: bin/periplus gym move NAME HOST:PORT, or - for the server of the installation."
    use_hosted "$1"
    local from=$DB_SERVER to=$2 there
    [ "$GYM_SERVER" != "$to" ] || fail "The gym $1 is there already."
    [ "$GYM_STATE" = serves ] || fail "The gym $1 is archived, or something else is done with it."
    there=$(as_seen_here "$to")
    if [ "$there" = "$from" ]; then
        console_on_directory directory:change "$1" --server="$to"
        say "The gym $1 is reached at $to now."
        return
    fi
    [ -z "$(DB_SERVER=$there sql -e "SHOW DATABASES LIKE '$GYM_DB'")" ] || fail "There is a database $GYM_DB on that server already. Look whose it is, and remove it."
    console_on_directory directory:change "$1" --state=read-only
    # The name is put in now: when the trap runs, the function has ended.
    trap "console_on_directory directory:change $1 --state=serves; say 'The gym was not moved; it is where it was.'" EXIT
    until_ready 60 nobody_writes || true
    DB_SERVER=$there sql -e "CREATE DATABASE $GYM_DB"
    # Everything, also what a backup leaves out, such as login sessions.
    with_database mariadb-dump --single-transaction --hex-blob --default-character-set=utf8mb4 "$GYM_DB" | DB_SERVER=$there sql "$GYM_DB"
    [ "$(checksums "$from")" = "$(checksums "$there")" ] || { DB_SERVER=$there sql -e "DROP DATABASE $GYM_DB"; fail "What came in is not what was sent."; }
    trap - EXIT
    console_on_directory directory:change "$1" --server="$to" --state=serves
    sql -e "DROP DATABASE $GYM_DB; DROP DATABASE IF EXISTS ${GYM_DB}_before"
    say "The database of the gym $1 is on $to now."
}

gym_archive() { # NAME FILE
    [ -n "${2:-}" ] || fail "Say which gym and where to: bin/periplus gym archive NAME FILE."
    use_hosted "$1"
    [ "$GYM_STATE" = serves ] || fail "The gym $1 is archived already, or something else is done with it."
    console_on_directory directory:change "$1" --state=read-only
    until_ready 60 nobody_writes || true
    (backup "$2") || { console_on_directory directory:change "$1" --state=serves; fail "The gym $1 is as it was."; }
    console_on_directory directory:change "$1" --state=archived
    sql -e "DROP DATABASE IF EXISTS $GYM_DB; DROP DATABASE IF EXISTS ${GYM_DB}_before"
    rm -rf "$RECORDINGS"
    say "The gym $1 is in $2, and its database is deleted. bin/periplus gym restore $1 $2 brings it back."
}

gym_restore() { # NAME FILE
    [ -n "${2:-}" ] || fail "Say which gym and from where: bin/periplus gym restore NAME FILE."
    use_hosted "$1"
    # What a backup holds is read by an account without rights, which can be made here alone.
    [ "$DB_SERVER" = - ] || fail "The database of the gym $1 is on another server. Move it here first, restore it, and move it back: bin/periplus gym move $1 -."
    sql -e "CREATE DATABASE IF NOT EXISTS $GYM_DB"
    restore "$2"
    [ ! -d "$RECORDINGS" ] || chown -R --reference="$STATE/recordings" "$STATE/recordings/gyms"
    console_on_directory directory:change "$1" --state=serves
}

gyms() { # COMMAND...
    is_several || fail "This installation has one gym. bin/start --several begins one for several."
    case ${1:-} in
        create) gym_create "${@:2}" ;;
        list)
            printf 'NAME\tHOST\tSTATE\tGROUP\tSERVER\tSINCE\n%s\n' "$(hosted_gyms)" | column -t -s "$(printf '\t')"
            ;;
        upgrade) if [ -n "${2:-}" ]; then gym_upgrade "$2"; else gyms_upgrade; fi ;;
        backup)
            use_hosted "${2:-}"
            backup "${3:-}"
            ;;
        restore) gym_restore "${2:-}" "${3:-}" ;;
        move) gym_move "${2:-}" "${3:-}" ;;
        archive) gym_archive "${2:-}" "${3:-}" ;;
        group)
            [ -n "${3:-}" ] || fail "Say which gym and which group: bin/periplus gym group NAME GROUP, or - for none."
            use_hosted "$2"
            console_on_directory directory:change "$2" --group="$3"
            ;;
        link)
            use_hosted "${2:-}"
            console_of "$2" coach:link "${3:-}"
            ;;
        *) fail "bin/periplus gym knows create, list, group, move, upgrade, backup, restore, archive and link." ;;
    esac
}
