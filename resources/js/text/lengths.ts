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
