/** Every currency the reader's browser knows, by its three letters. */
export const CURRENCIES: readonly string[] = Intl.supportedValuesOf('currency')

const NAMES = new Intl.DisplayNames(undefined, { type: 'currency' })

export const currencyName = (code: string): string => NAMES.of(code) ?? code

/** An amount of money as it is written where the reader lives; a bare number where nobody said what prices are in. */
export function price(amount: number, currency: string, locale?: string): string {
    return currency === '' ? amount.toFixed(2) : new Intl.NumberFormat(locale, { style: 'currency', currency }).format(amount)
}
