import common from './common.module.css'

type Sheet = Readonly<Record<string, string>>
type Names = string | false | null | undefined

/**
 * How a place puts on its classes: names in, the names its style sheets gave them out. What several places wear
 * (common.module.css) is always there; each place adds its own sheet, and a name that no sheet knows stays as it is.
 */
export const dress =
    (...sheets: Sheet[]) =>
    (names: Names): string => {
        if (!names) return ''
        const given = (name: string) => [common, ...sheets].find((sheet) => sheet[name] !== undefined)?.[name] ?? name
        return names
            .split(/\s+/)
            .filter((name) => name !== '')
            .map(given)
            .join(' ')
    }
