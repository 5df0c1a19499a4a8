# For developers: as files change, tests and benchmarks. Read by ../elvaro.

# For developers: the application from its classes, which starts anew when one changes, and the screen from its sources.
cmd_dev() {
    need_tools
    DIR=$DIR/dev LOGS=$DIR/dev/log HOUSE_KEY=$DIR/dev/secret/house-key
    need_disk 1000 "to build"
    ! running || fail "It runs already; './elvaro stop --dir $DIR' ends it."
    need_port "application" "$HTTP_PORT" --http-port
    need_free_database
    need_port "screen" $((HTTP_PORT + 2)) --http-port
    npm_install
    step "Compiling" "$LOGS/compile.log" compile_all
    mkdir -p "$DIR/run"
    note "$DIR/run/launcher.pid" $$
    trap finish EXIT
    trap 'say ""; say "Ending …"; exit 0' INT TERM
    settle
    start_database
    database_words
    env "${DB_WORDS[@]}" ELVARO_HTTP_PORT="$HTTP_PORT" ELVARO_BIND=127.0.0.1 ELVARO_DEMO="$DEMO" \
        ELVARO_DEMO_PASSWORD="$(secret demo-password 6)" ELVARO_DEMO_DEVICE_SECRET="$(secret demo-device 24)" \
        setsid java -Xmx768m -XX:TieredStopAtLevel=1 -cp "$(dev_classes):$(cat "$DIR/classpath")" \
        -Dspring.devtools.restart.poll-interval=400ms -Dspring.devtools.restart.quiet-period=200ms \
        elvaro.server.App >"$LOGS/app.log" 2>&1 </dev/null &
    app_pid=$!
    note "$DIR/run/app.pid" "$app_pid"
    (cd "$HOME_DIR/web" && exec setsid node node_modules/vite/bin/vite.js --host 127.0.0.1 --port $((HTTP_PORT + 2)) --strictPort) \
        >"$LOGS/vite.log" 2>&1 </dev/null &
    note "$DIR/run/vite.pid" $!
    say "Starting …"
    until health; do
        kill -0 "$app_pid" 2>/dev/null || fail "The application did not start. Its log is $LOGS/app.log."
        sleep 0.3
    done
    say "  The screen, as it changes, is at  http://127.0.0.1:$((HTTP_PORT + 2))"
    say "  Sign in as  maren@brackenrow.example  with  $(secret demo-password 6)"
    say "  Ctrl-C ends it; what was said is in $LOGS/app.log"
    recompile_as_files_change
}

dev_classes() { printf '%s' "$HOME_DIR/server/target/classes:$HOME_DIR/core/target/classes:$HOME_DIR/devices/target/classes"; }

compile_all() {
    npm --prefix "$HOME_DIR/web" run types &&
        mvn -B -ntp -q -f "$HOME_DIR/pom.xml" -pl core,devices,web,server -Pdev -Dweb.skip=true -Dspotless.check.skip \
            compile dependency:build-classpath -Dmdep.outputFile="$DIR/classpath" -Dmdep.excludeGroupIds=elvaro -DincludeScope=runtime
}

# What changed is compiled by itself; the classes around it are those of before. A change of many files is compiled whole.
recompile_as_files_change() {
    local mark=$DIR/run/compiled changed module files
    touch "$mark"
    while kill -0 "$app_pid" 2>/dev/null; do
        sleep 0.4
        touch "$mark.next" # before looking: what is saved meanwhile is found the next time
        changed=$(find "$HOME_DIR"/{core,devices,server}/src/main/java -name '*.java' -newer "$mark" 2>/dev/null)
        [ -n "$changed" ] || continue
        mv "$mark.next" "$mark"
        for module in core devices server; do
            files=$(grep "^$HOME_DIR/$module/" <<<"$changed" || true)
            [ -z "$files" ] || { # shellcheck disable=SC2086
                javac -nowarn -parameters -proc:none -d "$HOME_DIR/$module/target/classes" \
                    -cp "$(dev_classes):$(cat "$DIR/classpath")" $files || say "It does not compile; the last that did goes on running."
            }
        done
        say "Compiled $(wc -l <<<"$changed") file(s) at $(date +%T); the application starts anew."
    done
    fail "The application ended. Its log is $LOGS/app.log."
}

cmd_test() {
    need_tools
    need_disk 1000 "to build"
    need_database
    need_readers
    npm_install
    private_database --innodb-flush-log-at-trx-commit=0 --innodb-doublewrite=0 --innodb-fast-shutdown=2 \
        --innodb-log-file-size=16M --innodb-buffer-pool-size=64M
    export ELVARO_LAUNCHER=$HOME_DIR/elvaro
    with_database mvn -B -ntp -T 2 -f "$HOME_DIR/pom.xml" -pl core,devices,web,server,e2e verify "$@"
    node "$HOME_DIR/tools/test-share.mjs"
}

cmd_bench() {
    need_tools
    need_disk 1000 "to build"
    need_database
    npm_install
    step "Building" "$LOGS/build.log" mvn -B -ntp -f "$HOME_DIR/pom.xml" -pl server,bench -am -DskipTests package
    local packaged_test
    case ${1:-} in
    felt) packaged_test=FeltSpeed ;;
    drills) packaged_test=Drills,RestoreDrill ;;
    package) packaged_test=PackageDrill ;;
    *) packaged_test= ;;
    esac
    if [ -n "$packaged_test" ]; then
        need_readers
        [ "$1" != package ] || command -v debootstrap >/dev/null || install_packages debootstrap
        [ "$1" != drills ] || [ -x /usr/sbin/haproxy ] || install_packages haproxy
        private_database
        export ELVARO_LAUNCHER=$HOME_DIR/elvaro
        with_database mvn -q -B -ntp -f "$HOME_DIR/pom.xml" -pl core,devices,web,server,e2e verify -Dit.test="$packaged_test" \
            -Dtest=NoSuchTest -Dsurefire.failIfNoSpecifiedTests=false -Dfailsafe.failIfNoSpecifiedTests=false
        return
    fi
    local classes="$HOME_DIR/bench/target/elvaro-bench.jar:$HOME_DIR/bench/target/lib/*"
    case ${1:-} in
    alarms) java -cp "$classes" elvaro.bench.AlarmKills "$HOME_DIR/elvaro" "$HOME_DIR/server/target/elvaro.jar" "${2:-100}" ;;&
    kills) java -cp "$classes" elvaro.bench.HouseKills "$HOME_DIR/elvaro" "$HOME_DIR/server/target/elvaro.jar" "${2:-1000}" "${3:-600}" ;;&
    cluster)
        need_cluster
        java -cp "$classes" elvaro.bench.ClusterKills "$HOME_DIR/elvaro" "$HOME_DIR/server/target/elvaro.jar" "${2:-60}"
        ;;&
    alarms | kills | cluster) return ;;
    esac
    java -cp "$classes" elvaro.bench.honesty.Honesty
    java -cp "$classes" elvaro.bench.honesty.NoEffect
    java -cp "$classes" elvaro.bench.honesty.Rehearsed
    [ "${1:-}" != honesty ] || return 0
    java -cp "$classes" org.openjdk.jmh.Main ForecastBenchmark
    ELVARO_MEMORY=512 jvm_options # as on a machine of 4 GB
    export ELVARO_JVM="${JVM[*]}"
    private_database
    with_database java -cp "$classes" elvaro.bench.RoomAndCompare "$HOME_DIR/server/target/elvaro.jar" "$@"
    local more
    for more in Ingest Weighings Tasters Recall LargeCompare Carry Growth; do
        finish
        rm -rf "$DIR"
        private_database
        with_database java -cp "$classes" "elvaro.bench.$more" "$HOME_DIR/server/target/elvaro.jar"
    done
}
