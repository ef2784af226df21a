import type { View } from '../api/client'

/** Lessons that the session in hand demonstrates, in their order. */
export function demosOf(today: View['TodayView'] | undefined): readonly string[] {
    const shown = today?.session?.tape.filter((p) => p.kind === 'show').flatMap((p) => (p.lesson === null ? [] : [p.lesson])) ?? []
    return [...new Set(shown)]
}
