/** Letters of the tape's words are about so wide, px; a little more than they are, so that nothing touches an edge. */
const LETTER_PX = 7.6
/** Beside the words. */
const ROOM_PX = 12
/** A piece that shows a lesson has two small lines, every other one. */
const LINES = { show: 2, other: 1 }

/** Whether all of it can be read on a piece so wide: words are not broken. */
export function fits(title: string, kind: string, px: number): boolean {
    const letters = Math.floor((px - ROOM_PX) / LETTER_PX)
    let left = kind === 'show' ? LINES.show : LINES.other
    let used = letters
    for (const word of title.split(' ')) {
        if (word.length > letters) return false
        if (used + 1 + word.length <= letters) {
            used += 1 + word.length
        } else {
            if (left === 0) return false
            left -= 1
            used = word.length
        }
    }
    return true
}

/** What stands on each piece: its words, or the number under which they stand below the tape. */
export function tapeWords(pieces: { title: string; kind: string; from: number; to: number }[], long: number, px: number): (number | null)[] {
    let next = 0
    // Not measured yet: everything is written, as it is without a screen.
    return pieces.map((p) => (px === 0 || fits(p.title, p.kind, ((p.to - p.from) / long) * px) ? null : (next += 1)))
}
