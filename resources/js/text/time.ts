/** Clock times and dates in the studio's own zone and the reader's own language. */
export function clock(iso: string, zone: string): string {
    return new Date(iso).toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit', hour12: false, timeZone: zone })
}

export function day(iso: string, zone: string): string {
    return new Date(iso).toLocaleDateString(undefined, { weekday: 'short', day: 'numeric', month: 'short', timeZone: zone })
}

export function minutesBetween(from: string, to: string): number {
    return Math.max(0, Math.round((Date.parse(to) - Date.parse(from)) / 60_000))
}

/** A day as 2030-12-25, in the studio's own zone. */
export function isoDay(iso: string, zone: string): string {
    return new Intl.DateTimeFormat('sv-SE', { timeZone: zone, dateStyle: 'short' }).format(new Date(iso))
}
