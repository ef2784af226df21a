import { describe, expect, it } from 'vitest'
import type { View } from '../../resources/js/api/client'
import { slidesOf, turned } from '../../resources/js/features/front/slides'
import { demosOf } from '../../resources/js/keeping/demos'

const lesson = { acts: [{ show: 'a' }, { show: 'b' }], steps: ['one'] } as unknown as View['LessonView']
const now = '2026-05-14T19:00:00Z'

describe('the screen at the front', () => {
    it('shows the lesson, its acts one after another, and what everybody does then', () => {
        expect(slidesOf(lesson, undefined).map((s) => s.kind)).toEqual(['lesson', 'act', 'act', 'steps'])
    })
    it('goes over the end of a lesson into the next one, and back', () => {
        const lengths = new Map([
            ['x', 4],
            ['y', 3],
        ])
        const order = ['x', 'y']
        const at = (l: string, n: number, begun: string | null = null) => ({ lesson: l, at: n, begun_at: begun })
        expect(turned(at('x', 3), 1, lengths, order, now)).toEqual(at('y', 0))
        expect(turned(at('y', 0), -1, lengths, order, now)).toEqual(at('x', 3))
        expect(turned(at('y', 2), 1, lengths, order, now)).toBeNull()
        expect(turned(at('x', 0), -1, lengths, order, now)).toBeNull()
    })
    it('runs the minutes from the first act on, once', () => {
        const lengths = new Map([['x', 4]])
        const first = turned({ lesson: 'x', at: 0, begun_at: null }, 1, lengths, ['x'], now)
        expect(first?.begun_at).toBe(now)
        const back = turned({ lesson: 'x', at: 1, begun_at: now }, -1, lengths, ['x'], 'later')
        expect(turned(back ?? { lesson: 'x', at: 0, begun_at: null }, 1, lengths, ['x'], 'later')?.begun_at).toBe(now)
    })
    it('takes its demonstrations from the tape of the session, each once', () => {
        const piece = (kind: string, of: string | null) => ({ kind, lesson: of })
        const today = { session: { tape: [piece('settle', null), piece('show', 'x'), piece('sew', 'x'), piece('show', 'y'), piece('show', 'x')] } }
        expect(demosOf(today as unknown as View['TodayView'])).toEqual(['x', 'y'])
        expect(demosOf(undefined)).toEqual([])
    })
})
