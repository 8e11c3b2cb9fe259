#!/usr/bin/env bash
# A private PostgreSQL cluster for this checkout, on loopback, with a generated password.
#   scripts/postgres-cluster.sh start|stop|status|url
# Root drops to the postgres user, since initdb and postgres refuse root; anyone else runs it as themselves.
set -euo pipefail
root="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd -P)"
database=ohmmeter
owner=ohmmeter_owner
die() { echo "ohmmeter: $*" >&2; exit 1; }

find_binaries() {
  local folder
  for folder in $(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -Vr) "$(pg_config --bindir 2>/dev/null || true)"; do
    if [ -n "$folder" ] && [ -x "$folder/initdb" ] && [ -x "$folder/pg_ctl" ]; then echo "$folder"; return; fi
  done
  die "PostgreSQL is not installed. As root: apt-get update && apt-get install -y postgresql"
}
binaries="$(find_binaries)"

# The caller's folder may be closed to the postgres user, so everything runs from /.
if [ "$(id -u)" = 0 ]; then
  id -u postgres >/dev/null 2>&1 || die "there is no user 'postgres'; Debian's postgresql package makes it"
  as() { runuser -u postgres -- env -C / LC_ALL=C.UTF-8 "$@"; }
else
  as() { env -C / LC_ALL=C.UTF-8 "$@"; }
fi

state="$root/.ohmmeter/postgres"
if [ "$(id -u)" = 0 ] && ! as test -x "$root"; then
  # A checkout that the postgres user cannot reach, such as one below /root.
  state="/var/tmp/ohmmeter-$(printf %s "$root" | cksum | cut -d' ' -f1)"
fi
data="$state/data"; log="$state/log"; port_file="$state/port"; password_file="$root/.ohmmeter/owner-password"
socket="/tmp/ohmmeter-$(printf %s "$state" | cksum | cut -d' ' -f1)" # a socket path may have 107 bytes at most

free_port() { node -e 'const s=require("net").createServer();s.listen(0,"127.0.0.1",()=>{console.log(s.address().port);s.close()})'; }
# Processes of this cluster, and of no other, have its data folder as their working folder.
processes() { find /proc -maxdepth 2 -name cwd -lname "$data" 2>/dev/null | cut -d/ -f3 || true; }
postmaster_runs() { local pid; pid="$(head -n1 "$data/postmaster.pid" 2>/dev/null || true)"; [ -n "$pid" ] && processes | grep -qx "$pid"; }
ready() { [ -s "$port_file" ] && "$binaries/pg_isready" -q -h 127.0.0.1 -p "$(cat "$port_file")" -t 1; }
running() { [ -n "$(processes)" ] && ready; }
url() { echo "postgres://$owner:$(cat "$password_file")@127.0.0.1:$(cat "$port_file")/$database"; }
query() { PGPASSWORD="$(cat "$password_file")" "$binaries/psql" -qAtX -v ON_ERROR_STOP=1 -h 127.0.0.1 -p "$(cat "$port_file")" -U "$owner" -d postgres -c "$1"; }

make_cluster() {
  local given
  given="$(as mktemp)"
  (umask 077; [ -s "$password_file" ] || node -e 'process.stdout.write(require("crypto").randomBytes(24).toString("hex"))' >"$password_file")
  as tee "$given" <"$password_file" >/dev/null
  rm -rf "$data.new"
  as "$binaries/initdb" -D "$data.new" -U "$owner" --pwfile="$given" --auth=scram-sha-256 --encoding=UTF8 --locale=C.UTF-8 \
    --data-checksums \
    --no-sync --no-instructions >"$state/initdb.log" 2>&1 || { cat "$state/initdb.log" >&2; die "the database folder could not be made"; }
  rm -f "$given"
  as mv "$data.new" "$data" # only a whole cluster ever bears the name
}
launch() { # $1 port. With -l the log goes to a file; else a child would hold our output open and a pipe never ends.
  as "$binaries/pg_ctl" -D "$data" -l "$log" -w -t 60 -s start -o "-c listen_addresses=127.0.0.1 -c port=$1 \
    -c unix_socket_directories=$socket -c max_connections=80 -c shared_buffers=64MB" </dev/null
}
start() {
  mkdir -p "$root/.ohmmeter" "$state" "$socket"
  if [ "$(id -u)" = 0 ]; then chown postgres "$state" "$socket"; fi
  chmod 755 "$state"; chmod 700 "$socket"
  exec 9<"$state"; flock -w 120 9 || die "another start of the database holds $state"
  local i pid port
  for i in $(seq 300); do # starting up, in recovery, or orphans of a kill -9
    if [ -z "$(processes)" ] || running; then break; fi
    if [ "$i" -ge 5 ] && ! postmaster_runs; then # a busy backend outlives its postmaster: end it
      for pid in $(processes); do as kill -s "$([ "$i" -lt 30 ] && echo QUIT || echo KILL)" "$pid" 2>/dev/null || true; done
    fi
    sleep 0.2
  done
  if ! running; then
    [ -z "$(processes)" ] || die "a database process still uses $data and does not answer: $(processes | tr '\n' ' ')"
    [ -d "$data" ] || make_cluster
    [ -s "$password_file" ] || die "the password of the database is gone ($password_file). Remove $state to start anew; its data is lost then."
    rm -f "$data/postmaster.pid" "$socket"/.s.PGSQL.* # stale and safe to remove: no process uses the data, and we hold the lock
    for i in 1 2 3 4 5; do
      if [ "$i" = 1 ] && [ -s "$port_file" ]; then port="$(cat "$port_file")"; else port="$(free_port)"; fi
      if launch "$port" 9<&- 2>>"$state/start.log"; then echo "$port" >"$port_file"; break; fi
      if [ "$i" = 5 ]; then tail -n 15 "$log" >&2; die "PostgreSQL did not start; its log is $log"; fi
    done
  fi
  [ "$(query "select count(*) from pg_database where datname='$database'")" = 1 ] || query "create database $database"
  url
}
stop() { if postmaster_runs; then as "$binaries/pg_ctl" -D "$data" -m fast -w -t 30 -s stop; fi; }

case "${1:-}" in
  start) start ;;
  stop) stop ;;
  status) if running; then echo running; else echo stopped; exit 1; fi ;;
  url) url ;;
  *) echo "usage: $0 start|stop|status|url" >&2; exit 2 ;;
esac
