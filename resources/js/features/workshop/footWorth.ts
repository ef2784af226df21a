import { toNumber } from '../../text/numbers'
import type { Key } from '../../text/words'

/** What is typed for each kind or wish, as numbers; what is none yet is left out. */
export function numbersOf(typed: Record<string, string>, of: string[]): Record<string, number> {
    return Object.fromEntries(
        of.flatMap((id) => {
            const n = (typed[id] ?? '').trim() === '' ? null : toNumber(typed[id] ?? '')
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
