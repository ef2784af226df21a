import { fraction, inches, mm, toNumber } from './numbers'

export type Unit = 'mm' | 'in'

const MM_IN = 25.4
/** A length as it is typed in the reader's unit ("15.5", "15,5", "5/8", "1 1/4"), in mm; null while it is none. */
export function readLength(typed: string, unit: Unit): number | null {
    const value = unit === 'in' ? inches(typed) : toNumber(typed)
    return value === null || unit === 'mm' ? value : value * MM_IN
}

/** A length of the core in the reader's unit, without its name: tenths of a millimetre, or sixteenths of an inch. */
export const bare = (value: number, unit: Unit): string => (unit === 'mm' ? mm(value, 1) : fraction(Math.round((value / MM_IN) * 16)).replace('-', '−'))

/** The same with its unit behind. */
export const length = (value: number, unit: Unit): string => `${bare(value, unit)} ${unit}`

const YARD_M = 0.9144
const BARS_IN = [0.25, 0.5, 0.75, 1, 2, 3, 4, 6, 8, 12]

/** What cloth is bought by: metres, or yards. */
export const clothBy = (unit: Unit): { name: string; metres: number } => (unit === 'in' ? { name: 'yd', metres: YARD_M } : { name: 'm', metres: 1 })

/** So much cloth, never less than is needed: tenths of a metre, or eighths of a yard. */
export function cloth(metres: number, unit: Unit): string {
    return unit === 'in' ? `${fraction(Math.ceil((metres / YARD_M) * 8 - 1e-6) * 2)} yd` : `${mm(Math.ceil(metres * 10 - 1e-6) / 10, 1)} m`
}

/** Thread that a row takes: metres, or yards. */
export const thread = (value: number, unit: Unit): string => `${mm(value / 1000 / clothBy(unit).metres, 2)} ${clothBy(unit).name}`

/** How wide cloth lies: centimetres, or inches. */
export const wide = (value: number, unit: Unit): string => (unit === 'in' ? `${mm(value / MM_IN, 0)} in` : `${mm(value / 10)} cm`)

/** A small difference, finer than a ruler is read: hundredths of a millimetre, or of an inch. */
export const fine = (value: number, unit: Unit): string => (unit === 'in' ? `${mm(value / MM_IN, 3)} in` : `${mm(value)} mm`)

/** A bar to read a drawing's scale by, about so long: a whole length of the reader's own ruler. */
export function bar(about: number, unit: Unit): { mm: number; label: string } {
    if (unit === 'mm') return { mm: about, label: `${about} mm` }
    const found = BARS_IN.filter((i) => i * MM_IN <= about * 1.1).at(-1) ?? 0.125
    return { mm: found * MM_IN, label: `${fraction(found * 16)} in` }
}
