#!/usr/bin/env bash
# A full kitchen backed up and put back: backup.sh, with the instance named and open. Prints "backup SECONDS MB_OF_MEMORY MB_OF_FILE" and "restore SECONDS MB_OF_MEMORY".
measured() { # measured WORD ARTISAN…: its seconds and the most memory PHP had
  local word=$1 since=$EPOCHREALTIME said
  shift
  environment
  said=$(cd "$APP_HOME" && as "$WEB_USER" php -d memory_limit=128M -d "auto_prepend_file=$ROOT/bench/most-memory.php" artisan "$@" --no-ansi)
  php -r 'printf("%s %.1f %s\n", $argv[1], $argv[2] - $argv[3], trim(strrchr($argv[4], "~"), "~\n"));' "$word" "$EPOCHREALTIME" "$since" "$said"
}
measured backup kitchen:backup
file=$(find "$DIR/storage/app/backups" -name '*.by-hand.zip' -printf '%T@ %p\n' | sort -n | tail -n1 | cut -d' ' -f2-)
echo "file $(stat -c %s "$file")"
measured restore kitchen:restore "$file" --replace
