import { toNumber } from '../../text/numbers'
import type { Key } from '../../text/words'

/** The most that a price, an hour or a year's times can be. */
export const MOST = { price: 100_000, times: 10_000 }

/** What is typed as a number in its range; null where nothing is typed yet, or something else. */
export function numberIn(typed: string, most: number): number | null {
    const n = typed.trim() === '' ? null : toNumber(typed)
    return n !== null && n >= 0 && n <= most ? n : null
}

/** What is typed for each kind or wish, as numbers; what is none is left out. */
export function numbersOf(typed: Record<string, string>, of: string[], most: number): Record<string, number> {
    return Object.fromEntries(
        of.flatMap((id) => {
            const n = numberIn(typed[id] ?? '', most)
            return n === null ? [] : [[id, n]]
        }),
    )
}

export type Worth = 'here' | 'worth-it' | 'in-time' | 'not-worth' | 'unweighed'

export const WORTH_WORDS: Record<Worth, Key> = {
    here: 'workshop.worthHere',
    'worth-it': 'workshop.worthIt',
    'in-time': 'workshop.worthInTime',
    'not-worth': 'workshop.notWorth',
    unweighed: 'workshop.unweighed',
}

/** Minutes of a year, in hours where there are some. */
export function hours(minutes: number): { h: number; min: number } {
    const whole = Math.round(minutes)
    return { h: Math.floor(whole / 60), min: whole % 60 }
}
