import { describe, expect, it } from 'vitest'
import { bare, length, readLength } from '../../resources/js/text/lengths'

describe('a length in its reader’s unit', () => {
    it.each([
        ['15', 'mm', 15],
        ['15,5', 'mm', 15.5],
        ['5/8', 'in', 15.875],
        ['1 1/4', 'in', 31.75],
        ['1-1/4', 'in', 31.75],
        ['0.5', 'in', 12.7],
    ] as const)('%s %s is %d mm', (typed, unit, value) => expect(readLength(typed, unit)).toBeCloseTo(value, 9))

    it.each(['', 'wide', '5/0', '1/', '1 2 3'])('“%s” is none yet', (typed) => expect(readLength(typed, 'in')).toBeNull())

    it('is said in tenths of a millimetre or in sixteenths of an inch', () => {
        expect(bare(20.6375, 'mm')).toBe('20.6')
        expect(bare(-0.3625, 'mm')).toBe('−0.4')
        expect([15.875, 25.4, 31.75, 3.175, 0.2, -6.35].map((n) => bare(n, 'in'))).toEqual(['5/8', '1', '1 1/4', '1/8', '0', '−1/4'])
        expect(length(15.875, 'in')).toBe('5/8 in')
    })

    it('comes back as it was said', () => {
        for (let sixteenths = 1; sixteenths < 80; sixteenths++)
            expect(readLength(bare((sixteenths / 16) * 25.4, 'in'), 'in')).toBeCloseTo((sixteenths / 16) * 25.4, 9)
    })
})
