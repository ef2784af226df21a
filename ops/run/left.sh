# A program that was killed leaves its children behind, holding ports and sockets: they are ended before it starts again.
# clear_left FOLDER NAME PROCESS: FOLDER/NAME.group holds the process group of the run before.
clear_left() {
    local file="$1/$2.group" group stat pid comm pgrp rest
    if [ -s "$file" ]; then
        group=$(cat "$file")
        for stat in /proc/[0-9]*/stat; do
            read -r pid comm _ _ pgrp rest 2>/dev/null <"$stat" || continue
            [ "$pgrp" = "$group" ] && [ "$pid" != "$$" ] && [[ "$comm" == "($3"* ]] && kill -9 "$pid" 2>/dev/null
        done
    fi
    echo "$$" >"$file"
}
