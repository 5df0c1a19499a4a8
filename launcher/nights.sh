# Backups by themselves, at night. Read by ../elvaro.

NIGHT=${ELVARO_NIGHT:-02:40} # a quiet time, by the machine's clock; "never" where another machine does it

# Where they go, a folder a line; the first is written to, the others get copies.
backup_folders() { cat "$DIR/backup.to" 2>/dev/null || echo "$DIR/backup"; }

cmd_backups() {
    local folder
    if [ $# -gt 0 ]; then
        for folder in "$@"; do
            [[ $folder = /* ]] || fail "Name folders from the root on, as /media/stick/elvaro; '$folder' is none."
            mkdir -p "$folder" 2>/dev/null && [ -w "$folder" ] || fail "The folder $folder cannot be written to."
        done
        mkdir -p "$DIR"
        printf '%s\n' "$@" >"$DIR/backup.to"
    fi
    [ "$(cat "$DIR/house" 2>/dev/null)" != demo ] || say "The demo is not backed up by itself."
    [ "$NIGHT" != never ] || { say "None is written by itself here (ELVARO_NIGHT=never)."; return; }
    say "Every night about $NIGHT into $(backup_folders | paste -sd ' ' | sed 's/ /, copied to /'), while Elvaro runs."
    [ ! -s "$DIR/backup.last" ] || say "The last one: $(cat "$DIR/backup.last")"
    [ ! -s "$DIR/backup.checked" ] || say "Last restored and looked at: $(cat "$DIR/backup.checked")"
}

# Once a day at a quiet time; a house that sleeps at night does it a while after it was opened.
night_is_due() {
    [ "$NIGHT" != never ] || return 1
    [ "$(cat "$DIR/house" 2>/dev/null)" != demo ] || return 1
    [ "$(cat "$DIR/backup.night" 2>/dev/null)" != "$(date +%F)" ] || return 1
    local now=$((10#$(date +%H) * 60 + 10#$(date +%M))) night=$((10#${NIGHT%:*} * 60 + 10#${NIGHT#*:}))
    [ $now -ge $night ] && { [ $now -lt $((night + 60)) ] || [ $SECONDS -gt 600 ]; }
}

# Writes one, copies it, lets old ones go, and once a week restores the newest beside the house and looks at it.
night() {
    local first file folder
    date +%F >"$DIR/backup.night"
    first=$(backup_folders | head -n 1)
    file=$first/night-$(date +%Y-%m-%dT%H%M%S).backup
    again backup "$file" || return 0 # it has written down why
    backup_folders | tail -n +2 | while read -r folder; do
        mkdir -p "$folder" 2>/dev/null && cp "$file" "$folder/.copying" && mv "$folder/.copying" "$folder/${file##*/}" ||
            backup_failed "the copy into $folder could not be written"
    done
    backup_folders | while read -r folder; do let_go "$folder"; done
    [ "$(find "$DIR/backup.checked" -mtime -7 2>/dev/null)" ] && grep -q '^whole' "$DIR/backup.checked" || drill "$file"
}

# The launcher once more, with what this one has built.
again() {
    ELVARO_JAR=$(app_jar) nice -n 10 "$HOME_DIR/elvaro" "$@" --dir "${AGAIN_DIR:-$DIR}" \
        --http-port "${AGAIN_PORT:-$HTTP_PORT}" --db-port "${AGAIN_DB_PORT:-$DB_PORT}"
}

backup_failed() {
    echo "failed $(date -u +%Y-%m-%dT%H:%M:%SZ) $1" >"$DIR/backup.last.new" && mv "$DIR/backup.last.new" "$DIR/backup.last"
}

# A backup is one when it was restored: into a folder of its own, on a database of its own, looked at as any other.
drill() {
    local scratch words went=yes
    rm -rf "$DIR"/tmp/drill-* # of one that was ended on the way
    scratch=$(mktemp -d "$DIR/tmp/drill-XXXXXX")
    words=$(unset ELVARO_DB_URL ELVARO_KEY_FILE ELVARO_LOGS && ELVARO_SETTINGS=/dev/null AGAIN_DIR=$scratch AGAIN_PORT=$(free_port) AGAIN_DB_PORT=$(free_port) again restore "$1" 2>&1) || went=no
    rm -rf "$scratch"
    if [ $went = yes ]; then
        echo "whole $(date -u +%Y-%m-%dT%H:%M:%SZ) $1: $(grep -h '^Checked' <<<"$words" | head -n 1)" >"$DIR/backup.checked"
    else
        echo "failed $(date -u +%Y-%m-%dT%H:%M:%SZ) $1: $(tail -n 1 <<<"$words")" >"$DIR/backup.checked"
        backup_failed "$1 could not be restored: $(tail -n 1 <<<"$words")"
    fi
}

# Of those written by themselves the newest of each of 7 days, 5 weeks and 12 months stays.
let_go() {
    local file day week month days='' weeks='' months='' kept
    for file in $(ls -r "$1"/night-*.backup 2>/dev/null); do
        day=${file##*/night-}
        day=${day%%T*}
        week=$(date -d "$day" +%G-%V) month=${day%-*} kept=no
        [[ $days = *"$day"* ]] || [ "$(wc -w <<<"$days")" -ge 7 ] || { days="$days $day" kept=yes; }
        [[ $weeks = *"$week"* ]] || [ "$(wc -w <<<"$weeks")" -ge 5 ] || { weeks="$weeks $week" kept=yes; }
        [[ $months = *"$month"* ]] || [ "$(wc -w <<<"$months")" -ge 12 ] || { months="$months $month" kept=yes; }
        [ "$kept" = yes ] || rm -f "$file"
    done
}
