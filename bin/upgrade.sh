# Shared by bin/start and bin/periplus: brings the tables of a gym into the form that this version keeps them in.
# It is done in a database beside the one in use, which takes its place when complete, in one statement. Whatever stops
# it, a kill, a full disk or data that cannot be brought over, leaves the gym as it was, and it can be begun again.

# The migrations that this version knows, and those that a database has behind it; the oldest first.
known_migrations() { (cd "$ROOT/app/Migrations" && printf '%s\n' Version*.php | sed 's/\.php$//' | sort); }
applied_migrations() { # DATABASE
    [ -n "$(sql -e "SELECT 1 FROM information_schema.tables WHERE table_schema = '$1' AND table_name = 'doctrine_migration_versions'")" ] || return 0
    sql -e "SELECT SUBSTRING_INDEX(version, '\\\\', -1) FROM \`$1\`.doctrine_migration_versions ORDER BY 1"
}

is_newer() { [ -n "$(comm -13 <(known_migrations) <(applied_migrations "$1"))" ]; } # DATABASE

# Commands of the application on that database, with all rights in it, also while the gym is kept from writing.
console_on() { # DATABASE COMMAND...
    local database=$1; shift
    GYMS_BY_HOST=0 DATABASE_URL=$(database_url "$database") console "$@"
}
migrate_next() { console_on ${GYM_DB}_next doctrine:migrations:migrate "$@" --no-interaction --allow-no-migration; } # [VERSION]

# Makes periplus_next from what a database holds. The tables are made anew, as they were at the last migration that was
# completed, and filled: what a migration that was cut off once left in the old ones is not carried along.
bring_over() { # DATABASE
    local from=$1 last table columns
    sql -e "DROP DATABASE IF EXISTS ${GYM_DB}_next; CREATE DATABASE ${GYM_DB}_next"
    last=$(applied_migrations "$from" | tail -n 1)
    if [ -n "$last" ]; then
        migrate_next "Periplus\\App\\Migrations\\$last"
        for table in $(sql -e "SELECT a.table_name FROM information_schema.tables a JOIN information_schema.tables b ON b.table_schema = '$from' AND b.table_name = a.table_name WHERE a.table_schema = '${GYM_DB}_next' AND a.table_name NOT IN ('doctrine_migration_versions', '$STAYS')"); do
            columns=$(sql -e "SELECT GROUP_CONCAT(CONCAT('\`', a.column_name, '\`')) FROM information_schema.columns a JOIN information_schema.columns b ON b.table_schema = '$from' AND b.table_name = a.table_name AND b.column_name = a.column_name WHERE a.table_schema = '${GYM_DB}_next' AND a.table_name = '$table'")
            sql -e "SET SESSION sql_mode = '', foreign_key_checks = 0; DELETE FROM ${GYM_DB}_next.\`$table\`; INSERT INTO ${GYM_DB}_next.\`$table\` ($columns) SELECT $columns FROM \`$from\`.\`$table\`"
        done
    fi
    migrate_next
}

# Everything that is computed from the core, where the core is another than the one it was computed with.
recompute() { console_on "$1" gym:recheck --core="$(core_digest)"; } # DATABASE
core_digest() { digest core; }

# A table that an upgrade leaves where it is.
STAYS=recording_part

# Moves every table of periplus_next in place of the one in use, in one statement, which is done whole or not at all;
# what was in use is kept as periplus_before until the next time. What was found by revisions of before is not found
# again: the gym's revision goes on above both.
swap_in() {
    local table moves=''
    sql -e "CREATE DATABASE IF NOT EXISTS $GYM_DB; DROP DATABASE IF EXISTS ${GYM_DB}_before; CREATE DATABASE ${GYM_DB}_before"
    if [ -n "$(sql -e "SELECT 1 FROM information_schema.columns WHERE table_schema = '$GYM_DB' AND table_name = 'gym' AND column_name = 'revision'")" ]; then
        sql -e "UPDATE ${GYM_DB}_next.gym SET revision = 1000 + GREATEST(revision, (SELECT MAX(revision) FROM $GYM_DB.gym))"
    fi
    # The files of recordings may be large, and are right whatever else is: their names are digests of them.
    if [ -n "$(sql -e "SHOW TABLES IN $GYM_DB LIKE '$STAYS'")" ]; then sql -e "DROP TABLE IF EXISTS ${GYM_DB}_next.$STAYS"; fi
    for table in $(sql -e "SHOW TABLES IN $GYM_DB WHERE tables_in_$GYM_DB <> '$STAYS'"); do moves+="$GYM_DB.\`$table\` TO ${GYM_DB}_before.\`$table\`, "; done
    for table in $(sql -e "SHOW TABLES IN ${GYM_DB}_next"); do moves+="${GYM_DB}_next.\`$table\` TO $GYM_DB.\`$table\`, "; done
    sql -e "SET foreign_key_checks = 0; RENAME TABLE ${moves%, }"
    sql -e "DROP DATABASE ${GYM_DB}_next"
}

# Moves every table from one database to another, which has none, in one statement; the first is dropped.
move_tables() { # FROM TO
    local table moves=''
    for table in $(sql -e "SHOW TABLES IN $1"); do moves+="$1.\`$table\` TO $2.\`$table\`, "; done
    sql -e "SET foreign_key_checks = 0; RENAME TABLE ${moves%, }; DROP DATABASE $1"
}

# Brings the gym up to date where it is not; pages that are served meanwhile can be read, and say so when one writes.
upgrade() {
    local applied
    sql -e "CREATE DATABASE IF NOT EXISTS $GYM_DB; DROP DATABASE IF EXISTS ${GYM_DB}_next"
    applied=$(applied_migrations "$GYM_DB")
    if is_newer "$GYM_DB"; then
        fail "This gym was kept by a newer version of Periplus. Nothing was changed. Take that version of Periplus again, or put back a backup of this one: bin/periplus restore FILE (those made before an upgrade are in $STATE/backups)."
    fi
    if [ "$applied" != "$(known_migrations)" ]; then
        trap 'upgrade_failed' EXIT
        gym_is_read_only 1
        if [ -n "$applied" ]; then
            UPGRADED_FROM=$STATE/backups/before-upgrade-$(date -u +%Y%m%d-%H%M%S).tar
            say "Writing a backup of the gym to $UPGRADED_FROM ..."
            backup "$UPGRADED_FROM"
        fi
        step "Bringing the tables up to date" bring_over "$GYM_DB"
        if [ -n "$OWN_GYM" ]; then
            step "Founding the gym" console_on ${GYM_DB}_next gym:found "$OWN_GYM"
        else
            step "Looking after the demo gym" console_on ${GYM_DB}_next gym:demo
        fi
        step "Checking the library anew" recompute ${GYM_DB}_next
        swap_in
        trap - EXIT
        keep_newest 5 "$STATE/backups" before-upgrade
    elif [ "$(sql -e "SELECT checked_by FROM $GYM_DB.gym WHERE id = 1")" != "$(core_digest)" ]; then
        step "Checking the library anew" recompute "$GYM_DB"
    fi
}
UPGRADED_FROM=
# The name of a gym of one's own that an empty database becomes; the demo when there is none.
OWN_GYM=

# Makes an empty gym of that name and puts it in place of the one in use, which is kept as periplus_before.
found_in_place() { # NAME
    sql -e "DROP DATABASE IF EXISTS ${GYM_DB}_next; CREATE DATABASE ${GYM_DB}_next"
    step "Making the tables" migrate_next
    step "Founding the gym" console_on ${GYM_DB}_next gym:found "$1"
    step "Checking the library" recompute ${GYM_DB}_next
    swap_in
}

upgrade_failed() {
    gym_is_read_only 0 2>/dev/null || true
    sql -e "DROP DATABASE IF EXISTS ${GYM_DB}_next" 2>/dev/null || true
    say "The upgrade was not completed; the gym's data is as it was."
    [ -z "$UPGRADED_FROM" ] || say "Run bin/start again, or go back to the version of Periplus that kept it until now. A backup from before is $UPGRADED_FROM."
}
