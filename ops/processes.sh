# shellcheck shell=bash
# Which processes are this instance's own: by the path they were started with, their number and the moment they began. A number alone is
# given to somebody else after a while, and after every reboot. Sourced after lib.sh.

began() { # began PID: when it began, in ticks since the machine did; empty when there is no such process
  sed 's/^.*) //' "/proc/$1/stat" 2>/dev/null | cut -d' ' -f20
}

is_running() { # is_running PID: there, and no zombie that only waits to be counted
  [ -d "/proc/$1" ] && [ "$(sed 's/^.*) //' "/proc/$1/stat" 2>/dev/null | cut -c1)" != Z ]
}

alive() { # alive PIDFILE PATH: is the recorded process running, and is it the one that was started for this path?
  local pid noted
  [ -s "$1" ] || return 1
  pid=$(head -n1 "$1" 2>/dev/null) || return 1
  [[ "$pid" =~ ^[0-9]+$ ]] && is_running "$pid" || return 1
  tr '\0' ' ' <"/proc/$pid/cmdline" 2>/dev/null | grep -qF -- "$2" || return 1
  noted=$(sed -n "s/^$pid //p" "$1.began" 2>/dev/null || true)
  [ -z "$noted" ] || [ "$noted" = "$(began "$pid")" ]
}

note_process() { # note_process PIDFILE: writes down when it began
  local pid
  pid=$(head -n1 "$1")
  printf '%s %s\n' "$pid" "$(began "$pid")" >"$1.began"
}

stop_pid() { # stop_pid PIDFILE PATH SIGNAL: only a process that is ours
  alive "$1" "$2" || { rm -f "$1" "$1.began"; return 0; }
  local pid i
  pid=$(head -n1 "$1")
  kill -"$3" "$pid" 2>/dev/null || true
  for i in $(seq 50); do
    is_running "$pid" || break
    sleep 0.1
  done
  is_running "$pid" && kill -KILL "$pid" 2>/dev/null
  rm -f "$1" "$1.began"
}

# What a master leaves behind that was killed: workers go on, and hold the address and the socket.
orphans() { # orphans: numbers of workers of this instance
  local process pid line
  for process in /proc/[0-9]*; do
    pid=${process#/proc/}
    # it may end between the two looks
    line=$({ tr '\0' ' ' <"$process/cmdline"; } 2>/dev/null) || continue
    case "$line" in
      "php-fpm: pool $POOL"*) echo "$pid" ;;
      "nginx: worker process"*) find "$process/fd" -lname "$RUN/nginx-error.log" 2>/dev/null | grep -q . && echo "$pid" ;;
      "postgres: "*) [ "$(readlink "$process/cwd" 2>/dev/null)" = "$PG_DATA" ] && echo "$pid" ;;
    esac
  done
  return 0
}

sweep() { # sweep WORD: ends the workers of a kind (php-fpm, nginx, postgres) whose master is gone
  local pid i
  for i in 1 2 3; do
    local left=()
    for pid in $(orphans); do
      tr '\0' ' ' <"/proc/$pid/cmdline" 2>/dev/null | grep -q "^$1" && left+=("$pid")
    done
    [ "${#left[@]}" -eq 0 ] && return
    kill -"$([ "$i" -eq 1 ] && echo QUIT || echo KILL)" "${left[@]}" 2>/dev/null || true
    sleep 0.3
  done
}
