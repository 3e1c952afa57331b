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

# One after another: two starts in one folder do not build into each other.
need_build() {
  mkdir -p .local
  (
    flock 7
    if [ ! -f dist/built ] || [ -n "$(newest_source dist/built)" ]; then
      say 'Building (a few seconds)'
      node_modules/.bin/vite build --logLevel error >&2
      node_modules/.bin/vite build -c vite.mine.config.ts --logLevel error >&2
      node_modules/.bin/vite build -c vite.server.config.ts --logLevel error >&2
      touch dist/built
    fi
  ) 7>.local/build.lock
}

# A folder that cannot be written is said before anything is begun.
need_writable() {
  mkdir -p .local 2>/dev/null && : 2>/dev/null >.local/writable && return
  say "This folder cannot be written: $ROOT. Copy the project to where you may write, or change its owner, then start again."
  exit 1
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

# Whoever uses the cluster holds a shared lock on its file "users" (9); it goes with the process, however that ends. Who makes or
# starts it holds "lock" (8) meanwhile. PostgreSQL itself holds neither.
cluster_use() {
  CLUSTER=$(cluster_home)
  mkdir -p "$CLUSTER" 2>/dev/null && : 2>/dev/null >>"$CLUSTER/users" || { say "The database's folder cannot be written: $CLUSTER. Change its owner, or use another PostgreSQL with DATABASE_URL."; exit 1; }
  [ "$(id -u)" = 0 ] && chown postgres "$CLUSTER"
  exec 8>>"$CLUSTER/lock" 9>>"$CLUSTER/users"
}

# Makes the cluster when there is none (a half-made one is thrown away), starts it when it is not running.
cluster_up() {
  cluster_use
  say "Database: $CLUSTER"
  flock 8
  flock -s 9
  if [ ! -f "$CLUSTER/made" ]; then
    say 'Making a private PostgreSQL cluster (a few seconds, once)'
    rm -rf "$CLUSTER/data" "$CLUSTER/password"
    (umask 077; head -c 24 /dev/urandom | base64 | tr -d '/+=\n' >"$CLUSTER/password")
    [ "$(id -u)" = 0 ] && chown postgres "$CLUSTER/password"
    pg_as "$(pg_bin)/initdb" -D "$CLUSTER/data" -U imprenta --pwfile="$CLUSTER/password" -A scram-sha-256 -E UTF8 --locale=C.UTF-8 >/dev/null 8>&- 9>&- \
      || { say "The cluster could not be made in $CLUSTER: is the disk full, or the folder not writable? Free some space and start again."; exit 1; }
    touch "$CLUSTER/made"
  fi
  cluster_running || cluster_start || { say "PostgreSQL did not start. Its last lines:"; tail -n 3 "$CLUSTER/log" >&2; exit 1; }
  flock -u 8
  DATABASE_URL="postgres://imprenta:$(cat "$CLUSTER/password")@127.0.0.1:$(cat "$CLUSTER/port")/postgres"
  export DATABASE_URL
}

# On the port it had, when that is still free: who is connected finds it again.
cluster_start() {
  local pid
  pid=$(head -n 1 "$CLUSTER/data/postmaster.pid" 2>/dev/null || true)
  # The number of a process that is no server of this cluster was left by one that was killed.
  [ -n "$pid" ] && ! grep -qsa "$CLUSTER/data" "/proc/$pid/cmdline" && rm -f "$CLUSTER/data/postmaster.pid"
  { [ -s "$CLUSTER/port" ] && port_is_free "$(cat "$CLUSTER/port")"; } || free_port >"$CLUSTER/port"
  pg_as "$(pg_bin)/pg_ctl" -D "$CLUSTER/data" -w -s -l "$CLUSTER/log" -o "-p $(cat "$CLUSTER/port") -c listen_addresses=127.0.0.1 -c unix_socket_directories=''" start >/dev/null 8>&- 9>&-
}
port_is_free() { node -e 's=require("net").createServer().once("error",()=>process.exit(1)).listen(+process.argv[1],"127.0.0.1",()=>s.close())' "$1"; }

# Brings the cluster up again whenever it has gone, until it is ended itself.
cluster_watch() {
  while sleep 1 && kill -0 $$ 2>/dev/null; do
    cluster_running && continue
    flock 8
    cluster_running || { say 'The database is gone; starting it again.'; cluster_start || true; }
    flock -u 8
  done
}

# Stops the cluster when nobody else uses it: the last who leaves does.
cluster_down() {
  [ -n "${CLUSTER:-}" ] || return 0
  flock 8
  flock -u 9
  if flock -n -x 9; then
    ! cluster_running || pg_as "$(pg_bin)/pg_ctl" -D "$CLUSTER/data" -m fast -s -w stop >/dev/null 2>&1 8>&- 9>&- || true
  else
    say 'Another Imprenta uses the database: it goes on.'
  fi
  flock -u 8
}

# Throws the database away, unless somebody uses it.
cluster_reset() {
  cluster_use
  flock 8
  flock -n -x 9 || { say 'Another Imprenta uses this database. End it first, then start over.'; exit 1; }
  [ -f "$CLUSTER/made" ] && cluster_running && pg_as "$(pg_bin)/pg_ctl" -D "$CLUSTER/data" -m fast -s -w stop 8>&- 9>&-
  rm -rf "$CLUSTER/data" "$CLUSTER/password" "$CLUSTER/made"
  flock -u 8
  flock -u 9
  say 'Starting over: the old data is gone.'
}
