import type { View } from '../../../api/client'

/** A lesson as it stands in a course bundle, and its parts: all from the bundle's own schema. */
export type DraftLesson = View['BundleLesson']
export type DraftRow = View['BundleRow']
export type DraftPath = View['BundlePath']
export type DraftReading = View['BundleReading']
export type DraftCheck = View['BundleCheck']
export type DraftPiece = DraftLesson['sampler']['pieces'][number]
export type DraftSetting = DraftLesson['settings'][number]
type Showing = NonNullable<DraftLesson['demonstration']>
/** One act of showing it: what is shown, said and watched for. */
export type DraftAct = Showing['acts'][number]
export type DraftMistake = NonNullable<DraftLesson['mistakes']>[number]
export type Band = NonNullable<DraftCheck['met']>

/** Right and down on its piece, mm. */
export type Pair = [number, number]

/** A point as the schema has it, a list of two. */
export const pair = (p: readonly number[] | undefined): Pair => [p?.[0] ?? 0, p?.[1] ?? 0]

/** The lesson with one of its rows changed. */
export function withRow(lesson: DraftLesson, id: string, change: (row: DraftRow) => DraftRow): DraftLesson {
    return { ...lesson, sampler: { ...lesson.sampler, rows: lesson.sampler.rows.map((r) => (r.id === id ? change(r) : r)) } }
}

/** Lines of words, one thing each; a picture stays with its step where steps come, go or change places. */
export function withLines(lesson: DraftLesson, name: 'steps' | 'teaching_points' | 'cautions', list: string[]): DraftLesson {
    if (name !== 'steps') return { ...lesson, [name]: list }
    const was = lesson.step_pictures ?? []
    if (was.length === 0) return { ...lesson, steps: list }
    const same = list.length === lesson.steps.length
    const pictures = list.map((step, i) => was[lesson.steps.indexOf(step)] ?? (same ? was[i] : undefined) ?? null)
    return { ...lesson, steps: list, step_pictures: pictures }
}

const to = (mm: number) => Math.round(mm * 100) / 100
const moved = (p: readonly number[] | undefined, dx: number, dy: number): Pair => [to(pair(p)[0] + dx), to(pair(p)[1] + dy)]

/** The row so much further right and down on its piece, mm. */
export function moveRow(row: DraftRow, dx: number, dy: number): DraftRow {
    const path = row.path
    if (path === undefined) return row
    switch (path.run) {
        case 'edge': {
            const distance = Math.max(0.5, to((path.distance_mm ?? 0) + (path.edge === 'left' ? dx : -dx)))
            return { ...row, path: { ...path, distance_mm: distance, from_mm: Math.max(0, to((path.from_mm ?? 0) + dy)), to_mm: to((path.to_mm ?? 0) + dy) } }
        }
        case 'line':
            return { ...row, path: { ...path, through: (path.through ?? []).map((p) => moved(p, dx, dy)) } }
        case 's-curve':
            return { ...row, path: { ...path, from: moved(path.from, dx, dy), to: moved(path.to, dx, dy) } }
        case 'square-spiral':
            return { ...row, path: { ...path, margin_mm: Math.max(0.5, to((path.margin_mm ?? 0) + dx)) } }
        default:
            return { ...row, path: { ...path, centre: moved(path.centre, dx, dy) } }
    }
}

export interface Handle {
    /** On the row's own piece, mm. */
    at: Pair
    name: string
    move: (row: DraftRow, dx: number, dy: number) => DraftRow
}

/** Ends and corners of a row that can be taken hold of. */
export function handles(row: DraftRow, pieceWidth: number): Handle[] {
    const path = row.path
    if (path?.run === 'edge') {
        const x = path.edge === 'left' ? (path.distance_mm ?? 0) : pieceWidth - (path.distance_mm ?? 0)
        return (['from_mm', 'to_mm'] as const).map((end) => ({
            at: [x, path[end] ?? 0],
            name: end,
            move: (r, _dx, dy) => ({ ...r, path: { ...(r.path ?? path), [end]: Math.max(0, to((path[end] ?? 0) + dy)) } }),
        }))
    }
    if (path?.run === 'line' && (path.through ?? []).length <= 12) {
        return (path.through ?? []).map((p, i) => ({
            at: pair(p),
            name: String(i),
            move: (r, dx, dy) => ({ ...r, path: { ...(r.path ?? path), through: (path.through ?? []).map((q, k) => (k === i ? moved(p, dx, dy) : q)) } }),
        }))
    }
    if (path?.run === 's-curve') {
        return (['from', 'to'] as const).map((end) => ({
            at: pair(path[end]),
            name: end,
            move: (r, dx, dy) => ({ ...r, path: { ...(r.path ?? path), [end]: moved(path[end], dx, dy) } }),
        }))
    }
    return []
}

/** A number at a place such as "sampler.rows[0].checks[1].target_mm". */
export function put(lesson: DraftLesson, place: string, value: number): DraftLesson {
    const steps = place.replaceAll(/\[(\d+)\]/g, '.$1').split('.')
    const set = (at: unknown, i: number): unknown => {
        const step = steps[i]
        if (step === undefined) return value
        if (Array.isArray(at)) return at.map((x: unknown, k) => (k === Number(step) ? set(x, i + 1) : x))
        const old = at as Record<string, unknown>
        const next = { ...old, [step]: set(old[step], i + 1) }
        // What a check allows is said anew from its numbers.
        if (i === steps.length - 1 && 'allows' in next) delete next.allows
        return next
    }
    return set(lesson, 0) as DraftLesson
}
