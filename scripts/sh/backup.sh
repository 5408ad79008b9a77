# One file with everything: data, photographs, schema, in the database's own archive format, sealed when asked.

# The server whose data is meant: DATABASE_URL, else the demonstration's own.
backup_target() {
  if [ -z "${DATABASE_URL:-}" ]; then
    cluster_start demo 54310
    cluster_database demo gritkeeper
    DATABASE_URL=$(cluster_url demo gritkeeper)
    export DATABASE_URL
    say "DATABASE_URL is not set: the demonstration is meant"
  fi
}

# Nothing is written over: not a file, not a device, not what a link leads to.
must_not_be_there() { [ ! -e "$1" ] && [ ! -L "$1" ] || die "$1 is there already: a backup is written over nothing."; }

seal_tool() { node_check; packages; node --import tsx scripts/backup/sealCommand.ts "$@"; }

# seal_file FROM TO: for somebody, by age or GnuPG, so that this machine cannot open what it wrote; else by a passphrase.
seal_file() {
  local to=${GRITKEEPER_BACKUP_RECIPIENT:-}
  case "$to" in
    '') seal_tool seal "$1" "$2" ;;
    age1* | ssh-*)
      command -v age >/dev/null || { say "GRITKEEPER_BACKUP_RECIPIENT is a key of age, and age is not here: apt install age"; return 1; }
      age --encrypt --recipient "$to" --output "$2" "$1" ;;
    *)
      command -v gpg >/dev/null || { say "GRITKEEPER_BACKUP_RECIPIENT is a key of GnuPG, and gpg is not here: apt install gnupg"; return 1; }
      # Whoever named the key trusts it.
      gpg --batch --quiet --trust-model always --encrypt --recipient "$to" --output "$2" "$1" ;;
  esac
}

# sort_of FILE: what its first bytes say that it is.
sort_of() {
  case "$(head -c 21 "$1" | tr -d '\000')" in
    PGDMP*) echo plain ;;
    gritkeeper-seal1*) echo passphrase ;;
    age-encryption.org/v1*) echo age ;;
    *) echo other ;;
  esac
}

# write_backup FILE SEALED: whole, or not there.
write_backup() {
  local file=$1 sealed=$2 part
  must_not_be_there "$file"
  # Written beside it first: a backup that was broken off never looks like one. For nobody else's eyes.
  part=$(umask 077; mktemp "$file.part.XXXXXX") || die "Nothing can be written beside $file."
  "$PG_BIN/pg_dump" --format=custom --no-owner --no-privileges --dbname="$DATABASE_URL" --file="$part" ||
    { rm -f "$part"; die "The backup failed; nothing was written."; }
  if [ "$sealed" = 1 ]; then
    seal_file "$part" "$part.sealed" || { rm -f "$part" "$part.sealed"; die "The backup could not be sealed; nothing was written."; }
    mv -f "$part.sealed" "$part"
  fi
  # A link to it: unlike a move it fails when somebody put a file there meanwhile. A stick may know no links.
  if ln "$part" "$file" 2>/dev/null; then rm -f "$part"
  else must_not_be_there "$file"; mv -n "$part" "$file"; fi
  say "Written: $file ($(du -h "$file" | cut -f1))$([ "$sealed" = 1 ] && echo ', sealed'), everything as it stood when it began"
}

backup() {
  local file='' sealed=0
  while [ $# -gt 0 ]; do
    case "$1" in
      --seal) sealed=1 ;;
      -*) die "backup does not know $1; see ./gritkeeper help" ;;
      *) file=$1 ;;
    esac
    shift
  done
  [ -n "$file" ] || die "backup needs a file to write"
  must_not_be_there "$file"
  postgres_ready
  trap stop_all EXIT
  backup_target
  write_backup "$file" "$sealed"
}

# One now, and the oldest away; with --every again and again.
backups() {
  local dir='' keep=14 every='' sealed=0
  while [ $# -gt 0 ]; do
    case "$1" in
      --keep) keep=${2:?--keep needs a number}; shift ;;
      --every) every=${2:?--every needs hours}; shift ;;
      --seal) sealed=1 ;;
      -*) die "backups does not know $1; see ./gritkeeper help" ;;
      *) dir=$1 ;;
    esac
    shift
  done
  [ -d "$dir" ] || die "backups needs a directory that is there"
  case "$keep$every" in *[!0-9]*) die "--keep and --every are whole numbers" ;; esac
  [ "$keep" -ge 1 ] || die "At least one is kept."
  postgres_ready
  trap stop_all EXIT
  backup_target
  while :; do
    write_backup "$dir/gritkeeper-$(date -u +%Y%m%d-%H%M%S).backup" "$sealed"
    # Only what this command wrote, by its names, and never the newest ones.
    find "$dir" -maxdepth 1 -type f -name 'gritkeeper-[0-9]*-[0-9]*.backup' | sort -r | tail -n "+$((keep + 1))" | while read -r old; do
      rm -f "$old" && say "Away: $old"
    done
    [ -n "$every" ] || return 0
    sleep "$((every * 3600))" & wait $!
  done
}

# The archive of a backup, opened when it is sealed. Sets ARCHIVE; the opened one is taken away at the end.
ARCHIVE=
open_archive() {
  [ -s "$1" ] || die "There is no file $1."
  ARCHIVE=$1
  local sort room
  sort=$(sort_of "$1")
  if [ "$sort" != plain ]; then
    room=$(umask 077; mktemp -d "$STATE/opened.XXXXXX")
    ARCHIVE=$room/archive
    case "$sort" in
      passphrase)
        [ -n "${GRITKEEPER_BACKUP_PASSPHRASE:-}" ] || { close_archive; die "This backup is sealed: give its passphrase in GRITKEEPER_BACKUP_PASSPHRASE."; }
        seal_tool open "$1" "$ARCHIVE" ;;
      age)
        [ -r "${GRITKEEPER_BACKUP_IDENTITY:-}" ] || { close_archive; die "This backup is sealed by age: give the file of its key in GRITKEEPER_BACKUP_IDENTITY."; }
        (umask 077; age --decrypt --identity "$GRITKEEPER_BACKUP_IDENTITY" --output "$ARCHIVE" "$1") ;;
      other)
        gpg --list-packets --batch --list-only "$1" >/dev/null 2>&1 || { close_archive; die "$1 is no backup of ours."; }
        (umask 077; gpg --batch --quiet --decrypt --output "$ARCHIVE" "$1") ;;
    esac || { close_archive; die "The backup could not be opened."; }
  fi
  "$PG_BIN/pg_restore" --list "$ARCHIVE" >/dev/null 2>&1 || { close_archive; die "$1 is no backup of ours."; }
}
close_archive() { case "$ARCHIVE" in "$STATE"/opened.*) rm -rf "$(dirname "$ARCHIVE")" ;; esac; }

# restore_into URL: all or nothing.
restore_into() {
  "$PG_BIN/pg_restore" --single-transaction --exit-on-error --no-owner --no-privileges --dbname="$1" "$ARCHIVE"
}

restore() {
  local file=${1:?restore needs a file to read}
  [ -s "$file" ] || die "There is no file $file."
  postgres_ready
  trap stop_all EXIT
  backup_target
  open_archive "$file"
  local tables
  tables=$("$PG_BIN/psql" --dbname="$DATABASE_URL" -q -t -A -c "select count(*) from information_schema.tables where table_schema = 'public'") ||
    die "The database does not answer."
  [ "$tables" = 0 ] || die "This database is not empty: restore goes into an empty one only, so that nothing is lost."
  restore_into "$DATABASE_URL" || die "The restore failed; the database is as empty as before."
  node_check
  packages
  node --import tsx scripts/migrate.ts
  say "Restored from $file"
}

# Proves that a backup can be restored: into a database of its own, read wholly, brought up to date, and thrown away.
rehearse() {
  local file=${1:?rehearse needs a backup to read}
  node_check
  packages
  postgres_ready
  trap stop_all EXIT
  cluster_start rehearsal 54360
  open_archive "$file"
  cluster_sql rehearsal postgres 'drop database if exists rehearsal with (force)'
  cluster_sql rehearsal postgres 'create database rehearsal'
  local url
  url=$(cluster_url rehearsal rehearsal)
  restore_into "$url" || die "It cannot be restored."
  node --import tsx scripts/backup/rehearse.ts "$url" || die "It was restored, and something in it is wrong."
  DATABASE_URL=$url node --import tsx scripts/migrate.ts || die "It cannot be brought up to date."
  cluster_sql rehearsal postgres 'drop database if exists rehearsal with (force)'
  say "Rehearsed: $file can be restored"
}
