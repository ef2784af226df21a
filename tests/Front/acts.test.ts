import { beforeEach, describe, expect, it, vi } from 'vitest'
import { keepAct, keepSample, sendAll, takeBack, waitingOf } from '../../resources/js/keeping/spool'
import { draftKey, keeping } from '../../resources/js/keeping/store'

const json = (status: number, data: unknown) =>
    new Response(status === 204 ? null : JSON.stringify(data), { status, headers: { 'Content-Type': 'application/json' } })
let came: { method: string; path: string; body: Record<string, unknown> }[] = []
let answer: (path: string) => Response | Promise<Response> = () => json(204, null)
const down = () => Promise.reject(new TypeError('Failed to fetch'))
const sample = (id: string) => ({ body: { id, class: 'c', student: 's', lesson: 'first-seam', version: 1, readings: {}, faults: [], settings: {} } as never, name: 'Pim', title: 'First seam' }) // prettier-ignore

beforeEach(async () => {
    await keeping.ready
    await keeping.forgetAll()
    came = []
    answer = () => json(204, null)
    vi.mocked(fetch).mockImplementation(async (input) => {
        const request = (input as Request).clone()
        const text = await request.text()
        came.push({ method: request.method, path: new URL(request.url).pathname, body: text === '' ? {} : (JSON.parse(text) as Record<string, unknown>) })
        return answer(new URL(request.url).pathname)
    })
})

describe('what is said besides samples', () => {
    it('goes at once while there is a line, and lies nowhere else', async () => {
        await expect(keepAct({ kind: 'note', class: 'c', sample: 'a', note: 'n1', text: 'better' }, 'Pim', 'Note')).resolves.toBe(true)
        expect(came).toEqual([{ method: 'POST', path: '/api/samples/a/notes', body: { id: 'n1', text: 'better' } }])
        expect(keeping.acts()).toEqual([])
    })

    it('waits without one, in the order it was said, and only the last word on who is there', async () => {
        answer = down
        await keepAct({ kind: 'state', class: 'c', student: 's', state: 'late' }, 'Pim', 'late')
        await keepSample(sample('a'))
        await keepAct({ kind: 'withdraw', class: 'c', sample: 'a', because: '' }, 'Pim', 'withdrawn')
        await keepAct({ kind: 'state', class: 'c', student: 's', state: 'here' }, 'Pim', 'here')
        await keepAct({ kind: 'choice', class: 'c', student: 's', choice: { lesson: 'zip', because: '' } }, 'Pim', 'Zip')
        expect(keeping.acts().map((w) => w.act.kind)).toEqual(['withdraw', 'state', 'choice'])
        expect(waitingOf('s', 'first-seam')).toBe(1)
        came = []
        answer = (path) => (path === '/api/samples' ? json(201, {}) : json(204, null))
        await sendAll(['c'])
        expect(came.map((c) => `${c.method} ${c.path}`)).toEqual([
            'POST /api/samples',
            'POST /api/samples/a/withdraw',
            'PUT /api/classes/c/bench/state',
            'POST /api/classes/c/students/s/next',
        ])
        expect(came[2]?.body).toEqual({ student: 's', state: 'here' })
        expect([keeping.acts(), keeping.all()]).toEqual([[], []])
    })

    it('that is refused at once is said where it was said; later, in the spool', async () => {
        answer = () => json(422, { error: { field: 'text', message: 'At most 1000 letters.' } })
        await expect(keepAct({ kind: 'note', class: 'c', sample: 'a', note: 'n', text: 'x' }, 'Pim', 'Note')).rejects.toMatchObject({ field: 'text' })
        expect(keeping.acts()).toEqual([])
        answer = down
        await keepAct({ kind: 'choice', class: 'c', student: 's', choice: { lesson: 'zip', because: '' } }, 'Pim', 'Zip')
        answer = () => json(409, { error: { field: 'given', message: 'Pim was given something else meanwhile.' } })
        await sendAll(['c'])
        expect(keeping.acts()).toMatchObject([{ asks: { field: 'given' } }])
    })

    it('of a class that is not in this studio is not sent for somebody else', async () => {
        answer = down
        await keepSample(sample('a'))
        came = []
        answer = () => json(201, {})
        await sendAll(['another'])
        expect(came).toEqual([])
        expect(keeping.all()).toHaveLength(1)
    })

    it('a sample that waits is taken back to its sheet as it was typed, and is one sample all the same', async () => {
        answer = down
        const body = { id: 'a', class: 'c', student: 's', lesson: 'first-seam', version: 2, readings: { 'seam.allowance': ['16', '', '15.5'] }, faults: ['nest'], settings: { note: 'x' } } as never // prettier-ignore
        await keepSample({ body, name: 'Pim', title: 'First seam' })
        const [waiting] = keeping.all()
        if (waiting === undefined) throw new Error('nothing waits')
        await expect(takeBack(waiting)).resolves.toBe('/look/c/s?lesson=first-seam')
        expect(keeping.all()).toEqual([])
        expect(keeping.draft(draftKey('c', 's', 'first-seam', null))).toMatchObject({
            id: 'a',
            readings: { 'seam.allowance': ['16', '', '15.5'] },
            faults: ['nest'],
            settings: { note: 'x' },
            version: 2,
        })
    })

    it('a sample that waited is dated to when it was looked at', async () => {
        answer = down
        await keepSample(sample('a'))
        const [waiting] = keeping.all()
        if (waiting === undefined) throw new Error('nothing waits')
        await keeping.put({ ...waiting, at: '2030-05-09T18:40:00.000Z' })
        vi.setSystemTime(new Date('2030-05-09T19:30:00Z'))
        came = []
        answer = () => json(201, {})
        await sendAll(['c'])
        vi.useRealTimers()
        expect(came[0]?.body).toMatchObject({ id: 'a', sewn_at: '2030-05-09T18:40:00.000Z' })
    })
})
