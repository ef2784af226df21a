import { describe, expect, it } from 'vitest'
import { hours, MOST, numberIn, numbersOf } from '../../resources/js/features/workshop/footWorth'

describe('what a foot is worth', () => {
    it('takes numbers as they are typed and leaves out what is none', () => {
        expect(
            numbersOf(
                { zip: '6.5', walking: ' 28 ', satin: 'cheap', guide: '', roller: '-5', binding: '100001' },
                ['zip', 'walking', 'satin', 'guide', 'roller', 'binding', 'button'],
                MOST.price,
            ),
        ).toEqual({ zip: 6.5, walking: 28 })
        expect([numberIn('0', 10), numberIn('10', 10), numberIn('10.1', 10), numberIn('', 10), numberIn('twelve', 10)]).toEqual([0, 10, null, null, null])
    })

    it('tells minutes of a year in hours', () => {
        expect([hours(24), hours(60), hours(119.6), hours(0)]).toEqual([
            { h: 0, min: 24 },
            { h: 1, min: 0 },
            { h: 2, min: 0 },
            { h: 0, min: 0 },
        ])
    })
})
