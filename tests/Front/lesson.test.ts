import { describe, expect, it } from 'vitest'
import { handles, moveRow, pair, put, withRow, type DraftLesson, type DraftPath, type DraftRow } from '../../resources/js/features/samplers/draft/lesson'

const row = (path: DraftPath): DraftRow => ({ id: 'r', path }) as DraftRow
const path = (of: object) => of as DraftPath

describe('a row that is moved on its piece', () => {
    it('along an edge changes its distance and both its ends', () => {
        const right = path({ run: 'edge', edge: 'right', distance_mm: 10, from_mm: 5, to_mm: 145 })
        expect(moveRow(row(right), 2.5, -3).path).toMatchObject({ distance_mm: 7.5, from_mm: 2, to_mm: 142 })
        const left = path({ run: 'edge', edge: 'left', distance_mm: 10, from_mm: 5, to_mm: 145 })
        expect(moveRow(row(left), 2.5, 1).path).toMatchObject({ distance_mm: 12.5, from_mm: 6, to_mm: 146 })
    })

    it('never leaves the cloth by its edge or its upper end', () => {
        const edge = path({ run: 'edge', edge: 'right', distance_mm: 2, from_mm: 1, to_mm: 50 })
        expect(moveRow(row(edge), 9, -4).path).toMatchObject({ distance_mm: 0.5, from_mm: 0 })
        expect(moveRow(row(path({ run: 'square-spiral', margin_mm: 3 })), -9, 0).path).toMatchObject({ margin_mm: 0.5 })
    })

    it('takes all of its points with it, to a hundredth', () => {
        const line = path({ run: 'line', through: [[1, 2], [3.333, 4], [5, 6]] }) // prettier-ignore
        expect(moveRow(row(line), 0.006, 1).path?.through).toEqual([[1.01, 3], [3.34, 5], [5.01, 7]]) // prettier-ignore
        expect(moveRow(row(path({ run: 's-curve', from: [0, 0], to: [10, 20] })), 1, 2).path).toMatchObject({ from: [1, 2], to: [11, 22] })
        expect(moveRow(row(path({ run: 'circle', centre: [40, 40], radius_mm: 20 })), -1, -2).path).toMatchObject({ centre: [39, 38], radius_mm: 20 })
    })

    it('stays what it was where it lies nowhere yet', () => {
        const none = { id: 'r' } as DraftRow
        expect(moveRow(none, 1, 1)).toBe(none)
        expect(pair(undefined)).toEqual([0, 0])
    })
})

describe('what a row can be taken hold of by', () => {
    it('is each end of one along an edge, on the edge it follows', () => {
        const edge = row(path({ run: 'edge', edge: 'right', distance_mm: 12, from_mm: 5, to_mm: 95 }))
        const [from, to] = handles(edge, 100)
        expect([from?.at, to?.at]).toEqual([
            [88, 5],
            [88, 95],
        ])
        expect(to?.move(edge, 50, -20).path).toMatchObject({ from_mm: 5, to_mm: 75, distance_mm: 12 })
        expect(from?.move(edge, 0, -20).path).toMatchObject({ from_mm: 0 })
    })

    it('is each corner of a line, and none of a spiral', () => {
        const line = row(path({ run: 'line', through: [[0, 0], [10, 0], [10, 10]] })) // prettier-ignore
        expect(handles(line, 100)).toHaveLength(3)
        expect(handles(line, 100)[1]?.move(line, 2, 3).path?.through).toEqual([[0, 0], [12, 3], [10, 10]]) // prettier-ignore
        expect(handles(row(path({ run: 'square-spiral' })), 100)).toEqual([])
    })
})

describe('a lesson with one thing changed', () => {
    const lesson = { id: 'x', sampler: { pieces: [], rows: [{ id: 'a', checks: [{ target_mm: 2, allows: 'about 2 mm' }, { target_mm: 3, allows: 'about 3 mm' }] }, { id: 'b', checks: [] }] } } as unknown as DraftLesson // prettier-ignore

    it('has the number at the place named, and no old sentence about it', () => {
        const rows = put(lesson, 'sampler.rows[0].checks[1].target_mm', 4).sampler.rows
        expect(rows[0]?.checks).toEqual([{ target_mm: 2, allows: 'about 2 mm' }, { target_mm: 4 }])
        expect(lesson.sampler.rows[0]?.checks[1]).toMatchObject({ target_mm: 3, allows: 'about 3 mm' })
    })

    it('has one row changed and the others as they were', () => {
        const next = withRow(lesson, 'b', (r) => ({ ...r, title: 'new' }))
        expect(next.sampler.rows[1]).toMatchObject({ id: 'b', title: 'new' })
        expect(next.sampler.rows[0]).toBe(lesson.sampler.rows[0])
    })
})
