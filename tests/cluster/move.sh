#!/usr/bin/env bash
# Moves a gym with a recording from one machine into the cluster and back, and compares all rows and files on each way.
# Run by bin/test cluster, which has started both.
set -euo pipefail
work=$(mktemp -d)
trap 'rm -rf "$work"' EXIT

# Rows and recordings of a backup, one a line. What a restore changes on purpose is left out: open links end, the gym's
# revision goes on, and the tables are made by the migrations again.
content() { # FILE
    local folder; folder=$(mktemp -d "$work/XXXXXX")
    tar -C "$folder" -xf "$1"
    gzip -dc "$folder/library.sql.gz" | grep '^INSERT INTO' | grep -v 'INSERT INTO `\(gym\|invitation\|doctrine_migration_versions\)`' | sort
    (cd "$folder" && find recordings -type f -exec sha256sum {} + 2>/dev/null | sort)
}
same() { # WHAT FILE FILE
    content "$2" >"$work/one"
    content "$3" >"$work/other"
    if ! cmp -s "$work/one" "$work/other"; then
        echo "FAULT $1: $(diff "$work/one" "$work/other" | grep -c '^[<>]') lines differ, such as $(diff "$work/one" "$work/other" | grep '^[<>]' | head -n 1 | cut -c1-300)"
        exit 1
    fi
    echo "$1: $(wc -l <"$work/one") rows and recordings, all the same."
}

node "$ROOT/tests/cluster/record.mjs" "http://127.0.0.1:$PERIPLUS_PORT"
"$ROOT/bin/periplus" backup "$work/machine.tar"
"$ROOT/bin/cluster" restore "$work/machine.tar"
"$ROOT/bin/cluster" backup "$work/cluster.tar"
node "$ROOT/tests/cluster/play.mjs" "$PERIPLUS_URL"
same "From one machine into the cluster" "$work/machine.tar" "$work/cluster.tar"
"$ROOT/bin/periplus" restore "$work/cluster.tar"
"$ROOT/bin/periplus" backup "$work/back.tar"
same "And back to one machine" "$work/cluster.tar" "$work/back.tar"
