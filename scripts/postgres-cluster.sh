#!/usr/bin/env bash
# A private PostgreSQL cluster for this checkout, on loopback, with a generated password.
#   scripts/postgres-cluster.sh start|stop|status|url|backup FILE|read-backup FILE|put-in-place
# Three roles: the administrator, which this script alone uses; the owner of the tables, no superuser, whose address it prints
# and migrations use; the application, which migrations make and the server connects as.
# Root drops to the postgres user, since initdb and postgres refuse root; anyone else runs it as themselves.
set -euo pipefail
root="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd -P)"
database=ohmmeter
administrator=ohmmeter_owner # by this name since the first version
owner=ohmmeter_schema
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
data="$state/data"; log="$state/log"; port_file="$state/port"; password_file="$root/.ohmmeter/owner-password"; owner_password_file="$root/.ohmmeter/schema-password"
socket="/tmp/ohmmeter-$(printf %s "$state" | cksum | cut -d' ' -f1)" # a socket path may have 107 bytes at most

free_port() { node -e 'const s=require("net").createServer();s.listen(0,"127.0.0.1",()=>{console.log(s.address().port);s.close()})'; }
# Processes of this cluster, and of no other, have its data folder as their working folder.
processes() { find /proc -maxdepth 2 -name cwd -lname "$data" 2>/dev/null | cut -d/ -f3 || true; }
postmaster_runs() { local pid; pid="$(head -n1 "$data/postmaster.pid" 2>/dev/null || true)"; [ -n "$pid" ] && processes | grep -qx "$pid"; }
ready() { [ -s "$port_file" ] && "$binaries/pg_isready" -q -h 127.0.0.1 -p "$(cat "$port_file")" -t 1; }
running() { [ -n "$(processes)" ] && ready; }
url() { echo "postgres://$owner:$(cat "$owner_password_file")@127.0.0.1:$(cat "$port_file")/$database"; }
administer() { local program="$1"; shift; PGPASSWORD="$(cat "$password_file")" "$binaries/$program" -h 127.0.0.1 -p "$(cat "$port_file")" -U "$administrator" "$@"; }
query() { PGOPTIONS="-c client_min_messages=warning" administer psql -qAtX -v ON_ERROR_STOP=1 -d "${2:-postgres}" -c "$1"; }
new_password() { (umask 077; [ -s "$1" ] || node -e 'process.stdout.write(require("crypto").randomBytes(24).toString("hex"))' >"$1"); }

make_cluster() {
  local given
  given="$(as mktemp)"
  new_password "$password_file"
  as tee "$given" <"$password_file" >/dev/null
  rm -rf "$data.new"
  as "$binaries/initdb" -D "$data.new" -U "$administrator" --pwfile="$given" --auth=scram-sha-256 --encoding=UTF8 --locale=C.UTF-8 \
    --data-checksums \
    --no-sync --no-instructions >"$state/initdb.log" 2>&1 || { cat "$state/initdb.log" >&2; die "the database folder could not be made"; }
  rm -f "$given"
  as mv "$data.new" "$data" # only a whole cluster ever bears the name
}
launch() { # $1 port. With -l the log goes to a file; else a child would hold our output open and a pipe never ends.
  as "$binaries/pg_ctl" -D "$data" -l "$log" -w -t 60 -s start -o "-c listen_addresses=127.0.0.1 -c port=$1 \
    -c unix_socket_directories=$socket -c max_connections=80 -c shared_buffers=64MB $logging" </dev/null
}
# A file for each day of the week, for the administrator alone. No statement and no value goes in: they hold names and notes.
logging="-c logging_collector=on -c log_directory=$state/logs -c log_filename=%a.log -c log_file_mode=0600 -c log_rotation_age=1d \
  -c log_rotation_size=0 -c log_truncate_on_rotation=on -c log_min_error_statement=panic -c log_error_verbosity=terse \
  -c log_parameter_max_length_on_error=0 -c log_min_messages=error"
# The owner of the tables: it makes and changes them, and is kept from everything else.
make_owner() {
  new_password "$owner_password_file"
  local known; known="$(query "select 1 from pg_roles where rolname='$owner'")"
  [ "$known" = 1 ] || query "create role $owner nosuperuser createdb createrole"
  query "alter role $owner login password '$(cat "$owner_password_file")'"
  [ "$(query "select 1 from pg_roles where rolname='ohmmeter_app'")" = 1 ] || query "create role ohmmeter_app nosuperuser nobypassrls nocreatedb nocreaterole"
  query "grant ohmmeter_app to $owner with admin option"
}
# What an earlier version left to the administrator goes to the owner.
give_to_owner() {
  query "do \$\$ declare each record; begin
    for each in select format('alter table %I.%I owner to $owner', schemaname, tablename) as command from pg_tables
        where schemaname in ('public', 'drizzle') and tableowner = '$administrator'
      union all select format('alter function %s owner to $owner', oid::regprocedure) from pg_proc
        where pronamespace = 'public'::regnamespace and proowner = '$administrator'::regrole
      union all select format('alter schema %I owner to $owner', nspname) from pg_namespace
        where nspname in ('public', 'drizzle') and nspowner <> '$owner'::regrole
    loop execute each.command; end loop; end \$\$" "$1"
}
# One start or restore at a time.
alone() { exec 9<"$state"; flock -w 120 9 || die "another start of the database holds $state"; }
start() {
  mkdir -p "$root/.ohmmeter" "$state" "$socket"
  mkdir -p "$state/logs"; chmod 700 "$state/logs"
  if [ "$(id -u)" = 0 ]; then chown postgres "$state" "$socket" "$state/logs"; fi
  chmod 755 "$state"; chmod 700 "$socket"
  alone
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
  make_owner
  [ "$(query "select count(*) from pg_database where datname='$database'")" = 1 ] || query "create database $database owner $owner"
  query "alter database $database allow_connections true" # closed by a restore that was cut off
  [ "$(query "select pg_get_userbyid(datdba) from pg_database where datname='$database'")" = "$owner" ] || query "alter database $database owner to $owner"
  give_to_owner "$database"
  url
}
# A whole copy while it runs, as of one moment. Only a whole one ever bears the name.
backup() {
  running || die "the database does not run: ./ohmmeter start first"
  (umask 077; administer pg_dump -Fc -d "$database" -f "$1.part") || { rm -f "$1.part"; die "the backup was not made; nothing was changed"; }
  mv "$1.part" "$1"
}
# Into a database of its own, whose address it prints: there it is brought up to date before it takes anything's place.
read_backup() {
  alone
  administer pg_restore -l "$1" >/dev/null 2>&1 || die "\"$1\" is no backup that Ohmmeter made. Nothing was changed."
  query "drop database if exists ${database}_restored with (force)"
  query "create database ${database}_restored owner $owner" || die "the backup could not be read: it needs room beside the data. Nothing was changed."
  administer pg_restore --exit-on-error -d "${database}_restored" "$1" || {
    query "drop database ${database}_restored with (force)"; die "the backup could not be read to its end: it is broken, or the disk is full. Nothing was changed."
  }
  # By it migrations know that they have to tell of it.
  query "create table if not exists put_back ()" "${database}_restored"
  give_to_owner "${database}_restored"
  echo "$(url)_restored"
}
# What was read takes the place of what there is, which is kept under the name that it prints.
put_in_place() {
  local kept
  alone
  kept="${database}_before_$(date +%Y%m%d_%H%M%S)"
  query "alter database $database allow_connections false"
  query "select pg_terminate_backend(pid) from pg_stat_activity where datname in ('$database', '${database}_restored')" >/dev/null
  # Both names at once: between them a start would make an empty database.
  query "begin; alter database $database rename to $kept; alter database ${database}_restored rename to $database;
    alter database $kept allow_connections true; commit" || {
    query "alter database $database allow_connections true"; die "the backup could not take its place. Nothing was changed."
  }
  echo "$kept"
}
stop() { if postmaster_runs; then as "$binaries/pg_ctl" -D "$data" -m fast -w -t 30 -s stop; fi; }

case "${1:-}" in
  start) start ;;
  stop) stop ;;
  status) if running; then echo running; else echo stopped; exit 1; fi ;;
  url) url ;;
  backup) backup "$2" ;;
  read-backup) read_backup "$2" ;;
  put-in-place) put_in_place ;;
  *) echo "usage: $0 start|stop|status|url|backup FILE|read-backup FILE|put-in-place" >&2; exit 2 ;;
esac
