# Processes this launcher began, known again by their number and by when they began. Read by ../elvaro.

# A process is known by its number and by when it began: numbers are given again, after a crash and a restart of the machine too.
began() { # pid
    local stat
    stat=$(cat "/proc/$1/stat" 2>/dev/null) || return 1
    stat=${stat##*) } # what stands before may hold blanks
    printf '%s %s' "$(cat /proc/sys/kernel/random/boot_id)" "$(cut -d' ' -f20 <<<"$stat")"
}

# Remembers the process a pid file names.
note() { # pid file [pid]
    [ -z "${2:-}" ] || echo "$2" >"$1"
    began "$(cat "$1")" >"$1.began" || true
}

# Whether the process a pid file names lives and is the one that was noted.
lives() { # pid file
    local pid
    pid=$(cat "$1" 2>/dev/null) && [ -n "$pid" ] && kill -0 "$pid" 2>/dev/null &&
        [ "$(began "$pid")" = "$(cat "$1.began" 2>/dev/null)" ]
}

# Ends the process a pid file names, if it is that one still, and waits until the file, or the process, is gone.
end() {
    local file=$1 pid tries=0
    if ! lives "$file"; then
        rm -f "$file" "$file.began"
        return 0
    fi
    pid=$(cat "$file")
    kill -TERM "$pid" 2>/dev/null || true
    while [ -e "$file" ] && kill -0 "$pid" 2>/dev/null && ! grep -q '^State:.Z' "/proc/$pid/status" 2>/dev/null; do
        tries=$((tries + 1))
        [ $tries -lt 600 ] || {
            kill -KILL "$pid" 2>/dev/null || true
            break
        }
        sleep 0.1
    done
    rm -f "$file" "$file.began"
}

# Whether something of an earlier run is there that nobody keeps open.
left_behind() { [ -s "$DIR/run/app.pid" ] || { own_database && db_alive; }; }

running() { lives "$DIR/run/launcher.pid"; }

end_parts() {
    local part
    for part in scale probes vite app app1 app2 inbox balancer db db3 db2 db1; do
        end "$DIR/run/$part.pid"
    done
}

# What was said before a crash is what one wants to read after it: the last five runs are kept.
keep_log() {
    [ -s "$1" ] || return 0
    shift_logs "$1"
    mv "$1" "$1.1"
}

shift_logs() {
    local number
    for number in 4 3 2 1; do
        [ ! -e "$1.$number" ] || mv "$1.$number" "$1.$((number + 1))"
    done
}

# A log of a run that lasts years: what grew long is put aside, while it is written to.
shorten_log() {
    [ "$(stat -c %s "$1" 2>/dev/null || echo 0)" -gt "${ELVARO_LOG_BYTES:-10000000}" ] || return 0
    cp "$1" "$1.copy"
    : >"$1"
    shift_logs "$1"
    mv "$1.copy" "$1.1"
}
