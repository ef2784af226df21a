/**
 * Texts are looked up by their English wording; another language ships a file of
 * the same keys and is chosen here.
 */
const translations: Partial<Record<string, string>> = {}

export function t(english: string, fill: Record<string, string | number> = {}): string {
    let text = translations[english] ?? english
    for (const [name, value] of Object.entries(fill)) text = text.replaceAll(`{${name}}`, String(value))
    return text
}
