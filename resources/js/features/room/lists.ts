import type { View } from '../../api/client'
import { bare, readLength, type Unit } from '../../text/lengths'

/** Numbers with blanks between; a comma inside one is a decimal comma. What is no number is sent as typed, so that it can be named. */
export function readList(typed: string): number[] {
    return typed
        .split(/[;\s]+/)
        .filter((part) => part !== '')
        .map((part) => {
            const text = part.replace(',', '.').replace('−', '-').replace(/\.$/, '')
            return Number.isFinite(Number(text)) ? Number(text) : (part as unknown as number)
        })
}

export function listText(numbers: readonly number[]): string {
    return numbers.map(String).join('  ')
}

/** "3.5 × 2 III; 5 × 2.5 IIII" */
export function readFixed(typed: string): View['MachineFacts']['fixed_zigzags'] {
    return typed
        .split(';')
        .map((part) => part.trim())
        .filter((part) => part !== '')
        .map((part) => {
            const found = /^([\d.,]+)\s*[×x*]\s*([\d.,]+)\s*(.*)$/.exec(part)
            return {
                width_mm: Number((found?.[1] ?? part).replace(',', '.')),
                length_mm: Number((found?.[2] ?? '0').replace(',', '.')),
                name: found?.[3] ?? part,
            }
        })
}

/** Distances by ruler as they are typed in the reader's unit. */
export const lengthsText = (of: readonly number[], unit: Unit): string => (unit === 'mm' ? listText(of) : of.map((n) => bare(n, 'in')).join('; '))

export const readLengths = (typed: string, unit: Unit): number[] =>
    unit === 'mm'
        ? readList(typed)
        : typed
              .split(/[;,]/)
              .filter((n) => n.trim() !== '')
              .map((n) => readLength(n, 'in') ?? Number.NaN)
