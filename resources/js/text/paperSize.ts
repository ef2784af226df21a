export type PaperSize = 'A4' | 'Letter'

/** Where paper is sold in inches: CLDR, measurementData, paperSize "US-Letter"; from memory. */
const LETTER = new Set(['BZ', 'CA', 'CL', 'CO', 'CR', 'GT', 'MX', 'NI', 'PA', 'PH', 'PR', 'SV', 'US', 'VE'])

/** What lies in the printer where the reader is, as far as the device says where that is. */
export function usualPaper(languages: readonly string[] = navigator.languages): PaperSize {
    const region = languages.map((tag) => new Intl.Locale(tag).region).find((r) => r !== undefined)
    return region !== undefined && LETTER.has(region) ? 'Letter' : 'A4'
}
