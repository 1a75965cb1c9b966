# An instance: MariaDB, php-fpm, nginx, a queue worker, each on loopback, with its data under storage/apron/NAME.

use_instance() {
  NAME=$1 PORT=$2 RUN=$ROOT/storage/apron/$1
  URL=http://127.0.0.1:$PORT
  mkdir -p "$RUN"/{run,log,files,tmp,cache/views} 2>/dev/null && [ -w "$RUN/run" ] \
    || die "$ROOT/storage cannot be written. Apron keeps its database and photographs there; make it writable for $(id -un)."
  [ "$NAME" = start ] && [ -f "$RUN/port" ] && [ -z "${APRON_PORT:-}" ] && running && PORT=$(cat "$RUN/port") && URL=http://127.0.0.1:$PORT
  return 0
}

free_port() { php -r '$s = stream_socket_server("tcp://127.0.0.1:0"); $n = stream_socket_get_name($s, false); echo substr($n, strrpos($n, ":") + 1);'; }

port_busy() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

alive() { [ -f "$RUN/run/$1.pid" ] && kill -0 "$(cat "$RUN/run/$1.pid")" 2>/dev/null; }

running() { alive database && alive fpm && alive nginx && alive queue; }

# What a killed start left behind is stopped first, so that nothing holds the data.
claim_instance() {
  exec 8>"$RUN/lock"
  flock -w 3 8 || die "Another ./apron is at work on $RUN. Wait for it, or end it with ./apron stop."
  local part
  for part in queue nginx fpm database; do
    if alive $part; then say "Clearing up after a start that was cut short ($part)."; stop_part $part; fi
    rm -f "$RUN/run/$part.pid"
  done
  port_busy "$PORT" && die "Port $PORT is taken by another program. Free it, or choose another: APRON_PORT=8090 ./apron start"
  rm -f "$RUN/run/stopping"
  printf '%s' "$PORT" > "$RUN/port"
}

environment() {
  export APP_ENV=production APP_DEBUG=false APP_URL=$URL APP_KEY=$(app_key)
  export DB_HOST=127.0.0.1 DB_PORT=$DATABASE_PORT DB_DATABASE=apron DB_USERNAME=root DB_PASSWORD=
  export APRON_FILES=$RUN/files APRON_LOG=$RUN/log/apron.log VIEW_COMPILED_PATH=$RUN/cache/views
  export APP_CONFIG_CACHE=$RUN/cache/config.php APP_ROUTES_CACHE=$RUN/cache/routes.php APP_EVENTS_CACHE=$RUN/cache/events.php
  export APP_SERVICES_CACHE=$RUN/cache/services.php APP_PACKAGES_CACHE=$RUN/cache/packages.php
}

app_key() {
  [ -s "$RUN/app.key" ] || php -r 'echo "base64:".base64_encode(random_bytes(32));' > "$RUN/app.key"
  cat "$RUN/app.key"
}

artisan() { php artisan "$@" </dev/null; }

raise_instance() {
  step "Starting the database"
  start_database
  environment
  # The tests and the pictures begin with nothing but the demo; what a person works on is never dropped.
  [ "$NAME" = start ] || mariadb --no-defaults -h127.0.0.1 -P"$DATABASE_PORT" -uroot -e 'drop database if exists apron'
  create_database apron
  mkdir -p storage/framework/{views,sessions,cache} storage/logs
  artisan config:clear -q
  artisan migrate --force -q
  artisan config:cache -q; artisan route:cache -q; artisan view:cache -q
  step "Starting the web server and the queue worker"
  start_fpm; start_queue; start_nginx
  wait_until 30 "the page at $URL to answer" curl -fsS -o /dev/null "$URL/sign-in"
}

wait_until() {
  local seconds=$1 what=$2 end; shift 2
  end=$((SECONDS + seconds))
  until "$@" 2>/dev/null; do
    [ $SECONDS -lt $end ] || { tail -n 15 "$RUN"/log/*.log 2>/dev/null; die "Waited $seconds s for $what in vain. The logs are in $RUN/log."; }
    sleep 0.1
  done
}

start_database() {
  DATABASE_PORT=$(free_port)
  local data=$RUN/database user=(); [ "$(id -u)" = 0 ] && user=(--user=root)
  # A first start that was killed while the tables were made leaves no marker, and is made again.
  if [ ! -e "$data/.made" ]; then
    rm -rf "$data"; mkdir -p "$data"
    mariadb-install-db --no-defaults --datadir="$data" --auth-root-authentication-method=normal "${user[@]}" >"$RUN/log/database-install.log" 2>&1 \
      || { tail -n 20 "$RUN/log/database-install.log"; die "The database could not be made in $data"; }
    touch "$data/.made"
  fi
  local durable=1; [ "$NAME" = start ] || durable=0
  mariadbd --no-defaults "${user[@]}" --datadir="$data" --port="$DATABASE_PORT" --bind-address=127.0.0.1 --socket="$RUN/run/database.sock" \
    --pid-file="$RUN/run/database.own.pid" --innodb-flush-log-at-trx-commit=$durable --max-allowed-packet=64M 8>&- 9>&- >"$RUN/log/database.log" 2>&1 &
  echo $! > "$RUN/run/database.pid"
  wait_until 60 "the database" mariadb --no-defaults -h127.0.0.1 -P"$DATABASE_PORT" -uroot --silent -e 'do 1'
}

create_database() {
  mariadb --no-defaults -h127.0.0.1 -P"$DATABASE_PORT" -uroot -e "create database if not exists $1 character set utf8mb4 collate utf8mb4_bin"
}

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
clear_env = no
catch_workers_output = yes
php_admin_value[opcache.validate_timestamps] = 1
php_admin_value[opcache.revalidate_freq] = 1
php_admin_value[upload_max_filesize] = 512M
php_admin_value[post_max_size] = 513M
php_admin_value[memory_limit] = 512M
CONF
  php-fpm8.2 --nodaemonize -R --fpm-config "$RUN/run/fpm.conf" -d opcache.jit=tracing -d opcache.jit_buffer_size=64M -d opcache.memory_consumption=192 8>&- 9>&- >"$RUN/log/fpm.out.log" 2>&1 &
  echo $! > "$RUN/run/fpm.pid"
  wait_until 20 "php-fpm" test -S "$RUN/run/fpm.sock"
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
  client_body_temp_path $RUN/tmp/body; proxy_temp_path $RUN/tmp/proxy; fastcgi_temp_path $RUN/tmp/fastcgi; uwsgi_temp_path $RUN/tmp/uwsgi; scgi_temp_path $RUN/tmp/scgi;
  client_max_body_size 513m;
  gzip on; gzip_comp_level 6; gzip_types text/css application/javascript application/json image/svg+xml; gzip_min_length 1024;
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
  nginx -c "$RUN/run/nginx.conf" -e "$RUN/log/nginx.log" 8>&- 9>&- >"$RUN/log/nginx.out.log" 2>&1 &
  echo $! > "$RUN/run/nginx.pid"
}

start_queue() {
  php -d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M artisan queue:work --sleep=0.3 --tries=1 --timeout=180 8>&- 9>&- </dev/null >"$RUN/log/queue.log" 2>&1 &
  echo $! > "$RUN/run/queue.pid"
}

stop_part() {
  local pid; pid=$(cat "$RUN/run/$1.pid" 2>/dev/null) || return 0
  kill -TERM "$pid" 2>/dev/null || true
  local end=$((SECONDS + 20))
  while kill -0 "$pid" 2>/dev/null; do
    [ $SECONDS -lt $end ] || { kill -KILL "$pid" 2>/dev/null || true; break; }
    sleep 0.1
  done
  rm -f "$RUN/run/$1.pid"
}

stop_instance() {
  trap - EXIT INT TERM
  local part
  for part in queue nginx fpm database; do stop_part $part; done
}
