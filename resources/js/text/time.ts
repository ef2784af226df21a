type Locale = string | undefined

/** A clock time in the studio's zone, on the reader's own clock: 18:30 here, 6:30 PM there. */
export function clock(iso: string, zone: string, locale?: Locale): string {
    return whole(new Date(iso).toLocaleTimeString(locale, { timeStyle: 'short', timeZone: zone }))
}

/** From one to another, the half of the day said once: 18:30–20:30, 6:30–8:30 PM. */
export function clocks(from: string, to: string, zone: string, locale?: Locale): string {
    return whole(new Intl.DateTimeFormat(locale, { timeStyle: 'short', timeZone: zone }).formatRange(new Date(from), new Date(to)))
}

/** Never broken over two lines. */
const whole = (time: string) => time.replaceAll(/\s*–\s*/gu, '–').replaceAll(/\s/gu, '\u00a0')

/** The same as it stands on a tape or a dial, where a day has only one half: 18:30, 6:30. */
export function dial(iso: string, zone: string, locale?: Locale): string {
    const parts = new Intl.DateTimeFormat(locale, { timeStyle: 'short', timeZone: zone }).formatToParts(new Date(iso))
    return parts
        .filter((part) => part.type !== 'dayPeriod')
        .map((part) => part.value)
        .join('')
        .trim()
}

/** The name of the studio's zone at that moment, behind a time, where the reader's device is on another; else nothing. */
export function zoneNote(iso: string, zone: string, own = Intl.DateTimeFormat().resolvedOptions().timeZone): string {
    const offset = (timeZone: string) => zonePart(iso, timeZone, 'longOffset')
    return offset(zone) === offset(own) ? '' : ` ${zonePart(iso, zone, 'short')}`
}

function zonePart(iso: string, timeZone: string, timeZoneName: 'short' | 'longOffset'): string {
    const parts = new Intl.DateTimeFormat(undefined, { timeZone, timeZoneName }).formatToParts(new Date(iso))
    return parts.find((part) => part.type === 'timeZoneName')?.value ?? ''
}

/** A date in the studio's zone, in the reader's order of day and month. */
export function day(iso: string, zone: string, locale?: Locale): string {
    return new Date(iso).toLocaleDateString(locale, { weekday: 'short', day: 'numeric', month: 'short', timeZone: zone })
}

export function minutesBetween(from: string, to: string): number {
    return Math.max(0, Math.round((Date.parse(to) - Date.parse(from)) / 60_000))
}

/** A day as 2030-12-25, in the studio's own zone. */
export function isoDay(iso: string, zone: string): string {
    return new Intl.DateTimeFormat('sv-SE', { timeZone: zone, dateStyle: 'short' }).format(new Date(iso))
}

/** Whether clocks were changed between two moments in the studio's zone: what is at the same hour by the clock is then an hour earlier or later by the sun. */
export const clocksChanged = (from: string, to: string, zone: string): boolean => zonePart(from, zone, 'longOffset') !== zonePart(to, zone, 'longOffset')

/** The first day of the week where the reader lives: 1 Monday to 7 Sunday. */
export function firstWeekday(locale = new Intl.DateTimeFormat().resolvedOptions().locale): number {
    const of = new Intl.Locale(locale) as Intl.Locale & { weekInfo?: { firstDay: number }; getWeekInfo?: () => { firstDay: number } }
    return (of.getWeekInfo?.() ?? of.weekInfo)?.firstDay ?? 1
}
