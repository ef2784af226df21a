/** Letters of the tape's words are about so wide where nothing can be measured, px. */
const LETTER_PX = 7.6
const FIGURES_PX = 15
/** Beside the words: what a piece keeps free at its sides. */
const ROOM_PX = { settle: 6, show: 12, other: 17 }
/** A piece that shows a lesson has two small lines, every other one. */
const LINES = { show: 2, other: 1 }

/** How wide words are, as the page writes them. */
export function measure(): (words: string) => number {
    const pen = document.createElement('canvas').getContext('2d')
    if (pen === null) return (words) => words.length * LETTER_PX
    pen.font = `${FIGURES_PX}px ${getComputedStyle(document.body).fontFamily}`
    return (words) => pen.measureText(words).width
}

/** Whether all of it can be read on a piece so wide: words are not broken. */
export function fits(title: string, kind: string, px: number, wide: (words: string) => number): boolean {
    const room = px - (kind === 'settle' ? ROOM_PX.settle : kind === 'show' ? ROOM_PX.show : ROOM_PX.other)
    let left = kind === 'show' ? LINES.show : LINES.other
    let line = ''
    for (const word of title.split(' ')) {
        const longer = line === '' ? word : `${line} ${word}`
        if (wide(word) > room) return false
        if (line !== '' && wide(longer) <= room) {
            line = longer
        } else {
            if (left === 0) return false
            left -= 1
            line = word
        }
    }
    return true
}

/** What stands on each piece: its words, or the number under which they stand below the tape. */
export function tapeWords(
    pieces: { title: string; kind: string; from: number; to: number }[],
    long: number,
    px: number,
    wide: (words: string) => number,
): (number | null)[] {
    let next = 0
    // Not measured yet: everything is written, as it is without a screen.
    return pieces.map((p) => (px === 0 || fits(p.title, p.kind, ((p.to - p.from) / long) * px, wide) ? null : (next += 1)))
}
