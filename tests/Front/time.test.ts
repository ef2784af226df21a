import { describe, expect, it } from 'vitest'
import { clock, clocks, day, dial, isoDay, minutesBetween, zoneNote, clocksChanged, firstWeekday } from '../../resources/js/text/time'

/** A moment after the change to winter time in one zone and before it in another (IANA time zone data: 25 October and 1 November 2026). */
const BETWEEN = '2026-10-28T22:30:00Z'

describe('times as their reader tells them', () => {
    it('stand in the studio’s zone, on the reader’s clock', () => {
        expect(clock(BETWEEN, 'Europe/Berlin', 'en-GB')).toBe('23:30')
        expect(clock(BETWEEN, 'Etc/GMT+5', 'en-US')).toMatch(/^5:30\sPM$/u)
        expect(clock(BETWEEN, 'Etc/GMT-5', 'en-GB')).toBe('03:30')
    })

    it('are told from one to another with the half of the day said once, and never broken', () => {
        const to = '2026-10-28T23:45:00Z'
        expect(clocks(BETWEEN, to, 'Etc/GMT+5', 'en-US')).toBe('5:30–6:45\u00a0PM')
        expect(clocks(BETWEEN, to, 'Etc/GMT+5', 'en-GB')).toBe('17:30–18:45')
        // Over noon both halves are said.
        expect(clocks('2026-10-28T16:30:00Z', '2026-10-28T18:30:00Z', 'Etc/GMT+5', 'en-US')).toBe('11:30\u00a0AM–1:30\u00a0PM')
    })

    it('say no half of the day on a tape', () => {
        expect(dial(BETWEEN, 'Etc/GMT+5', 'en-US')).toBe('5:30')
        expect(dial(BETWEEN, 'Europe/Berlin', 'en-GB')).toBe('23:30')
    })

    it('name the studio’s zone only to who is in another', () => {
        expect(zoneNote(BETWEEN, 'Europe/Berlin', 'Europe/Berlin')).toBe('')
        expect(zoneNote(BETWEEN, 'Europe/Berlin', 'Etc/GMT-1')).toBe('')
        expect(zoneNote(BETWEEN, 'Europe/Berlin', 'UTC')).not.toBe('')
    })

    it('take day and month in the reader’s order, on the studio’s day', () => {
        expect(day(BETWEEN, 'Etc/GMT-5', 'en-GB')).toMatch(/^Thu,? 29 Oct$/)
        expect(day(BETWEEN, 'Europe/Berlin', 'en-US')).toBe('Wed, Oct 28')
        expect(isoDay(BETWEEN, 'Etc/GMT-5')).toBe('2026-10-29')
    })

    it('count no minutes backwards', () => {
        expect(minutesBetween('2026-10-28T22:00:00Z', BETWEEN)).toBe(30)
        expect(minutesBetween(BETWEEN, '2026-10-28T22:00:00Z')).toBe(0)
    })

    it('say when clocks are changed between two sessions of the same hour', () => {
        // Berlin, 2026: back to winter time on 25 October (EU directive 2000/84/EC: the last Sunday).
        expect(clocksChanged('2026-10-22T16:30:00Z', '2026-10-29T17:30:00Z', 'Europe/Berlin')).toBe(true)
        expect(clocksChanged('2026-10-15T16:30:00Z', '2026-10-22T16:30:00Z', 'Europe/Berlin')).toBe(false)
        expect(clocksChanged('2026-10-22T16:30:00Z', '2026-10-29T16:30:00Z', 'UTC')).toBe(false)
    })

    it('begin the week where the reader does', () => {
        // CLDR week data: Sunday in the United States, Monday in Germany.
        expect([firstWeekday('en-US'), firstWeekday('de-DE')]).toEqual([7, 1])
    })
})
