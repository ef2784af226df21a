import { MantineProvider } from '@mantine/core'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { act, cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react'
import { MemoryRouter, useLocation } from 'react-router'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { View } from '../../resources/js/api/client'
import { theme } from '../../resources/js/app/theme'
import { Run } from '../../resources/js/features/workshop/buttonhole/Run'
import { SewnOver } from '../../resources/js/features/workshop/buttonhole/SewnOver'
import { different, sewn } from '../../resources/js/features/workshop/buttonhole/words'
import { ButtonholeTool } from '../../resources/js/features/workshop/ButtonholeTool'
import { answerTo } from './answers'

type Plan = View['ButtonholePlanView']

const plan: Plan = {
    kind: 'rectangular',
    proposed_kind: 'rectangular',
    direction: 'vertical',
    also: null,
    stabiliser: ['fusible-inside'],
    why: ['A front band is narrow.'],
    refused: [],
    way: 'four-step',
    told: 'marks',
    told_text: 'End marks 21.0 mm apart.',
    half_wrap_mm: 18,
    estimated: false,
    opening_mm: 18,
    finished_mm: 21,
    bar_mm: 1.5,
    set: { mm: 21 },
    passes: 'passes',
    fits: null,
    schools: [{ id: 'half-wrap', finished_mm: 18, opening_mm: 15, passes: 'will-not-pass' }],
    acts: [
        { id: 'needle', text: 'A new needle.', caution: 'Switched off.' },
        { id: 'side-1', text: 'The left side.', at: 'side-1', stop_when: 'it is at the mark' },
        { id: 'take-out', text: 'Cloth out.', see: 'It is closed.' },
    ],
    parts: { straight: [], 'side-1': [[1.5, -2], [10, -1], [19.5, -2]], 'bar-1': [[20, 2], [21, -2]], 'side-2': [[19.5, 2], [1.5, 1]], 'bar-2': [[1, 2], [0, -2]] }, // prettier-ignore
    starts: 'front',
    width_mm: 4,
    length_mm: 0.5,
    gap_mm: 0.6,
    fields: [
        { id: 'left_mm', kind: 'length', opened: false },
        { id: 'front_from_mark_mm', kind: 'beyond', opened: false },
        { id: 'points_left', kind: 'count', opened: false },
        { id: 'puckered', kind: 'yes-no', opened: false },
        { id: 'button', kind: 'button', opened: true },
    ],
    learned: { offset_mm: 0, offset_u_mm: null, bar_mm: 1.5, bar_u_mm: null, sewn: 0 },
    strip: { length_mm: 51, width_mm: 24, origin_mm: 25.5, across: false, beyond_mm: 3 },
    cord: [],
    instead: [{ fault: 'bh-overrun', text: 'A side ran past its bar' }],
    opening: { caution: 'Away from the hand.', ways: [{ id: 'ripper', title: 'Ripper', acts: ['A pin inside the far bar.'] }], after: [], unpick: [] },
    button: {
        holes: 2,
        spacing_mm: 3.4,
        hole_mm: 1.8,
        needle_size: 80,
        width_mm: 3.5,
        margin_mm: 0.45,
        verdict: 'clear',
        patterns: ['one-pair'],
        set_up: ['Set the length to 0.'],
        thread: { 'one-pair': [[[-1.7, 0], [1.7, 0]]] }, // prettier-ignore
        checks: [
            { id: 'swings_1', kind: 'count', verdict: null },
            { id: 'off_mm', kind: 'length', verdict: null },
            { id: 'firm', kind: 'yes-no', verdict: null },
        ],
        met: null,
        change: null,
    },
}

const room = {
    machines: [
        { machine: { id: 'm1', name: 'Window 1', usable: true, facts: { buttonhole: 'four-step' } } },
        { machine: { id: 'm2', name: 'Window 2', usable: true, facts: { buttonhole: 'one-step' } } },
    ],
} as unknown as View['RoomView']

/** The server keeps what it is sent, and answers with the plan above. */
let kept: { id: string; body: View['ButtonholeBody'] }[] = []
let tests: unknown[] = []
let down = false
let others: View['ButtonholeListView'][] = []
const view = (id: string, body: View['ButtonholeBody']): View['ButtonholeView'] => ({
    id,
    title: 'flat, 15 mm',
    class: body.class ?? null,
    student: body.student ?? null,
    machine: body.machine ?? null,
    foot: body.foot ?? null,
    job: body.job,
    asks: body.job.diameter_mm == null ? { field: 'diameter_mm', message: 'How wide is the button?' } : null,
    plan: body.job.diameter_mm == null ? null : plan,
    machines: [],
    tests: tests as View['ButtonholeTestView'][],
    release: { in_a_row: 0, needed: 2, allowed: false, next: 0.45, all: 0.1, released_at: null, overruled: false },
    recipe: null,
    recipes: [],
})

function Address() {
    return <output data-testid="address">{useLocation().search}</output>
}

const open = (address = '/workshop/buttonhole', unit: 'mm' | 'in' = 'mm') =>
    render(
        <MantineProvider theme={theme()}>
            <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
                <MemoryRouter initialEntries={[address]}>
                    <ButtonholeTool room={room} unit={unit} />
                    <Address />
                </MemoryRouter>
            </QueryClientProvider>
        </MantineProvider>,
    )

const said = (body: unknown, status = 200) => new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } })

beforeEach(() => {
    kept = []
    tests = []
    down = false
    others = []
    vi.mocked(fetch).mockImplementation(async (input) => {
        const request = input as Request
        const { pathname } = new URL(request.url)
        if (down) throw new TypeError('the line is down')
        const id = /^\/api\/buttonholes\/([^/]+)/.exec(pathname)?.[1] ?? ''
        if (request.method === 'PUT') {
            const body = (await request.clone().json()) as View['ButtonholeBody']
            kept.push({ id, body })
            return said(view(id, body))
        }
        if (request.method === 'POST' && pathname.endsWith('/tests')) {
            const body = (await request.clone().json()) as View['ButtonholeTestBody']
            tests = [body]
            return said({ ...view(id, kept.at(-1)?.body ?? { job: { diameter_mm: 15 } }), tests: [] })
        }
        if (pathname === '/api/buttonholes') return said(others)
        if (id !== '') return said(view(id, { job: { diameter_mm: 23, thickness_mm: 3 }, machine: 'm2' }))
        return said(answerTo('GET', pathname, 'bare') ?? {})
    })
})
afterEach(() => {
    vi.useRealTimers()
    cleanup()
})

const field = (label: RegExp) => screen.getByLabelText(label, { selector: 'input' })
const type = (label: RegExp, value: string) => fireEvent.change(field(label), { target: { value } })

describe('a buttonhole job', () => {
    it('is kept from its first look on, under an address of its own', async () => {
        open()
        expect(await screen.findByText('End marks 21.0 mm apart.')).toBeTruthy()
        expect(kept).toHaveLength(1)
        expect(kept[0]?.body).toMatchObject({ machine: 'm1', job: { shape: 'flat', diameter_mm: 15, thickness_mm: 3, beginner: true } })
        await waitFor(() => expect(screen.getByTestId('address').textContent).toBe(`?job=${kept[0]?.id}`))
    })

    it('is sent once for what is typed in one go, and always whole', async () => {
        open()
        await screen.findByText('saved')
        type(/^Across/, '2')
        type(/^Across/, '20')
        type(/^Through/, '4')
        await waitFor(() => expect(kept).toHaveLength(2))
        expect(kept[1]?.body.job).toMatchObject({ diameter_mm: 20, thickness_mm: 4, shape: 'flat' })
    })

    it('keeps what cannot be read as it was typed, and says what is asked', async () => {
        open()
        await screen.findByText('saved')
        type(/^Across/, 'wide')
        expect(await screen.findByText('How wide is the button?')).toBeTruthy()
        expect(field(/^Across/)).toHaveProperty('value', 'wide')
        expect(kept.at(-1)?.body.job.diameter_mm).toBeNull()
        // Nothing that follows from a button is shown without one.
        expect(screen.queryByText('Sew it, act by act')).toBeNull()
    })

    it('is typed in inches where inches were chosen, and kept in mm', async () => {
        open('/workshop/buttonhole', 'in')
        await screen.findByText('saved')
        expect(field(/^Across/)).toHaveProperty('value', '9/16')
        type(/^Across/, '1 1/4')
        await waitFor(() => expect(kept.at(-1)?.body.job.diameter_mm).toBeCloseTo(31.75, 6))
    })

    it('says that it is not kept while the line is down, and keeps it when it is back', async () => {
        open()
        await screen.findByText('saved')
        down = true
        type(/^Across/, '18')
        expect(await screen.findByText(/not saved yet/)).toBeTruthy()
        down = false
        await waitFor(() => expect(kept.at(-1)?.body.job.diameter_mm).toBe(18), { timeout: 6000 })
        expect(await screen.findByText('saved')).toBeTruthy()
    }, 12_000)

    it('loses nothing to whoever leaves while typing', async () => {
        open()
        await screen.findByText('saved')
        type(/^Across/, '19')
        cleanup()
        await waitFor(() => expect(kept.at(-1)?.body.job.diameter_mm).toBe(19))
    })

    it('does not call back whoever left before it was kept', async () => {
        const { unmount } = open()
        unmount()
        open('/elsewhere?job=01jbq3zz7h4x8v1m2n3p4q5r6v')
        await waitFor(() => expect(kept).toHaveLength(1))
        await act(() => new Promise((done) => setTimeout(done, 300)))
        expect(screen.getByTestId('address').textContent).toBe('?job=01jbq3zz7h4x8v1m2n3p4q5r6v')
    })

    it('is opened as it was kept, and not sent back before it is changed', async () => {
        open('/workshop/buttonhole?job=01jbq3zz7h4x8v1m2n3p4q5r6v')
        await waitFor(() => expect(field(/^Across/)).toHaveProperty('value', '23'))
        expect(screen.getByLabelText('Machine')).toHaveProperty('value', 'm2')
        await act(() => new Promise((done) => setTimeout(done, 500)))
        expect(kept).toEqual([])
    })

    it('begins anew when asked to, and goes on with a student’s where it was left', async () => {
        others = [{ id: '01jbq3zz7h4x8v1m2n3p4q5r6v', title: 'flat, 23 mm', class: null, student: null, machine: null, released_at: null, changed_at: '' }]
        open()
        await screen.findByText('saved')
        await screen.findByLabelText('Go on with')
        fireEvent.click(screen.getByRole('button', { name: 'Another button' }))
        await waitFor(() => expect(kept.map((k) => k.id)).toHaveLength(2))
        // Somebody else's open job is not taken for it.
        expect(new Set(kept.map((k) => k.id)).size).toBe(2)
        expect(field(/^Across/)).toHaveProperty('value', '15')
        cleanup()
        others = others.map((job) => ({ ...job, student: 'ona', class: 'c' }))
        open('/workshop/buttonhole?class=c&student=ona')
        await waitFor(() => expect(field(/^Across/)).toHaveProperty('value', '23'))
        expect(screen.getByTestId('address').textContent).toContain('job=01jbq3zz7h4x8v1m2n3p4q5r6v')
    })

    it('sends of a look only what was looked at, in mm, with its sign', async () => {
        open()
        await screen.findByText('saved')
        fireEvent.click(screen.getByRole('tab', { name: /Look/ }))
        type(/^Left side/, '21,5')
        type(/^Front end beyond/, '−2')
        type(/^Points in 10 mm, left/, '22')
        fireEvent.click(within(screen.getByRole('group', { name: 'Puckered' })).getByText('no'))
        fireEvent.click(within(screen.getByRole('group', { name: 'The button' })).getByText('snug'))
        fireEvent.click(screen.getByRole('button', { name: 'Keep what was read' }))
        await waitFor(() => expect(tests).toHaveLength(1))
        expect(tests[0]).toMatchObject({ read: { left_mm: 21.5, front_from_mark_mm: -2, points_left: 22, puckered: false, button: 'snug' } })
    })

    it('keeps what was looked at on the button that was sewn on, and takes nothing back', async () => {
        open('/workshop/buttonhole?job=01j00000000000000000000000')
        fireEvent.click(await screen.findByRole('tab', { name: /Button on/ }))
        fireEvent.change(await screen.findByLabelText('Swings in the first pair'), { target: { value: '6' } })
        const firm = screen.getByRole('group', { name: /Firm/ })
        fireEvent.click(within(firm).getByLabelText('yes'))
        await waitFor(() => expect(kept.at(-1)?.body.job.sewn_on).toEqual({ swings_1: 6, firm: true }))
        expect(screen.getByText('Set the length to 0.')).toBeTruthy()
    })

    it('sends nothing of a look while something typed is no number', async () => {
        open()
        await screen.findByText('saved')
        fireEvent.click(screen.getByRole('tab', { name: /Look/ }))
        const button = () => screen.getByRole('button', { name: 'Keep what was read' })
        expect(button()).toHaveProperty('disabled', true)
        type(/^Left side/, '21')
        expect(button()).toHaveProperty('disabled', false)
        type(/^Points in 10 mm, left/, 'many')
        expect(button()).toHaveProperty('disabled', true)
    })
})

describe('the run', () => {
    const closed: boolean[] = []
    const run = (of: Partial<Parameters<typeof Run>[0]> = {}) =>
        render(
            <MantineProvider theme={theme()} env="test">
                <MemoryRouter>
                    <Run plan={plan} machine={{ id: 'm1', name: 'Window 1' }} onClose={(whole) => closed.push(whole)} {...of} />
                </MemoryRouter>
            </MantineProvider>,
        )
    const key = (name: string) => fireEvent.keyDown(window.document.body, { key: name })
    beforeEach(() => {
        closed.length = 0
    })

    it('is one act a screen, forward and back by keys or a clicker', () => {
        run()
        expect(screen.getByText('A new needle.')).toBeTruthy()
        expect(screen.getByText('Switched off.')).toBeTruthy()
        key('PageDown')
        expect(screen.getByText('The left side.')).toBeTruthy()
        expect(screen.queryByText('A new needle.')).toBeNull()
        expect(screen.getByText('it is at the mark', { exact: false })).toBeTruthy()
        key('PageUp')
        expect(screen.getByText('A new needle.')).toBeTruthy()
        key('ArrowLeft')
        expect(screen.getByText('A new needle.')).toBeTruthy()
        for (const next of ['ArrowRight', ' ']) key(next)
        expect(screen.getByText('Cloth out.')).toBeTruthy()
        expect(closed).toEqual([])
        key('Enter')
        expect(closed).toEqual([true])
    })

    it('draws the needle where it is, and not where nothing is sewn', () => {
        run()
        expect(screen.queryByRole('img', { name: /with the needle/ })).toBeNull()
        key('PageDown')
        const drawing = screen.getByRole('img', { name: /with the needle/ })
        expect(drawing.querySelectorAll('circle')).toHaveLength(1)
        fireEvent.click(screen.getByRole('button', { name: 'One stitch' }))
        expect(drawing.querySelector('circle')?.getAttribute('cx')).not.toBeNull()
    })

    it('names what it may have done instead, as the plan says', () => {
        run()
        fireEvent.click(screen.getByRole('button', { name: 'It did something else' }))
        expect(screen.getByText('A side ran past its bar')).toBeTruthy()
        cleanup()
        run({ plan: { ...plan, instead: [] } })
        fireEvent.click(screen.getByRole('button', { name: 'It did something else' }))
        expect(screen.queryByText('A side ran past its bar')).toBeNull()
    })

    it('leads nowhere else on a phone without a sign-in', () => {
        run({ alone: true })
        fireEvent.click(screen.getByRole('button', { name: 'It did something else' }))
        expect(screen.getByText(/Call your teacher/)).toBeTruthy()
        expect(screen.queryByText('A side ran past its bar')).toBeNull()
    })
})

describe('what was read, drawn over the plan', () => {
    const drawn = (read: Record<string, unknown>) =>
        render(
            <SewnOver
                plan={plan}
                test={{ id: 't', sewn_at: '', not_the_same: [], read, finished_mm: 21, planned_mm: 21, met: true, snug: null, checks: [], seen: null, change: '', told_next: null, next_opening_mm: null, skill: null, drill: null }} // prettier-ignore
            />,
        ).container
    const high = (of: Element | null | undefined) => Number(of?.getAttribute('height'))

    it('is the plan where nothing was measured', () => {
        const svg = drawn({})
        expect(svg.innerHTML).not.toMatch(/NaN|undefined/)
        expect(svg.querySelectorAll('rect')).toHaveLength(3)
        expect(svg.querySelector('line')).toBeNull()
    })

    it('has each bar as long as it was read, and an opening only where one was cut', () => {
        const [front, back] = drawn({ bar_front_mm: 1, bar_back_mm: 3, opening_mm: 18 }).querySelectorAll('rect')
        expect(high(back) / high(front)).toBeCloseTo(3, 6)
        cleanup()
        expect(drawn({ opening_mm: 18 }).querySelector('line')).not.toBeNull()
    })

    it('lies where its ends lie from the marks, and leans as it leans', () => {
        const top = (svg: Element) => Number(svg.querySelectorAll('rect')[0]?.getAttribute('y'))
        const straight = top(drawn({}))
        cleanup()
        // Beyond the front mark it begins nearer to who sews: lower on the drawing.
        expect(top(drawn({ front_from_mark_mm: 3, back_from_mark_mm: -3 }))).toBeGreaterThan(straight)
        cleanup()
        const leaning = drawn({ edge_front_mm: 10, edge_back_mm: 12 }).querySelectorAll('rect')
        expect(Number(leaning[1]?.getAttribute('x'))).toBeGreaterThan(Number(leaning[0]?.getAttribute('x')))
    })
})

describe('what is said of a hole', () => {
    it('has every needle point in the order it is sewn, and where each part ends', () => {
        const { points, ends } = sewn(plan)
        expect(points).toHaveLength(9)
        expect(ends).toEqual({ straight: 0, 'side-1': 3, 'bar-1': 5, 'side-2': 7, 'bar-2': 9 })
    })

    it('names what is not the same once', () => {
        expect(different(['diameter_mm', 'thickness_mm', 'machine'])).toBe('The button, Machine')
    })
})
