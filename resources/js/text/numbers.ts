/** Comma or point; null while it is no number. */
export function toNumber(typed: string): number | null {
    const text = typed.trim().replace(',', '.').replace('−', '-')
    return text !== '' && Number.isFinite(Number(text)) ? Number(text) : null
}

/** Shown numbers: two decimals at most, with a real minus. */
export function mm(value: number, digits = 2): string {
    return String(Math.round(value * 10 ** digits) / 10 ** digits).replace('-', '−')
}

const FRACTION = /^([-−])?(?:(\d+)[ -]+)?(?:(\d+)\/(\d+)|(\d*[.,]?\d+))?$/

/** A length in inches as it is typed ("1 5/8", "5/8", "0.5"), one sixteenth and more up or down, as the lowest fraction. */
export function stepSixteenths(typed: string, up: number, mayBeNegative: boolean): string {
    const [, minus, whole, over, under, plain] = FRACTION.exec(typed.trim()) ?? []
    const inches = Number(whole ?? 0) + (over !== undefined ? Number(over) / Number(under) : Number((plain ?? '0').replace(',', '.')))
    const sixteenths = Math.max(mayBeNegative ? -9999 : 0, Math.round(inches * 16) * (minus === undefined ? 1 : -1) + up)
    const [n, rest] = [Math.floor(Math.abs(sixteenths) / 16), Math.abs(sixteenths) % 16]
    let [part, parts] = [rest, 16]
    while (part > 0 && part % 2 === 0) {
        part /= 2
        parts /= 2
    }
    return `${sixteenths < 0 ? '-' : ''}${n > 0 || rest === 0 ? n : ''}${n > 0 && rest > 0 ? ' ' : ''}${rest > 0 ? `${part}/${parts}` : ''}`
}

/** A number as it is typed, so many steps up or down within its bounds; what is no number yet counts as nothing. */
export function stepNumber(typed: string, up: number, step: number, min: number, max: number): number {
    return Math.min(max, Math.max(min, (toNumber(typed) ?? 0) + up * step))
}
