/** Whether a student is there, in words. */
export const STATES = ['here', 'late', 'absent', 'left'] as const
export const STATE_WORDS = { here: 'common.here', late: 'common.late', absent: 'common.absent', left: 'common.hasLeft' } as const
