import { readFileSync } from 'node:fs'
import { basename } from 'node:path'

/** Whose classes a style sheet may dress: its own, and those of the sheets it stands on (a place's: PLACE). */
const STANDS_ON: Record<string, string[]> = { common: [], ui: ['common'], drawing: ['common'], shell: ['common'], keeping: ['common', 'ui'] }
const PLACE = ['common', 'ui', 'drawing', 'keeping']
const AT: Record<string, string> = { common: 'dress/common', ui: 'ui/ui', drawing: 'drawing/drawing', keeping: 'keeping/keeping' }

const classesIn = (sheet: string) =>
    new Set([...readFileSync(`resources/js/${AT[sheet] ?? ''}.module.css`, 'utf8').matchAll(/\.(-?[A-Za-z_][\w-]*)/g)].map((found) => found[1] ?? ''))

/**
 * The name a class has in the page: its sheet and its own name, "plan-wish". A place that says more of a class of
 * the sheets below it ("a refusal in the look form is narrower") names that class, not a new one.
 */
export const scopedName = (name: string, file: string) => {
    const sheet = basename(file.split('?')[0] ?? file).replace('.module.css', '')
    const standsOn = file.includes('/features/') ? PLACE : (STANDS_ON[sheet] ?? [])
    const owner = standsOn.find((below) => classesIn(below).has(name)) ?? sheet
    return `${owner}-${name}`
}
