import type { Key } from '../../text/words'

/** How a sample came out, in a word. */
export const WORDS: Partial<Record<string, Key>> = {
    met: 'common.met',
    near: 'common.near',
    'not-yet': 'common.notYet',
    unsure: 'common.tooCloseToCall',
    waits: 'common.waitsForTheLine',
}
