# Shared by the commands in bin/: where the project is, and npm packages when they are missing or out of date.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
ROOT=$(pwd)

say() { printf '%s\n' "$*" >&2; }

need_packages() {
  command -v node >/dev/null || { say 'Node.js 20.19 or newer is needed: install it, then start again.'; exit 1; }
  if [ ! -f node_modules/.imprenta-lock ] || ! cmp -s package-lock.json node_modules/.imprenta-lock; then
    say 'Installing npm packages (about a minute, once)'
    npm ci --no-audit --no-fund --loglevel=error >&2
    cp package-lock.json node_modules/.imprenta-lock
  fi
}

as_root() { if [ "$(id -u)" = 0 ]; then "$@"; else sudo -n "$@"; fi; }

apt_install() {
  say "Installing $* from Debian's packages"
  as_root apt-get update -qq >&2 && DEBIAN_FRONTEND=noninteractive as_root apt-get install -y -qq --no-install-recommends "$@" >/dev/null \
    || { say "Could not install $*. As an administrator, run: apt-get install $*"; exit 1; }
}

need_postgres() {
  ls /usr/lib/postgresql/*/bin/initdb >/dev/null 2>&1 || apt_install postgresql
}

need_chromium() {
  [ -x /usr/bin/chromium ] || apt_install chromium fonts-liberation fonts-noto-color-emoji
}

newest_source() { find core server web index.html package-lock.json vite*.config.ts -newer "$1" -type f -print -quit 2>/dev/null; }

need_build() {
  if [ ! -f dist/built ] || [ -n "$(newest_source dist/built)" ]; then
    say 'Building (a few seconds)'
    node_modules/.bin/vite build --logLevel error >&2
    node_modules/.bin/vite build -c vite.server.config.ts --logLevel error >&2
    touch dist/built
  fi
}

# --- the private PostgreSQL cluster -------------------------------------------------------------------------------------
pg_bin() { ls -d /usr/lib/postgresql/*/bin | sort -V | tail -1; }

# As root, PostgreSQL runs as its own system user; the cluster then lives where that user can go.
pg_as() { if [ "$(id -u)" = 0 ]; then (cd / && runuser -u postgres -- "$@"); else "$@"; fi; }

cluster_home() {
  if [ "$(id -u)" != 0 ]; then echo "$ROOT/.local/postgres"; return; fi
  if runuser -u postgres -- test -x "$ROOT" 2>/dev/null; then echo "$ROOT/.local/postgres"; else echo "/var/lib/imprenta/$(printf %s "$ROOT" | cksum | cut -d' ' -f1)"; fi
}

free_port() { node -e 's=require("net").createServer().listen(0,"127.0.0.1",()=>{console.log(s.address().port);s.close()})'; }

cluster_running() { pg_as "$(pg_bin)/pg_ctl" -D "$CLUSTER/data" status >/dev/null 2>&1; }

# Makes the cluster when there is none (a half-made one is thrown away), starts it when it is not running.
cluster_up() {
  CLUSTER=$(cluster_home)
  say "Database: $CLUSTER"
  mkdir -p "$CLUSTER"
  [ "$(id -u)" = 0 ] && chown postgres "$CLUSTER"
  if [ ! -f "$CLUSTER/made" ]; then
    say 'Making a private PostgreSQL cluster (a few seconds, once)'
    rm -rf "$CLUSTER/data" "$CLUSTER/password"
    (umask 077; head -c 24 /dev/urandom | base64 | tr -d '/+=\n' >"$CLUSTER/password")
    [ "$(id -u)" = 0 ] && chown postgres "$CLUSTER/password"
    pg_as "$(pg_bin)/initdb" -D "$CLUSTER/data" -U imprenta --pwfile="$CLUSTER/password" -A scram-sha-256 -E UTF8 --locale=C.UTF-8 >/dev/null \
      || { say "The cluster could not be made in $CLUSTER: is the disk full, or the folder not writable? Free some space and start again."; exit 1; }
    touch "$CLUSTER/made"
  fi
  STARTED_CLUSTER=
  if ! cluster_running; then
    rm -f "$CLUSTER/data/postmaster.pid"
    free_port >"$CLUSTER/port"
    pg_as "$(pg_bin)/pg_ctl" -D "$CLUSTER/data" -w -s -l "$CLUSTER/log" -o "-p $(cat "$CLUSTER/port") -c listen_addresses=127.0.0.1 -c unix_socket_directories=''" start >/dev/null \
      || { say "PostgreSQL did not start. Its last lines:"; tail -n 3 "$CLUSTER/log" >&2; exit 1; }
    STARTED_CLUSTER=1
  fi
  DATABASE_URL="postgres://imprenta:$(cat "$CLUSTER/password")@127.0.0.1:$(cat "$CLUSTER/port")/postgres"
  export DATABASE_URL
}

cluster_down() {
  [ -n "${STARTED_CLUSTER:-}" ] && cluster_running && pg_as "$(pg_bin)/pg_ctl" -D "$CLUSTER/data" -m fast -s -w stop >/dev/null 2>&1 || true
  STARTED_CLUSTER=
}
