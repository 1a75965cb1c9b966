# What is kept here is its owner's alone.
umask 077

PARTS="runs runs2 queue nginx fpm database"

# An instance: MariaDB, php-fpm, nginx, a queue worker for reports and two for years of weather, each on loopback, with its data under storage/apron/NAME.

use_instance() {
  NAME=$1 PORT=$2 RUN=$ROOT/storage/apron/$1
  URL=http://127.0.0.1:$PORT
  mkdir -p "$RUN"/{run,log,files,tmp,cache/views,sessions} 2>/dev/null && chmod 700 "$RUN" && [ -w "$RUN/run" ] \
    || die "$ROOT/storage cannot be written. Apron keeps its database and photographs there; make it writable for $(id -un)."
  keeps && [ -f "$RUN/port" ] && [ -z "${APRON_PORT:-}" ] && running && PORT=$(cat "$RUN/port") && URL=http://127.0.0.1:$PORT
  return 0
}

# Whether it is what somebody works on, and not a copy made for one run.
keeps() { case $NAME in test|test-*|shots|bench|monkey) return 1 ;; esac; }

free_port() { php -r '$s = stream_socket_server("tcp://127.0.0.1:0"); $n = stream_socket_get_name($s, false); echo substr($n, strrpos($n, ":") + 1);'; }

port_busy() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

# A part is known by its process and when that began: after a restart of the machine the same number may be anybody's.
began() { awk '{ sub(/.*\) /, ""); print $20 }' "/proc/$1/stat" 2>/dev/null; }

note_part() { printf '%s %s' "$2" "$(began "$2")" > "$RUN/run/$1.pid"; }

part_pid() { [ -f "$RUN/run/$1.pid" ] && cut -d' ' -f1 "$RUN/run/$1.pid"; }

alive() {
  local pid at; pid=$(part_pid "$1") || return 1
  at=$(cut -s -d' ' -f2 "$RUN/run/$1.pid")
  [ -n "$at" ] && [ "$(began "$pid")" = "$at" ]
}

# Every process of a part: its master, and children that outlived it. Each part has a session of its own, whose number stays taken
# as long as one of them lives; what runs there and is none of our programs is somebody else's.
part_processes() {
  local pid each; pid=$(part_pid "$1") || return 0
  alive "$1" || ! [ -e "/proc/$pid" ] || return 0
  for each in $(pgrep -s "$pid" 2>/dev/null); do
    case "$(basename "$(readlink "/proc/$each/exe" 2>/dev/null)")" in
      php*|nginx*|mariadbd*|mysqld*|chrom*|cat) printf '%s ' "$each" ;;
    esac
  done
}

running() { local part; for part in $PARTS; do alive "$part" || return 1; done; }

# Somebody watches over the instance: the start that holds its lock.
watched() { ! flock -n 8; }

# What a killed start left behind is stopped first, so that nothing holds the data.
claim_instance() {
  exec 8>"$RUN/lock"
  flock -w 3 8 || die "Another ./apron is at work on $RUN. Wait for it, or end it with ./apron stop."
  clear_leftovers
  port_busy "$PORT" && die "Port $PORT is taken by another program. Free it, or choose another: APRON_PORT=8090 ./apron start"
  rm -f "$RUN/run/stopping" "$RUN/run/restoring"
}

clear_leftovers() {
  local part
  for part in $PARTS; do
    if [ -n "$(part_processes $part)" ]; then say "Clearing up after a start that was cut short ($part)."; stop_part $part; fi
    rm -f "$RUN/run/$part.pid"
  done
  clear_browsers
}

# Browsers of a report that was cut short, and what they kept.
clear_browsers() {
  pkill -KILL -f -- "--user-data-dir=$RUN/tmp/apron-print-" 2>/dev/null || true
  rm -rf "$RUN"/tmp/apron-print-* 2>/dev/null || true
}

environment() {
  export APP_ENV=production APP_DEBUG=false APP_URL=$URL APP_KEY=$(app_key)
  export DB_HOST=127.0.0.1 DB_PORT=$DATABASE_PORT DB_DATABASE=apron DB_USERNAME=root DB_PASSWORD=$(secret database.password)
  export APRON_TMP=$RUN/tmp APRON_CACHE=$RUN/cache/store APRON_SESSIONS=$RUN/sessions
  export APRON_FILES=$RUN/files APRON_LOG=$RUN/log/apron.log APRON_MAIL=$RUN/log/mail.log VIEW_COMPILED_PATH=$RUN/cache/views
  export APP_CONFIG_CACHE=$RUN/cache/config.php APP_ROUTES_CACHE=$RUN/cache/routes.php APP_EVENTS_CACHE=$RUN/cache/events.php
  export APP_SERVICES_CACHE=$RUN/cache/services.php APP_PACKAGES_CACHE=$RUN/cache/packages.php
}

app_key() {
  [ -s "$RUN/app.key" ] || php -r 'echo "base64:".base64_encode(random_bytes(32));' > "$RUN/app.key"
  cat "$RUN/app.key"
}

# Made once, readable by the owner alone.
secret() {
  [ -s "$RUN/$1" ] || php -r 'echo bin2hex(random_bytes(24));' > "$RUN/$1"
  cat "$RUN/$1"
}

artisan() { php artisan "$@" </dev/null; }

raise_instance() {
  printf '%s' "$PORT" > "$RUN/port"
  step "Starting the database"
  start_database
  environment
  # The tests and the pictures begin with nothing but the demo; what a person works on is never dropped.
  keeps || database -e 'drop database if exists apron'
  create_database apron
  mkdir -p storage/framework/{views,sessions,cache} storage/logs "$RUN/cache/store" "$RUN/sessions"
  # php artisan config:clear reads the cached file first, which may be of another release.
  rm -f "$APP_CONFIG_CACHE" "$APP_ROUTES_CACHE" "$APP_EVENTS_CACHE"
  artisan migrate --force -q || die "The tables could not be made or brought forward. The words are in $RUN/log/apron.log"
  rm -f "$RUN/database.begun"
  artisan config:cache -q; artisan route:cache -q; artisan view:cache -q
  artisan apron:take-up -q
  step "Starting the web server and the queue workers"
  start_fpm; start_workers; start_nginx
  wait_until 30 "the page at $URL to answer" curl -fsS -o /dev/null "$URL/sign-in"
}

# One part that stopped by itself is started again; one that will not stay up takes the rest with it.
watch_instance() {
  local part; declare -A restarts=() since=()
  while [ ! -e "$RUN/run/stopping" ]; do
    # What is put back brings its parts up itself.
    if [ -e "$RUN/run/restoring" ]; then sleep 1 8>&- & wait $! || true; continue; fi
    for part in $PARTS; do
      alive $part && continue
      [ -e "$RUN/run/stopping" ] && return 0
      [ $((SECONDS - ${since[$part]:--61})) -gt 60 ] && { restarts[$part]=0; since[$part]=$SECONDS; }
      restarts[$part]=$((${restarts[$part]} + 1))
      [ ${restarts[$part]} -gt 5 ] && { say "A part of Apron ($part) does not stay up; its words are in $RUN/log."; return 1; }
      say "A part of Apron ($part) stopped by itself and is started again."
      stop_part $part
      case $part in
        database) start_database ;;
        queue) clear_browsers; artisan apron:take-up default -q || true; start_queue ;;
        runs|runs2) artisan apron:take-up runs -q || true; start_$part ;;
        *) start_$part ;;
      esac
    done
    sleep 1 8>&- & wait $! || true
  done
}

wait_until() {
  local seconds=$1 what=$2 end; shift 2
  end=$((SECONDS + seconds))
  until "$@" 2>/dev/null; do
    [ $SECONDS -lt $end ] || { tail -n 15 "$RUN"/log/*.log 2>/dev/null; die "Waited $seconds s for $what in vain. The logs are in $RUN/log."; }
    sleep 0.1
  done
}

# A part outlives who started it and so holds nothing of theirs open: neither a lock nor a pipe whose reader waits for its end.
apart() {
  local open
  for open in /proc/$BASHPID/fd/*; do
    open=${open##*/}
    [ "$open" -le 2 ] || eval "exec $open>&-"
  done
  exec setsid "$@"
}

start_database() {
  # Started again while the rest goes on, it is at the place where they look for it.
  [ -n "${DATABASE_PORT:-}" ] || DATABASE_PORT=$(free_port)
  local data=$RUN/database user=(); [ "$(id -u)" = 0 ] && user=(--user=root)
  # A first start that was cut short before its tables were made has nothing that anybody wrote, and is made again.
  if [ -e "$RUN/database.begun" ] || [ ! -e "$data/.made" ]; then
    touch "$RUN/database.begun"
    rm -rf "$data" "$RUN/database.password"; mkdir -p "$data"
    mariadb-install-db --no-defaults --datadir="$data" --auth-root-authentication-method=normal "${user[@]}" >"$RUN/log/database-install.log" 2>&1 \
      || { tail -n 20 "$RUN/log/database-install.log"; die "The database could not be made in $data"; }
    touch "$data/.made"
  fi
  # Set before the server listens: no moment without a password. Those of other hosts and of nobody are not needed.
  local password; password=$(secret database.password)
  cat > "$RUN/run/database.init.sql" <<SQL
alter user if exists 'root'@'localhost' identified by '$password';
create user if not exists 'root'@'127.0.0.1' identified by '$password';
alter user 'root'@'127.0.0.1' identified by '$password';
grant all on *.* to 'root'@'127.0.0.1' with grant option;
delete from mysql.global_priv where (user = '' or (user = 'root' and host not in ('localhost', '127.0.0.1')));
flush privileges;
SQL
  printf '[client]\nuser=root\npassword=%s\nprotocol=socket\nsocket=%s\n' "$password" "$RUN/run/database.sock" > "$RUN/run/database.cnf"
  local durable=1; keeps || durable=0
  rm -f "$RUN/run/database.sock"
  apart mariadbd --no-defaults "${user[@]}" --datadir="$data" --port="$DATABASE_PORT" --bind-address=127.0.0.1 --socket="$RUN/run/database.sock" \
    --init-file="$RUN/run/database.init.sql" --skip-name-resolve \
    --pid-file="$RUN/run/database.own.pid" --innodb-flush-log-at-trx-commit=$durable --max-allowed-packet=64M >"$RUN/log/database.log" 2>&1 &
  note_part database $!
  wait_until 60 "the database" database --silent -e 'do 1'
}

# The client, by the socket that its owner alone can reach.
database() { mariadb --defaults-file="$RUN/run/database.cnf" "$@"; }

create_database() { database -e "create database if not exists $1 character set utf8mb4 collate utf8mb4_bin"; }

start_fpm() {
  local who=""; [ "$(id -u)" = 0 ] && who=$'user = root\ngroup = root'
  cat > "$RUN/run/fpm.conf" <<CONF
[global]
error_log = $RUN/log/fpm.log
daemonize = no
[apron]
$who
listen = $RUN/run/fpm.sock
pm = static
pm.max_children = 4
clear_env = yes
$(fpm_environment)
catch_workers_output = yes
php_admin_value[opcache.validate_timestamps] = 1
php_admin_value[opcache.revalidate_freq] = 2
php_admin_value[realpath_cache_size] = 4M
php_admin_value[upload_max_filesize] = 512M
php_admin_value[post_max_size] = 513M
php_admin_value[memory_limit] = 512M
CONF
  rm -f "$RUN/run/fpm.sock"
  apart php-fpm8.2 --nodaemonize -R --fpm-config "$RUN/run/fpm.conf" -d opcache.jit=tracing "${LOOPS[@]}" -d opcache.memory_consumption=192 -d opcache.interned_strings_buffer=32 -d opcache.max_accelerated_files=20000 >"$RUN/log/fpm.out.log" 2>&1 &
  note_part fpm $!
  wait_until 20 "php-fpm" test -S "$RUN/run/fpm.sock"
}

# What the pages need to know, and nothing else of what the starter's shell holds.
fpm_environment() {
  local name
  for name in $(compgen -e | grep -E '^(APP|DB|APRON|REDIS|SESSION|CACHE|QUEUE|VIEW|BCRYPT)_' || true); do
    printf 'env[%s] = "%s"\n' "$name" "${!name}"
  done
}

start_nginx() {
  local who=""; [ "$(id -u)" = 0 ] && who="user root;"
  cat > "$RUN/run/nginx.conf" <<CONF
$who
daemon off;
worker_processes 1;
pid $RUN/run/nginx.own.pid;
error_log $RUN/log/nginx.log warn;
events { worker_connections 256; }
http {
  include /etc/nginx/mime.types;
  access_log off;
  server_tokens off;
  client_body_temp_path $RUN/tmp/body; proxy_temp_path $RUN/tmp/proxy; fastcgi_temp_path $RUN/tmp/fastcgi; uwsgi_temp_path $RUN/tmp/uwsgi; scgi_temp_path $RUN/tmp/scgi;
  client_max_body_size 513m;
  gzip on; gzip_comp_level 2; gzip_types text/css application/javascript application/json image/svg+xml; gzip_min_length 1024;
  server {
    listen 127.0.0.1:$PORT;
    root $ROOT/public;
    location /build/ { try_files \$uri =404; add_header Cache-Control "public, max-age=31536000, immutable"; }
    location / { try_files /nothing @apron; }
    location @apron {
      include /etc/nginx/fastcgi_params;
      fastcgi_param SCRIPT_FILENAME $ROOT/public/index.php;
      fastcgi_param SCRIPT_NAME /index.php;
      fastcgi_param HTTP_HOST \$http_host;
      fastcgi_pass unix:$RUN/run/fpm.sock;
      fastcgi_read_timeout 120;
      fastcgi_buffers 32 32k;
      fastcgi_buffer_size 64k;
    }
  }
}
CONF
  apart nginx -c "$RUN/run/nginx.conf" -e "$RUN/log/nginx.log" >"$RUN/log/nginx.out.log" 2>&1 &
  note_part nginx $!
}

start_workers() { start_queue; start_runs; start_runs2; }

start_queue() { start_worker queue default; }

# Walls through years of weather: two side by side, and no report waits for them.
start_runs() { start_worker runs runs; }

start_runs2() { start_worker runs2 runs; }

start_worker() {
  apart php "${JIT[@]}" artisan queue:work --queue="$2" --sleep=0.3 --tries=3 --timeout=180 </dev/null >"$RUN/log/$1.log" 2>&1 &
  note_part "$1" $!
}

stop_part() {
  local all; all=$(part_processes "$1")
  if [ -n "$all" ]; then
    # The master first: it lets its children finish what they are at. Orphans have none to ask.
    if alive "$1"; then kill -TERM "$(part_pid "$1")" 2>/dev/null || true; else kill -TERM $all 2>/dev/null || true; fi
    local end=$((SECONDS + 20))
    while [ -n "$(part_processes "$1")" ]; do
      if ! alive "$1"; then kill -TERM $(part_processes "$1") 2>/dev/null || true; fi
      [ $SECONDS -lt $end ] || { kill -KILL $(part_processes "$1") 2>/dev/null || true; break; }
      sleep 0.1
    done
  fi
  rm -f "$RUN/run/$1.pid"
}

stop_instance() {
  trap - EXIT INT TERM
  local part
  for part in $PARTS; do stop_part $part; done
  clear_browsers
}
