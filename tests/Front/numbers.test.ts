import { describe, expect, it } from 'vitest'
import { mm, stepNumber, stepSixteenths, toNumber } from '../../resources/js/text/numbers'

describe('a length in inches steps by a sixteenth and stays the lowest fraction', () => {
    it.each([
        ['5/8', 1, '11/16'],
        ['5/8', -1, '9/16'],
        ['1 15/16', 1, '2'],
        ['2', -1, '1 15/16'],
        ['1-5/8', 1, '1 11/16'],
        ['0.5', 1, '9/16'],
        ['0,25', -1, '3/16'],
        ['', 1, '1/16'],
        ['abc', 1, '1/16'],
        ['5/8', 10, '1 1/4'],
    ])('%s %i → %s', (typed, up, shown) => expect(stepSixteenths(typed, up, false)).toBe(shown))

    it('goes below nothing only where that means something', () => {
        expect(stepSixteenths('0', -1, false)).toBe('0')
        expect(stepSixteenths('0', -1, true)).toBe('-1/16')
        expect(stepSixteenths('-1/16', 1, true)).toBe('0')
        expect(stepSixteenths('-1/2', -1, true)).toBe('-9/16')
    })

    it('up and down again is where it was', () => {
        for (let n = 0; n <= 64; n++) {
            const typed = stepSixteenths('0', n, false)
            expect(stepSixteenths(stepSixteenths(typed, 1, false), -1, false)).toBe(typed)
        }
    })
})

describe('numbers as they are typed', () => {
    it.each([
        ['2.5', 2.5],
        ['2,5', 2.5],
        [' −3 ', -3],
        ['１６．５', 16.5],
        ['١٦٫٥', 16.5],
        ['۱۶٫۵', 16.5],
        ['16.', 16],
        ['', null],
        ['2.5.1', null],
        ['1e400', null],
    ])('%s', (typed, number) => expect(toNumber(typed)).toBe(number))

    it('steps within its bounds; what is no number counts as nothing', () => {
        expect(stepNumber('15.5', 1, 0.5, 0, 40)).toBe(16)
        expect(stepNumber('40', 1, 0.5, 0, 40)).toBe(40)
        expect(stepNumber('-2', -1, 0.5, 0, 40)).toBe(0)
        expect(stepNumber('abc', 1, 0.5, 0, 40)).toBe(0.5)
    })

    it('are shown with a real minus and no more digits than said', () => {
        expect(mm(-1.005)).toBe('−1')
        expect(mm(15.875)).toBe('15.88')
        expect(mm(15.875, 1)).toBe('15.9')
    })
})
