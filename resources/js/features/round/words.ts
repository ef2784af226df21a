import { VERDICT_WORDS } from '../../text/verdicts'
import type { Key } from '../../text/words'

/** How a sample came out, in a word; also one that waits to be judged. */
export const WORDS: Partial<Record<string, Key>> = { ...VERDICT_WORDS, waits: 'common.waitsForTheLine' }
