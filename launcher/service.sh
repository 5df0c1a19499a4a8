# Installed on a Debian machine: a package, which brings a user, a service and the usual folders. Read by ../elvaro.

# A package that needs a Java runtime and MariaDB's programs only; written into the folder that is named, or here.
cmd_package() {
    packaged && fail "This Elvaro was installed from a package; one is made from its sources."
    need_tools
    need_disk 1000 "to build"
    command -v dpkg-deb >/dev/null || fail "A package is made on Debian: dpkg-deb is missing."
    build
    local to=${1:-$PWD} version
    version=$(version)
    mkdir -p "$to" || fail "The folder $to cannot be made."
    PACKING=$(mktemp -d "$DIR/package-XXXXXX")
    trap 'rm -rf "$PACKING"' EXIT
    umask 022
    mkdir -p "$PACKING/DEBIAN" "$PACKING/usr/lib/elvaro" "$PACKING/usr/bin" "$PACKING/usr/share/doc/elvaro"
    cp -r "$APP" "$HOME_DIR/launcher" "$HOME_DIR/elvaro" "$PACKING/usr/lib/elvaro/"
    rm -f "$PACKING/usr/lib/elvaro/launcher/developing.sh"
    printf 'version %s\nschema %s\n' "$version" "$(known_schema)" >"$PACKING/usr/lib/elvaro/version"
    cp "$HOME_DIR/CHANGELOG.md" "$HOME_DIR/LICENSE" "$PACKING/usr/share/doc/elvaro/"
    ln -s ../lib/elvaro/elvaro "$PACKING/usr/bin/elvaro"
    local file
    for file in etc/elvaro/elvaro.conf lib/systemd/system/elvaro.service; do
        install -D -m 644 "$HOME_DIR/launcher/package/$(basename "$file")" "$PACKING/$file"
    done
    for file in postinst prerm postrm; do
        install -m 755 "$HOME_DIR/launcher/package/$file" "$PACKING/DEBIAN/$file"
    done
    rm -rf "$PACKING/usr/lib/elvaro/launcher/package"
    echo /etc/elvaro/elvaro.conf >"$PACKING/DEBIAN/conffiles"
    sed "s/VERSION/$version/; s/SIZE/$(du -sk "$PACKING" | cut -f1)/" "$HOME_DIR/launcher/package/control" >"$PACKING/DEBIAN/control"
    find "$PACKING" -type d -exec chmod 755 {} + && find "$PACKING/usr" -type f -exec chmod 644 {} + && chmod 755 "$PACKING/usr/lib/elvaro/elvaro"
    step "Packing" "$LOGS/package.log" dpkg-deb --root-owner-group -Zzstd -z9 --build "$PACKING" "$to/elvaro_${version}_all.deb"
    say "Written: $to/elvaro_${version}_all.deb, $(du -h "$to/elvaro_${version}_all.deb" | cut -f1). 'apt install $to/elvaro_${version}_all.deb' installs it."
}

# From the sources to a service that starts with the machine, by the package; a newer one over an older one, too.
cmd_install() {
    packaged && fail "Elvaro $(version) is installed already. A newer package is installed by apt."
    command -v apt-get >/dev/null || fail "It is installed on Debian and its like: apt-get is missing."
    local work
    work=$(mktemp -d)
    (cmd_package "$work")
    chmod 755 "$work"
    [ "$(id -u)" = 0 ] || as_root -v || fail "Installing needs sudo."
    step "Installing" "$LOGS/install.log" as_root env DEBIAN_FRONTEND=noninteractive sh -c \
        'apt-get -q update && apt-get -q install -y --no-install-recommends --allow-downgrades "$1"/elvaro_*.deb' sh "$work"
    rm -rf "$work"
    say "Elvaro $(version) is installed as a service; it starts with the machine."
    say "  'elvaro status' says how it is, /etc/elvaro/elvaro.conf how it is set; data are in /var/lib/elvaro, logs in /var/log/elvaro."
    say "  Where it is, and the code for the first visit: sudo elvaro status"
}

cmd_uninstall() {
    [ -f /usr/lib/elvaro/version ] || fail "Elvaro is not installed here."
    [ "$(id -u)" = 0 ] || as_root -v || fail "Uninstalling needs sudo."
    as_root env DEBIAN_FRONTEND=noninteractive apt-get -q remove -y elvaro
    say "Uninstalled. Data stay in /var/lib/elvaro, settings in /etc/elvaro."
}

# What is installed is one house: its settings lie in one file, it runs in the name of its user, and systemd keeps it open.
as_service() {
    packaged || return 0
    local user=elvaro
    case ${1:-} in
    uninstall | install | package | '' | help) return 0 ;;
    esac
    if [ "$(id -un)" != "$user" ]; then
        [ "$(id -u)" = 0 ] || fail "The service's data are $user's: sudo elvaro ${1:-}"
        if [ -d /run/systemd/system ] && [[ $1 = start || $1 = stop ]]; then
            exec systemctl "$1" elvaro
        fi
        cd /
        exec runuser -u "$user" -- "$HOME_DIR/elvaro" "$@"
    fi
}
