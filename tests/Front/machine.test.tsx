import { MantineProvider } from '@mantine/core'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { fireEvent, render, screen, waitFor } from '@testing-library/react'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { View } from '../../resources/js/api/client'
import { theme } from '../../resources/js/app/theme'
import { MachineForm } from '../../resources/js/features/room/MachineForm'

type Facts = View['MachineFacts']
const usual = (of: Partial<Facts>): Facts => ({
    name: '',
    drive: 'mechanical',
    mount: 'snap-low',
    widest_swing_mm: 5,
    shortest_stitch_mm: 0.5,
    longest_stitch_mm: 4,
    fixed_zigzags: [],
    needle_positions_mm: [-2.5, 0],
    tension_mark: '4',
    slot_mm: 6,
    plate_lines_mm: [10, 15],
    buttonhole: 'four-step',
    buttonhole_starts: '',
    longest_buttonhole_mm: 25,
    buttonhole_first_side: '',
    buttonhole_straight_first: null,
    buttonhole_ties_off: null,
    buttonhole_stops: null,
    buttonhole_lever: null,
    buttonhole_balance: null,
    buttonhole_zone: '',
    buttonhole_dense_end: '',
    buttonhole_marks: [],
    buttonhole_step_mm: 0,
    feed_drop: 'drops',
    strokes_per_minute: 800,
    bobbin: '',
    bobbin_metres: 60,
    zigzag_length: 'per-stroke',
    magnets_allowed: true,
    stitch_names: { straight: 'A', zigzag: 'C' },
    also: [],
    ...of,
})
const room = {
    machines: [],
    mounts: [{ id: 'snap-low', title: 'snap-on, low' }],
    stitches: [
        { id: 'straight', title: 'Straight', swings: false, made_of: null },
        { id: 'zigzag', title: 'Zigzag', swings: true, made_of: null },
    ],
    buttonhole_asks: { 'four-step': ['ties_off', 'balance', 'marks'], 'one-step': ['straight_first', 'stops', 'ties_off', 'lever', 'balance'] },
    usual: {
        mechanical: usual({}),
        'straight-only': usual({ drive: 'straight-only', widest_swing_mm: 0, stitch_names: { straight: '' }, needle_positions_mm: [0], buttonhole: 'none' }),
    },
} as unknown as View['RoomView']
const answers = vi.mocked(fetch)
let done = 0

const form = (machine: View['MachineView'] | null) =>
    render(
        <MantineProvider theme={theme()}>
            <QueryClientProvider client={new QueryClient()}>
                <MachineForm room={room} machine={machine} onDone={() => done++} />
            </QueryClientProvider>
        </MantineProvider>,
    )
const sent = async () => {
    await waitFor(() => expect(answers).toHaveBeenCalled())
    const request = answers.mock.calls[0]?.[0] as Request
    return { method: request.method, path: new URL(request.url).pathname, body: (await request.clone().json()) as { name: string; facts: Facts } }
}
const type = (label: RegExp, value: string) => fireEvent.change(screen.getByLabelText(label, { selector: 'input,select' }), { target: { value } })

beforeEach(() => {
    done = 0
    answers.mockReset()
    answers.mockImplementation(() => Promise.resolve(new Response('{}', { status: 200, headers: { 'Content-Type': 'application/json' } })))
})

describe('the form of a machine', () => {
    it('starts from what such a machine usually has, and sends what was typed over it', async () => {
        form(null)
        type(/^Name/, 'Loft 9')
        type(/^Widest swing/, '6,5')
        type(/^Needle positions/, '-3; 0; 3')
        fireEvent.click(screen.getByRole('button', { name: /Add the machine/ }))
        const { method, path, body } = await sent()
        expect([method, path]).toEqual(['POST', '/api/machines'])
        expect(body.facts).toMatchObject({ name: 'Loft 9', widest_swing_mm: 6.5, needle_positions_mm: [-3, 0, 3], longest_stitch_mm: 4 })
        await waitFor(() => expect(done).toBe(1))
    })

    it('takes everything usual of another drive while the machine is new', async () => {
        form(null)
        type(/^Drive/, 'straight-only')
        expect(screen.queryByLabelText(/^Widest swing/)).toBeNull()
        expect(screen.queryByLabelText('Zigzag')).toBeNull()
        fireEvent.click(screen.getByRole('button', { name: /Add the machine/ }))
        expect((await sent()).body.facts).toMatchObject({ drive: 'straight-only', widest_swing_mm: 0, buttonhole: 'none', needle_positions_mm: [0] })
    })

    it('takes from a known machine only what cannot be any more', async () => {
        const facts = usual({ name: 'Window 1', needle_positions_mm: [-1, 0, 1], fixed_zigzags: [{ width_mm: 3, length_mm: 1, name: 'Z' }] })
        form({ id: 'm', facts, usable: true, note: '', machine: facts } as unknown as View['MachineView'])
        type(/^Drive/, 'straight-only')
        fireEvent.click(screen.getByRole('button', { name: /Keep the changes/ }))
        const { method, path, body } = await sent()
        expect([method, path]).toEqual(['PUT', '/api/machines/m'])
        expect(body.facts).toMatchObject({
            drive: 'straight-only',
            widest_swing_mm: 0,
            fixed_zigzags: [],
            needle_positions_mm: [-1, 0, 1],
            stitch_names: { straight: 'A' },
        })
    })

    it('sends what it cannot read as it was typed, and shows what the server says of it', async () => {
        answers.mockImplementation(() =>
            Promise.resolve(
                new Response(JSON.stringify({ error: { field: 'facts.widest_swing_mm', got: 'wide', message: 'A number from 0 to 12.' } }), {
                    status: 422,
                    headers: { 'Content-Type': 'application/json' },
                }),
            ),
        )
        form(null)
        type(/^Widest swing/, 'wide')
        fireEvent.click(screen.getByRole('button', { name: /Add the machine/ }))
        expect((await sent()).body.facts.widest_swing_mm).toBe('wide')
        expect((await screen.findByText(/A number from 0 to 12/)).textContent).not.toBe('')
        expect(done).toBe(0)
    })

    it('asks of a buttonhole only what its way has, and keeps unknown what nobody saw', async () => {
        form(null)
        expect(screen.queryByLabelText(/A lever pulled down/)).toBeNull()
        type(/^Its words for the steps/, 'a, b , c,d')
        type(/^Which end does it begin/, 'front')
        type(/^Does it tie off/, 'no')
        type(/^Its place on the length dial/, '0 to 1')
        type(/^Denser at which end/, 'low')
        fireEvent.click(screen.getByRole('button', { name: /Add the machine/ }))
        expect((await sent()).body.facts).toMatchObject({
            buttonhole_starts: 'front',
            buttonhole_ties_off: false,
            buttonhole_balance: null,
            buttonhole_first_side: '',
            buttonhole_zone: '0 to 1',
            buttonhole_dense_end: 'low',
            buttonhole_marks: ['a', 'b', 'c', 'd'],
        })
    })

    it('asks a machine that turns round by itself for its lever and its stop, not for words of steps', () => {
        form(null)
        type(/^How it sews one/, 'one-step')
        expect(screen.queryByLabelText(/^Its words for the steps/)).toBeNull()
        for (const asked of [/A lever pulled down/, /Does it stop by itself/, /Straight rows before/]) expect(screen.getByLabelText(asked)).toBeTruthy()
        type(/^How it sews one/, 'typed')
        expect(screen.getByLabelText(/^Typed in steps of/, { selector: 'input' })).toBeTruthy()
        type(/^How it sews one/, 'none')
        expect(screen.queryByLabelText(/^Which end does it begin/)).toBeNull()
    })
})
