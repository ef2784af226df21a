/** What a check, or a whole sample, says. */
export const VERDICT_WORDS = { met: 'common.met', near: 'common.near', 'not-yet': 'common.notYet', unsure: 'common.tooCloseToCall' } as const
