import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { MantineProvider } from '@mantine/core'
import { render, screen } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import { Problem, type View } from '../../resources/js/api/client'
import { Differences } from '../../resources/js/features/look/Differences'
import { Found, FoundRows } from '../../resources/js/features/look/Found'
import { WhichPiece } from '../../resources/js/features/look/Photograph'
import { cannotSay, readingsOf, readOf } from '../../resources/js/features/look/picture'
import { pictures, type TakenPicture } from '../../resources/js/keeping/pictures'

const taken = (id: string, at: string): TakenPicture => ({
    id,
    at,
    class: 'c',
    lesson: 'first-seam',
    version: 1,
    way: { schools: [], stitches: {} } as never,
    piece: 'square',
    dpi: null,
    student: 's',
    chosen: false,
    round: true,
    name: 'Pim',
    title: 'First seam',
    image: new Blob(['x']),
    width: 10,
    height: 10,
    scale: 1,
})
const row = (of: Partial<View['ScannedRowView']>): View['ScannedRowView'] => ({
    row: 'seam',
    title: 'Seam',
    cannot: null,
    readings: {},
    seen: [],
    skipped: [],
    uneven: null,
    ...of,
})
const found = (...rows: View['ScannedRowView'][]): View['ScannedSamplerView'] => ({
    cannot: null,
    width_mm: 100,
    height_mm: 150,
    outline: [
        [0, 0],
        [9, 0],
        [9, 9],
        [0, 9],
    ],
    rows,
    slip: [],
})
const lesson = { id: 'first-seam', rows: [{ id: 'seam', fields: [{ key: 'seam.corners', label: 'Corners' }] }] } as unknown as View['LessonView']

beforeEach(async () => {
    await pictures.ready
    await pictures.forgetAll()
})

describe('pictures that nobody has taken over yet', () => {
    it('lie on the device, oldest first, until they are dropped', async () => {
        await pictures.put(taken('b', '2026-05-14T19:02:00Z'))
        await pictures.put(taken('a', '2026-05-14T19:01:00Z'))
        expect(pictures.all().map((p) => p.id)).toEqual(['a', 'b'])
        await pictures.drop(['a'])
        expect(pictures.all().map((p) => p.id)).toEqual(['b'])
    })

    it('are one each, however often somebody else is said to be the student', async () => {
        await pictures.put(taken('a', '2026-05-14T19:01:00Z'))
        await pictures.put({ ...taken('a', '2026-05-14T19:01:00Z'), student: 't', chosen: true })
        expect(pictures.all().map((p) => [p.id, p.student, p.chosen])).toEqual([['a', 't', true]])
    })

    it('tell whoever shows them, and are gone at sign-out', async () => {
        let told = 0
        const stop = pictures.subscribe(() => told++)
        await pictures.put(taken('a', '2026-05-14T19:01:00Z'))
        await pictures.forgetAll()
        stop()
        await pictures.put(taken('b', '2026-05-14T19:02:00Z'))
        expect(told).toBe(2)
    })
})

describe('how a picture is asked for', () => {
    const shot = { id: 'a', image: new Blob(['x']), scale: 1 }
    const again = (times: number, status: number) =>
        readOf(shot, 'square', null, () => Promise.reject(new Error())).retry(times, new Problem(status, '', '', ''))

    it('again and again without a line or while two others are read', () => {
        expect([again(0, 0), again(500, 0), again(9, 503), again(9, 429)]).toEqual([true, true, true, true])
    })

    it('not for ever where the server breaks on it, and never where it is refused', () => {
        expect([again(0, 500), again(1, 500), again(2, 500), again(0, 422), again(0, 404)]).toEqual([true, true, false, false, false])
    })

    it('anew for another piece or another scale', () => {
        const key = (piece: string, dpi: number | null) => JSON.stringify(readOf(shot, piece, dpi, () => Promise.reject(new Error())).queryKey)
        expect(new Set([key('a', null), key('b', null), key('a', 300)]).size).toBe(3)
    })
})

describe('what a picture says', () => {
    it('is shown without its doubt, with a real minus, and a place that cannot be told is a dash', () => {
        render(<FoundRows lesson={lesson} found={found(row({ readings: { 'seam.corners': ['-0.72 ±0.10', '', '1.20 ±0.10'] } }))} />)
        expect(screen.getByText('−0.72 · – · 1.20')).toBeTruthy()
        expect(screen.getByText('Corners')).toBeTruthy()
    })

    it('is said in words where nothing is measured', () => {
        const fields = [
            { key: 'sewn.bars', label: 'Bars span both sides', kind: 'yes-no', options: [] },
            { key: 'sewn.shows', label: 'Cloth between the stitches', kind: 'choice', options: ['none on either side', 'a little'] },
        ]
        const hole = { id: 'buttonhole', rows: [{ id: 'sewn', fields }] } as unknown as View['LessonView']
        const { unmount } = render(<FoundRows lesson={hole} found={found(row({ readings: { 'sewn.bars': ['0'], 'sewn.shows': ['0'] } }))} />)
        expect(screen.getByText('no')).toBeTruthy()
        expect(screen.getByText('none on either side')).toBeTruthy()
        unmount()
        render(<FoundRows lesson={hole} found={found(row({ readings: { 'sewn.bars': ['1'] } }))} />)
        expect(screen.getByText('yes')).toBeTruthy()
    })

    it('names stitches that look skipped, and uneven ones only beyond what a machine does', () => {
        const { unmount } = render(<FoundRows lesson={lesson} found={found(row({ skipped: [[3, 4]], uneven: 0.15 }))} />)
        expect(screen.getByText('1 stitch is twice as long as the others: was one skipped?')).toBeTruthy()
        expect(screen.getByText(/differ by 15 %/)).toBeTruthy()
        unmount()
        render(<FoundRows lesson={lesson} found={found(row({ uneven: 0.04 }))} />)
        expect(screen.queryByText(/differ by/)).toBeNull()
    })

    it('or why it cannot be told, by the row or by the whole', () => {
        const { unmount } = render(<FoundRows lesson={lesson} found={found(row({ cannot: 'no-stitches' }))} />)
        expect(screen.getByText(cannotSay('no-stitches'))).toBeTruthy()
        unmount()
        render(<FoundRows lesson={lesson} found={{ ...found(), cannot: 'no-card' }} />)
        expect(screen.getByText(cannotSay('no-card'))).toBeTruthy()
    })

    it('is drawn stretch by stretch over the picture', () => {
        const lines = [
            [
                [1, 1],
                [1, 8],
            ],
            [
                [1, 8],
                [8, 8],
            ],
        ]
        const { container } = render(<Found shot={{ width: 10, height: 10, url: 'blob:x' }} found={found(row({ seen: lines, skipped: [[1, 4]] }))} />)
        expect([...container.querySelectorAll('polyline')].map((l) => l.getAttribute('points'))).toEqual(['1,1 1,8', '1,8 8,8'])
        // Four marks and the stitch that looks skipped.
        expect(container.querySelectorAll('circle')).toHaveLength(5)
        expect(container.querySelector('polygon')?.getAttribute('points')).toBe('0,0 9,0 9,9 0,9')
    })

    it('goes into the fields reading by reading', () => {
        expect(readingsOf(found(row({ readings: { 'a.x': ['1'] } }), row({ readings: { 'b.y': ['2', ''] } })))).toEqual({ 'a.x': ['1'], 'b.y': ['2', ''] })
        expect(readingsOf(undefined)).toEqual({})
    })
})

describe('ruler beside camera, drawn', () => {
    const kind: View['CameraKindView'] = {
        what: 'allowance',
        samples: 2,
        values: 3,
        bias_mm: 0.1,
        bias_u_mm: 0.05,
        biased: false,
        spread_mm: 0.2,
        said_mm: 0.3,
        factor: 1,
        pairs: [
            { sample: 'a', ruler_mm: 15, camera_mm: 15.3 },
            { sample: 'a', ruler_mm: 15.5, camera_mm: 15.4 },
            { sample: 'b', ruler_mm: 16, camera_mm: 16.1 },
        ],
    }
    const drawn = (unit: 'mm' | 'in') =>
        render(
            <QueryClientProvider client={new QueryClient()}>
                <Differences kind={kind} unit={unit} />
            </QueryClientProvider>,
        ).container

    it('has a ring for each value, higher where the camera says more, further right where it is larger', () => {
        const at = [...drawn('mm').querySelectorAll('circle')].map((c) => [Number(c.getAttribute('cx')), Number(c.getAttribute('cy'))] as const)
        expect(at).toHaveLength(3)
        expect(at[0]?.[1]).toBeLessThan(at[2]?.[1] ?? 0)
        expect(at[2]?.[1]).toBeLessThan(at[1]?.[1] ?? 0)
        expect(at[0]?.[0]).toBeLessThan(at[1]?.[0] ?? 0)
    })

    it('is in the reader’s unit', () => {
        expect(drawn('mm').textContent).toContain('+0.6 mm')
        expect(drawn('in').textContent).toContain('+0.024 in')
    })
})

describe('which piece of a sampler is photographed', () => {
    const shown = (pictured: { id: string; title: string }[]) =>
        render(
            <MantineProvider>
                <WhichPiece lesson={{ pictured } as never} piece="a" onChange={() => undefined} />
            </MantineProvider>,
        )

    it('is asked where there are several, and only there', () => {
        const { unmount } = shown([{ id: 'a', title: 'First' }])
        expect(screen.queryByLabelText('Which piece')).toBeNull()
        unmount()
        shown([
            { id: 'a', title: 'First' },
            { id: 'b', title: 'Second' },
        ])
        expect(screen.getAllByDisplayValue('First').length).toBeGreaterThan(0)
    })
})
