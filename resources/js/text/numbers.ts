/** The first of each run of ten digits that keyboards have: Arabic, Persian, Devanagari, full-width. */
const ZEROS = [0x660, 0x6f0, 0x966, 0xff10]
const MARKS: Record<string, string> = { '．': '.', '，': ',', '٫': '.', '／': '/', '－': '-', '\u3000': ' ' }

/** What is typed in plain digits and marks, whatever keyboard it was typed on. */
function inPlain(typed: string): string {
    return typed
        .replace(/[．，٫／－\u3000]/g, (mark) => MARKS[mark] ?? mark)
        .replace(/\p{Nd}/gu, (digit) => {
            const zero = ZEROS.find((z) => (digit.codePointAt(0) ?? 0) >= z && (digit.codePointAt(0) ?? 0) < z + 10)
            return zero === undefined ? digit : String((digit.codePointAt(0) ?? 0) - zero)
        })
}

/** Comma or point; null while it is no number. */
export function toNumber(typed: string): number | null {
    const text = inPlain(typed).trim().replace(',', '.').replace('−', '-')
    return text !== '' && Number.isFinite(Number(text)) ? Number(text) : null
}

/** Shown numbers: two decimals at most, with a real minus. */
export function mm(value: number, digits = 2): string {
    return String(Math.round(value * 10 ** digits) / 10 ** digits).replace('-', '−')
}

const FRACTION = /^([-−])?(?:(\d+)[ -]+)?(?:(\d+)\/(\d+)|(\d*[.,]?\d+[.,]?))?$/

/** Inches as they are typed ("1 5/8", "5/8", "0.5"); null while they are none. */
export function inches(typed: string): number | null {
    const found = FRACTION.exec(inPlain(typed).trim())
    const [, minus, whole, over, under, plain] = found ?? []
    if (over === undefined && plain === undefined) return null
    const value = Number(whole ?? 0) + (over !== undefined ? Number(over) / Number(under) : Number((plain ?? '0').replace(',', '.')))
    return Number.isFinite(value) ? (minus === undefined ? value : -value) : null
}

/** So many sixteenths of an inch as the lowest fraction: 22 is "1 3/8". */
export function fraction(sixteenths: number): string {
    const [n, rest] = [Math.floor(Math.abs(sixteenths) / 16), Math.abs(sixteenths) % 16]
    let [part, parts] = [rest, 16]
    while (part > 0 && part % 2 === 0) {
        part /= 2
        parts /= 2
    }
    return `${sixteenths < 0 ? '-' : ''}${n > 0 || rest === 0 ? n : ''}${n > 0 && rest > 0 ? ' ' : ''}${rest > 0 ? `${part}/${parts}` : ''}`
}

/** A length in inches as it is typed, one sixteenth and more up or down. */
export function stepSixteenths(typed: string, up: number, mayBeNegative: boolean): string {
    return fraction(Math.max(mayBeNegative ? -9999 : 0, Math.round((inches(typed) ?? 0) * 16) + up))
}

/** A number as it is typed, so many steps up or down within its bounds; what is no number yet counts as nothing. */
export function stepNumber(typed: string, up: number, step: number, min: number, max: number): number {
    return Math.min(max, Math.max(min, (toNumber(typed) ?? 0) + up * step))
}
