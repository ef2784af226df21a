import type { View } from '../../api/client'
import type { Unit } from '../../text/lengths'

type Field = View['FieldView']

/** One value of a sheet: a column of the grid. */
export interface Column {
    field: Field
    index: number
    /** Of the row of the sampler it stands in. */
    row: string
}

/** Every value that is read of a lesson, in the order of its sheet. */
export const columnsOf = (lesson: View['LessonView']): Column[] =>
    lesson.rows.flatMap((r) => r.fields.flatMap((field) => Array.from({ length: field.size }, (_, index) => ({ field, index, row: r.id }))))

/** Whether what was typed answers the question by itself, so that the hand need not say that it is done. */
export const isAnswer = ({ kind }: Field, typed: string): boolean =>
    (kind === 'yes-no' && /^[yn10]$/i.test(typed)) || (kind === 'choice' && /^[1-9]$/.test(typed))

/** What is typed in a cell as it is sent: yes and no by letter, steps by their number from 1. */
export function sent({ kind, options }: Field, typed: string): string {
    const text = typed.trim().toLowerCase()
    if (kind === 'yes-no') return { y: '1', n: '0' }[text] ?? text
    if (kind === 'choice') return /^[1-9]$/.test(text) && Number(text) <= options.length ? String(Number(text) - 1) : text
    return typed.trim()
}

/** Faults by their numbers on the sheet: "1 3"; null where one of them is none. */
export function faultsOf(faults: readonly { id: string }[], typed: string): string[] | null {
    const numbers = typed.split(/[\s,;]+/).filter((n) => n !== '')
    const found = numbers.map((n) => (/^\d+$/.test(n) ? faults[Number(n) - 1]?.id : undefined))
    return found.some((f) => f === undefined) ? null : found.filter((f) => f !== undefined)
}

/** What a column wants, for a field's title. */
export const wants = ({ field, index }: Column, unit: Unit): string =>
    field.kind === 'yes-no' ? 'y / n' : field.kind === 'choice' ? `1–${field.options.length}` : field.values[index]?.length === true ? unit : ''
