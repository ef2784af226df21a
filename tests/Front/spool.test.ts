import { beforeEach, describe, expect, it, vi } from 'vitest'
import { Problem } from '../../resources/js/api/client'
import { keepSample, sendAll } from '../../resources/js/keeping/spool'
import { draftKey, keeping } from '../../resources/js/keeping/store'

type Server = (id: string) => Response | Promise<Response>

const body = (id: string) => ({ id, class: 'c', student: 's', lesson: 'first-seam', version: 1, readings: {}, faults: [], settings: {} }) as never
const waiting = (id: string) => ({ body: body(id), name: 'Pim', title: 'First seam' })
const json = (status: number, data: unknown) => new Response(JSON.stringify(data), { status, headers: { 'Content-Type': 'application/json' } })
const waitingIds = () => keeping.all().map((w) => w.body.id)

let came: string[] = []

function serve(server: Server): void {
    vi.mocked(fetch).mockImplementation(async (input) => {
        const id = ((await (input as Request).clone().json()) as { id: string }).id
        came.push(id)
        return server(id)
    })
}

beforeEach(async () => {
    await keeping.ready
    await keeping.forgetAll()
    came = []
})

describe('a sample that is kept', () => {
    it('goes to the server and lies nowhere else', async () => {
        serve(() => json(201, { id: 'a' }))
        await expect(keepSample(waiting('a'))).resolves.toEqual({ id: 'a' })
        expect(waitingIds()).toEqual([])
    })

    it('waits while the line is down, and goes once when it is back', async () => {
        serve(() => Promise.reject(new TypeError('Failed to fetch')))
        await expect(keepSample(waiting('a'))).resolves.toBeNull()
        await expect(keepSample(waiting('b'))).resolves.toBeNull()
        expect(waitingIds()).toEqual(['a', 'b'])
        came = []
        serve(() => json(201, {}))
        await sendAll(['c'])
        await sendAll(['c'])
        expect(came).toEqual(['a', 'b'])
        expect(waitingIds()).toEqual([])
    })

    it('is no draft any more while it is on its way, so that nothing typed later takes its place', async () => {
        const key = draftKey('c', 's', 'first-seam', null)
        await keeping.putDraft(key, { id: 'a', readings: { width: ['5'] }, faults: [], settings: {} })
        serve(() => {
            expect(keeping.draft(key)).toBeUndefined()
            return json(422, { error: { field: 'readings.width', message: 'Width is from 0 to 40 mm.' } })
        })
        await expect(keepSample(waiting('a'))).rejects.toMatchObject({ status: 422 })
        // Refused, it can be typed on.
        expect(keeping.draft(key)).toMatchObject({ id: 'a', readings: { width: ['5'] } })
        serve(() => Promise.reject(new TypeError('Failed to fetch')))
        await keepSample(waiting('b'))
        expect(keeping.draft(key)).toMatchObject({ id: 'a' })
        await keepSample(waiting('a'))
        expect(keeping.draft(key)).toBeUndefined()
    })

    it('whose tab was closed before its draft was forgotten is a sample, not a draft', async () => {
        const key = draftKey('c', 's', 'first-seam', null)
        for (const id of ['a', 'b']) await keeping.putDraft(`${key}${id}`, { id, readings: { width: ['5'] }, faults: [], settings: {} })
        await keeping.put({ ...waiting('a'), at: '2026-05-14T10:00:00Z', asks: null })
        vi.resetModules()
        const { keeping: opened } = await import('../../resources/js/keeping/store')
        await opened.ready
        expect(opened.draft(`${key}a`)).toBeUndefined()
        expect(opened.draft(`${key}b`)).toMatchObject({ id: 'b' })
        expect(opened.all().map((w) => w.body.id)).toEqual(['a'])
    })

    it('that is refused stays on the form, not in the spool', async () => {
        serve(() => json(422, { error: { field: 'readings.width', message: 'Width is from 0 to 40 mm.' } }))
        await expect(keepSample(waiting('a'))).rejects.toMatchObject({ status: 422, field: 'readings.width' })
        expect(waitingIds()).toEqual([])
    })

    it('meets a trouble of the browser’s own: that is not called the line', async () => {
        serve(() => Promise.reject(new DOMException('A key is there twice', 'ConstraintError')))
        await expect(keepSample(waiting('a'))).rejects.toMatchObject({ name: 'ConstraintError' })
        await expect(keepSample(waiting('a'))).rejects.not.toBeInstanceOf(Problem)
    })
})

describe('the spool', () => {
    const fill = async (ids: string[]) => {
        serve(() => Promise.reject(new TypeError('Failed to fetch')))
        for (const id of ids) {
            await keepSample(waiting(id))
            await new Promise((done) => setTimeout(done, 2))
        }
        came = []
    }

    it('is not held up by one sample that the server cannot take', async () => {
        await fill(['a', 'bad', 'b', 'c'])
        serve((id) => (id === 'bad' ? json(500, {}) : json(201, {})))
        await sendAll(['c'])
        expect(came).toEqual(['a', 'bad', 'b', 'c'])
        expect(waitingIds()).toEqual(['bad'])
    })

    it('lets a server rest that takes none of them', async () => {
        await fill(['a', 'b', 'c', 'd', 'e'])
        serve(() => json(503, {}))
        await sendAll(['c'])
        expect(came).toEqual(['a', 'b', 'c'])
        expect(waitingIds()).toHaveLength(5)
    })

    it('keeps what the server asks about one sample, and sends the others', async () => {
        await fill(['a', 'b'])
        serve((id) => (id === 'a' ? json(409, { error: { field: 'known', message: 'There is one of this evening.' } }) : json(201, {})))
        await sendAll(['c'])
        expect(keeping.all()).toMatchObject([{ body: { id: 'a' }, asks: { field: 'known', message: 'There is one of this evening.' } }])
        came = []
        await sendAll(['c'])
        expect(came).toEqual([])
    })

    it('is sent where the browser has no locks between tabs, as in a network without HTTPS', async () => {
        const locks = Object.getOwnPropertyDescriptor(navigator, 'locks')
        Object.defineProperty(navigator, 'locks', { configurable: true, value: undefined })
        try {
            serve(() => Promise.reject(new TypeError('Failed to fetch')))
            await keepSample(waiting('a'))
            await keepSample(waiting('b'))
            came = []
            serve(() => json(201, {}))
            // Asked for twice at once: this tab sends each once.
            await Promise.all([sendAll(['c']), sendAll(['c'])])
            expect(came).toEqual(['a', 'b'])
            expect(waitingIds()).toEqual([])
        } finally {
            if (locks !== undefined) Object.defineProperty(navigator, 'locks', locks)
        }
    })

    it('sends 60 samples once each', async () => {
        const ids = Array.from({ length: 60 }, (_, i) => `s${String(i).padStart(2, '0')}`)
        await fill(ids)
        serve(() => json(201, {}))
        await Promise.all([sendAll(['c']), sendAll(['c'])])
        expect([...new Set(came)].sort()).toEqual(ids)
        expect(waitingIds()).toEqual([])
    })
})
