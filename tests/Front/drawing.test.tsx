import { render } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { MiniDrawing } from '../../resources/js/drawing/MiniDrawing'
import { linePath, stitchPath } from '../../resources/js/drawing/stitches'
import { StitchRow } from '../../resources/js/drawing/StitchRow'

const numbers = (path: string) => [...path.matchAll(/-?\d+\.\d+/g)].map(Number)

describe('stitches as a path', () => {
    const row = [0, 1, 2, 3, 4].map((i) => [i * 2.5, 10])

    it('is a dash for each stitch, to scale, with a gap at each needle point', () => {
        const path = stitchPath(row, 4)
        expect(path.match(/M/g)).toHaveLength(4)
        const [x1, y1, x2, y2] = numbers(path)
        expect(y1).toBe(40)
        expect(y2).toBe(40)
        // A stitch of 2.5 mm at 4 px a mm is 10 px long: 8 of thread and a gap of 1 at each end.
        expect(x1).toBeCloseTo(1, 2)
        expect(x2).toBeCloseTo(9, 2)
    })

    it('has nothing for a stitch on the spot, nor for one point', () => {
        expect(
            stitchPath(
                [
                    [1, 1],
                    [1, 1],
                ],
                4,
            ),
        ).toBe('')
        expect(stitchPath([[1, 1]], 4)).toBe('')
    })

    it('as a line goes through every needle point', () => {
        expect(numbers(linePath(row, 2))).toEqual(row.flatMap(([x, y]) => [(x ?? 0) * 2, (y ?? 0) * 2]))
    })
})

describe('a row on the cloth', () => {
    it('is as long as it is sewn, with a hole at each needle point and its name', () => {
        const points = [
            [0, 0],
            [2.5, 0],
            [5, 0],
        ]
        const { container, getByRole } = render(<StitchRow points={points} scale={10} rowMm={5} halfMm={2} shows="loops" label="a row" />)
        expect(getByRole('img', { name: 'a row' }).getAttribute('width')).toBe('62')
        expect(container.querySelectorAll('.drawing-hole')).toHaveLength(3)
        expect(container.querySelectorAll('.drawing-thread-loop')).toHaveLength(3)
    })
})

describe('a sampler in small', () => {
    it('fits into its square, whichever side is longer', () => {
        const drawing = {
            width: 100,
            height: 200,
            pieces: [{ id: 'a', x: 0, y: 0, width: 100, height: 200, material: 'cloth' }],
            rows: [
                {
                    id: 'r',
                    points: [
                        [10, 10],
                        [90, 190],
                    ],
                },
            ],
        }
        const { container } = render(<MiniDrawing lesson={{ drawing } as never} size={44} />)
        const piece = container.querySelector('rect')
        expect(piece?.getAttribute('height')).toBe('40')
        expect(piece?.getAttribute('width')).toBe('20')
        expect(container.querySelector('g')?.getAttribute('transform')).toBe('translate(12 2)')
    })

    it('is an empty hoop where nothing is sewn', () => {
        const { container } = render(<MiniDrawing lesson={undefined} />)
        expect(container.querySelector('.drawing-hoop')).not.toBeNull()
    })
})
