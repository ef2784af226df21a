import type { View } from '../../api/client'
import type { Pictures } from '../../api/pictures'

/** One thing on the screen at the front. */
export type Slide =
    | { kind: 'lesson' }
    | { kind: 'act'; act: View['LessonView']['acts'][number]; picture: View['PictureView'] | undefined; n: number; of: number }
    | { kind: 'steps' }

/** A lesson as it is shown: what it is, its acts one after another, and what everybody does then. */
export function slidesOf(lesson: View['LessonView'], pictures: Pictures | undefined): readonly Slide[] {
    const acts = lesson.acts.map((act, i): Slide => ({ kind: 'act', act, picture: pictures?.acts[i], n: i + 1, of: lesson.acts.length }))
    return [{ kind: 'lesson' }, ...acts, ...(lesson.steps.length > 0 ? [{ kind: 'steps' } as const] : [])]
}

export interface Shown {
    lesson: string
    at: number
    begun_at: string | null
}

/**
 * One further or back, over the ends of a lesson into the next one; null where there is none.
 * The minutes of a demonstration run from its first act.
 */
export function turned(shown: Shown, by: 1 | -1, lengths: ReadonlyMap<string, number>, order: readonly string[], now: string): Shown | null {
    const at = shown.at + by
    const here = order.indexOf(shown.lesson)
    if (at >= (lengths.get(shown.lesson) ?? 1)) {
        const next = order[here + 1]
        return next === undefined ? null : { lesson: next, at: 0, begun_at: null }
    }
    if (at < 0) {
        const before = here > 0 ? order[here - 1] : undefined
        return before === undefined ? null : { lesson: before, at: (lengths.get(before) ?? 1) - 1, begun_at: shown.begun_at }
    }
    return { ...shown, at, begun_at: at === 1 && by === 1 && shown.begun_at === null ? now : shown.begun_at }
}
