# A house opened, kept open and closed. Read by ../elvaro.

cmd_start() {
    need_tools
    need_disk_to_start
    if running; then
        say "Elvaro runs already, at $(cat "$DIR/run/address"). './elvaro stop' ends it."
        return
    fi
    mkdir -p "$DIR/run"
    if left_behind; then
        say "Ending what an earlier run left behind."
        end_parts
    fi
    need_port "application" "$HTTP_PORT" --http-port
    need_free_database
    [ "$TLS" != yes ] || need_port "encrypted application" "$TLS_PORT" --tls-port
    build
    note "$DIR/run/launcher.pid" $$
    address >"$DIR/run/address"
    echo "$HTTP_PORT" >"$DIR/run/http-port"
    trap finish EXIT
    trap 'say ""; say "Ending …"; exit 0' INT TERM
    settle
    start_database
    backup_before_a_step
    encrypt
    start_inbox
    start_app
    start_devices
    announce
    supervise
}

# A house is made with the demo or empty, and stays what it was made.
settle() {
    [ "$RESET" = no ] || own_database || fail "--reset-demo throws away a database of the folder's own only; empty $ELVARO_DB_URL by hand."
    [ "$RESET" = no ] || rm -rf "$DIR/db" "$DIR/house"
    local made
    made=$(cat "$DIR/house" 2>/dev/null || echo new)
    case $made-$DEMO in
    demo-no) fail "The folder $DIR holds the demo workshop. Choose another with --dir for an empty house." ;;
    empty-yes) DEMO=no ;;
    new-yes) echo demo >"$DIR/house" ;;
    new-no) echo empty >"$DIR/house" ;;
    esac
}

# Data that are about to be changed by a newer Elvaro are written down as they were.
backup_before_a_step() {
    local there known
    there=$(data_schema 2>/dev/null) && [ "${there:-NULL}" != NULL ] || return 0
    known=$(known_schema)
    [ "$there" -lt "${known:-0}" ] || return 0
    say "The data are of an older Elvaro (step $there of $known); they are written down before they are changed."
    (cmd_backup "$DIR/backup/before-step-$known-$(date +%Y-%m-%dT%H%M%S).backup") ||
        fail "They could not be written down, so nothing was changed. Make room, or start the older Elvaro."
}

# What dies is started again, the application a few times only; one that lives and does not answer is as good as dead.
supervise() {
    local deaths=0 died=$SECONDS silent=0 looked=$SECONDS
    while true; do
        sleep 1 &
        wait -n "$app_pid" ${db_pid:-} $! 2>/dev/null || true
        if own_database && ! kill -0 "$db_pid" 2>/dev/null; then
            say "The database ended unexpectedly; starting it again."
            start_database
        fi
        if ! kill -0 "$app_pid" 2>/dev/null; then
            [ $((SECONDS - died)) -lt 3600 ] || deaths=0 # what went well for an hour begins anew
            died=$SECONDS
            deaths=$((deaths + 1))
            [ $deaths -le 5 ] || fail "The application ended unexpectedly $deaths times. Its log is $LOGS/app.log; './elvaro start' goes on with the same data."
            say "The application ended unexpectedly; starting it again. Its log was $LOGS/app.log.1."
            start_app
            silent=0
        elif [ $((SECONDS - looked)) -ge 15 ]; then
            looked=$SECONDS
            if answers_well liveness; then silent=0; else silent=$((silent + 1)); fi
            shorten_log "$LOGS/app.log"
            ! own_database || shorten_log "$LOGS/db.log"
            if night_is_due && ! { [ -n "${NIGHT_PID:-}" ] && kill -0 "$NIGHT_PID" 2>/dev/null; }; then
                ELVARO_JAR=$(app_jar) setsid "$HOME_DIR/elvaro" night --dir "$DIR" \
                    --http-port "$HTTP_PORT" --db-port "$DB_PORT" >"$LOGS/night.log" 2>&1 </dev/null &
                NIGHT_PID=$!
            fi
            [ $silent -lt 4 ] || {
                say "The application does not answer any more; ending it."
                kill -KILL "$app_pid" 2>/dev/null || true
            }
        fi
    done
}

finish() {
    trap - EXIT INT TERM
    end_night
    end_parts
    rm -f "$DIR/run/launcher.pid" "$DIR/run/launcher.pid.began" "$DIR/run/probes" "$DIR/run/laid" "$DIR/run/inbox"
}

# A night that is under way ends with the house, and is begun again with it.
end_night() {
    [ -n "${NIGHT_PID:-}" ] && kill -TERM -- "-$NIGHT_PID" 2>/dev/null || return 0
    wait "$NIGHT_PID" 2>/dev/null || true
    rm -f "$DIR/backup.night"
}

cmd_stop() {
    if running; then
        end "$DIR/run/launcher.pid"
        say "Ended."
    elif left_behind; then
        end_parts
        rm -f "$DIR/run/launcher.pid" "$DIR/run/launcher.pid.began"
        say "Ended what an earlier run left behind."
    else
        say "Nothing runs in $DIR."
    fi
}

cmd_status() {
    if running; then
        local where
        where=$(cat "$DIR/run/address")
        HTTP_PORT=$(cat "$DIR/run/http-port")
        if health; then
            say "Elvaro $(version) runs at $where, data in $DIR."
            [ "$(sql "select count(*) from account")" != 0 ] || say "  the first visit needs the code $(first_code)"
            own_database || say "  its database is $ELVARO_DB_URL"
            say "  data $(du -shc "$DIR"/db "$DIR"/db[123] 2>/dev/null | tail -n 1 | cut -f1), free $(free_megabytes "$DIR") MB"
            say "  last backup: $(cat "$DIR/backup.last" 2>/dev/null || echo none yet)"
            say "  last error: $(grep -hE ' (ERROR|FATAL) ' "$LOGS/app.log" 2>/dev/null | tail -n 1 | cut -c1-200 | grep . || echo none since it was started)"
        elif answers_well liveness; then
            say "Elvaro $(version) runs at $where, but its database does not answer. Its log is $LOGS/db.log."
            exit 1
        else
            say "Elvaro $(version) was started at $where and does not answer. Its log is $LOGS/app.log."
            exit 1
        fi
    elif left_behind; then
        say "Parts of an earlier run are left in $DIR; './elvaro stop' ends them."
    else
        say "Nothing runs in $DIR."
    fi
}

# For an owner who forgot the password and kept no code: whoever may run this has the data anyway.
cmd_recover() {
    local name=${1:-} owners code grouped
    find_mariadbd && db_alive || fail "Elvaro does not run in $DIR. Start it first."
    owners=$(sql "select sign_in_name from account where role = 'OWNER' and active order by sign_in_name")
    [ -n "$owners" ] || fail "There is no owner yet; the first visit makes one."
    [ -n "$name" ] || [ "$(wc -l <<<"$owners")" = 1 ] || fail "There are several owners. Say which: ./elvaro recover NAME
$owners"
    name=${name:-$owners}
    grep -qxF -- "$name" <<<"$owners" || fail "No owner signs in as '$name'."
    code=$(LC_ALL=C tr -dc 'ABCDEFGHJKMNPQRSTUVWXYZ23456789' </dev/urandom | head -c 20 || true)
    grouped=$(sed 's/..../&-/g; s/-$//' <<<"$code")
    sql "insert into password_code (code_hash, workshop_id, account_id, kind, ends_at)
        select '$(printf '%s' "$code" | sha256sum | cut -d' ' -f1)', workshop_id, id, 'INVITED', utc_timestamp(6) + interval 1 hour
        from account where sign_in_name = '${name//\'/}'"
    say "Within an hour, once: open $(cat "$DIR/run/address" 2>/dev/null || address)/join#$grouped"
    say "and choose a new password for $name."
}

cmd_lay() {
    [ -f "$DIR/run/laid" ] || fail "No simulated scale runs in $DIR. './elvaro start' starts one with the demo."
    [[ ${1:-} =~ ^[0-9]+([.,][0-9]+)?$ ]] || fail "Say what to lay on, in kg: ./elvaro lay 4.215"
    echo "${1/,/.}" >"$DIR/run/laid"
    say "$1 kg lie on the simulated scale."
}
