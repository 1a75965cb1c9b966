# A copy of all that people wrote, made while they work, and put back. What is copied: the database as it stood at one moment, the
# files (photographs, reports), and what it is; each file with its digest, so that a damaged copy is refused before anything is touched.

BACKUP_FORMAT=apron-backup/1

# The instance that runs, with its environment: a command beside it.
join_instance() {
  use_instance "${APRON_INSTANCE:-start}" "${APRON_PORT:-8080}"
  alive database || die "Apron is not running: ./apron start first. A copy is made of what runs, and put into what runs."
  PORT=$(cat "$RUN/port"); URL=http://127.0.0.1:$PORT
  DATABASE_PORT=$(tr '\0' '\n' < "/proc/$(part_pid database)/cmdline" | sed -n 's/^--port=//p')
  environment
}

backup() {
  local to=${1:-}
  [ -n "$to" ] || die "./apron backup FILE: where the copy goes, such as apron-$(date +%Y-%m-%d).tar.gz"
  case $to in /*) ;; *) to=$FROM/$to ;; esac
  [ ! -e "$to" ] || die "$to is there already. Choose another name: a copy is never written over."
  join_instance
  make_backup "$to"
  say "Copied to $to ($(du -h "$to" | cut -f1))."
}

make_backup() {
  local to=$1 made; made=$(mktemp -d "$RUN/tmp/backup.XXXXXX")
  mkdir "$made/apron"
  printf '%s\n' "$BACKUP_FORMAT" > "$made/apron/format"
  # The rows first, as of one moment; the files after it: a row that is in the copy has its file, and a file too many does no harm.
  mariadb-dump --defaults-file="$RUN/run/database.cnf" --single-transaction --quick --triggers --hex-blob apron > "$made/apron/database.sql" \
    || { rm -rf "$made"; die "The database could not be copied."; }
  cp -al "$RUN/files" "$made/apron/files" 2>/dev/null || cp -a "$RUN/files" "$made/apron/files"
  (cd "$made/apron" && find . -type f ! -name manifest | LC_ALL=C sort | tr '\n' '\0' | xargs -0 sha256sum > manifest)
  tar -C "$made" -czf "$to.part" apron || { rm -rf "$made" "$to.part"; die "The copy could not be written to $to."; }
  mv "$to.part" "$to"
  rm -rf "$made"
}

# Unpacks a copy and proves that it is one, whole: nothing of the instance is touched by this.
unpack_backup() {
  local from=$1 into=$2
  gzip -t "$from" 2>/dev/null || return 1
  # No path of a copy leaves its folder.
  tar -tzf "$from" 2>/dev/null | grep -qE '(^/|(^|/)\.\.(/|$))' && return 1
  tar -C "$into" --no-same-owner -xzf "$from" 2>/dev/null || return 1
  [ "$(cat "$into/apron/format" 2>/dev/null)" = "$BACKUP_FORMAT" ] || return 1
  [ -z "$(find "$into/apron" ! -type f ! -type d)" ] || return 1
  (cd "$into/apron" && sha256sum --strict --quiet -c manifest) >/dev/null 2>&1 || return 1
  # Every file is in the list, and the dump went on to its end.
  [ "$(cd "$into/apron" && find . -type f ! -name manifest | wc -l)" = "$(wc -l < "$into/apron/manifest")" ] || return 1
  tail -n 1 "$into/apron/database.sql" | grep -q '^-- Dump completed'
}

restore() {
  local from=${1:-} into before
  [ -n "$from" ] || die "./apron restore FILE: a copy that ./apron backup made"
  case $from in /*) ;; *) from=$FROM/$from ;; esac
  [ -f "$from" ] || die "There is no file $from."
  join_instance
  into=$(mktemp -d "$RUN/tmp/restore.XXXXXX")
  unpack_backup "$from" "$into" \
    || { rm -rf "$into"; die "$from is damaged, or no copy that ./apron backup made. Nothing has been touched."; }
  step "Trying it beside what is there"
  database -e 'drop database if exists apron_restoring'
  create_database apron_restoring
  if ! database apron_restoring < "$into/apron/database.sql" \
    || ! [ "$(database -N apron_restoring -e 'select count(*) from organisations' 2>/dev/null)" -ge 0 ]; then
    database -e 'drop database if exists apron_restoring'; rm -rf "$into"
    die "The database of $from cannot be read. Nothing has been touched."
  fi
  before=$RUN/before-restore-$(date +%Y-%m-%d-%H%M%S).tar.gz
  step "Copying what is there to $before"
  make_backup "$before"
  # From here on nobody writes: pages wait, and send again when it answers.
  touch "$RUN/run/restoring"
  stop_part runs; stop_part runs2; stop_part queue; stop_part fpm
  step "Putting it back"
  database -e 'drop database apron'; create_database apron
  database apron < "$into/apron/database.sql" || die "It was cut short. What was there is in $before: ./apron restore it."
  rm -rf "$RUN/files.before"; mv "$RUN/files" "$RUN/files.before"; mv "$into/apron/files" "$RUN/files"
  rm -f "$APP_CONFIG_CACHE" "$APP_ROUTES_CACHE" "$APP_EVENTS_CACHE"
  artisan migrate --force -q || die "The tables could not be brought forward. What was there is in $before."
  artisan cache:clear -q || true
  artisan config:cache -q; artisan route:cache -q
  artisan apron:take-up -q || true
  start_fpm; start_workers
  rm -f "$RUN/run/restoring"
  wait_until 30 "the page at $URL to answer" curl -fsS -o /dev/null "$URL/sign-in"
  database -e 'drop database if exists apron_restoring'; rm -rf "$into" "$RUN/files.before"
  say "Put back from $from. What was there before is in $before."
}
