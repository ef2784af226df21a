import { QueryClient } from '@tanstack/react-query'
import { createStore, entries, set } from 'idb-keyval'
import { describe, expect, it } from 'vitest'
import { Problem } from '../../resources/js/api/client'
import { queries } from '../../resources/js/api/queries'
import { enteredAs, forgetStudio, SeenStore } from '../../resources/js/keeping/seen'
import { keeping } from '../../resources/js/keeping/store'

const lies = () => entries<string, { data: unknown; at: number }>(createStore('open-seam-seen', 'answers'))
const written = () => new Promise((done) => setTimeout(done, 500))
const DAY = 86_400_000

describe('what was read of the server', () => {
    const ofServer = (client: QueryClient, key: readonly unknown[], answer: () => Promise<unknown>) =>
        client.query({ queryKey: key, queryFn: answer, retry: false }).catch(() => undefined)
    const down = () => Promise.reject(new Problem(0, '(line)', 'The line is down.', ''))

    it('is shown after a restart only where it cannot be read, as it was seen, with its time and the trouble', async () => {
        const before = new QueryClient()
        await new SeenStore(before).open()
        before.setQueryData(['today', 'c'], { students: ['Ona'] })
        before.setQueryData(['judged', 'half a number'], { verdict: 'met' })
        before.setQueryData(['print', 'c'], { url: '/x' })
        await written()
        expect((await lies()).map(([key]) => key)).toEqual(['["today","c"]'])
        const after = new QueryClient()
        const store = new SeenStore(after)
        await store.open()
        // Nobody sees what may be old while it can be read.
        expect(after.getQueryData(['today', 'c'])).toBeUndefined()
        expect(store.of(['today', 'c'])).toEqual({ students: ['Ona'] })
        await ofServer(after, ['today', 'c'], down)
        const state = after.getQueryState(['today', 'c'])
        expect([state?.data, state?.dataUpdatedAt, state?.error instanceof Problem]).toEqual([
            { students: ['Ona'] },
            before.getQueryState(['today', 'c'])?.dataUpdatedAt,
            true,
        ])
        await ofServer(after, ['today', 'c'], () => Promise.resolve({ students: ['Pim'] }))
        expect(after.getQueryData(['today', 'c'])).toEqual({ students: ['Pim'] })
    })

    it('is not shown where the server says no', async () => {
        const client = new QueryClient()
        await new SeenStore(client).open()
        await ofServer(client, ['class', 'gone'], () => Promise.resolve(1))
        client.removeQueries()
        await ofServer(client, ['class', 'gone'], () => Promise.reject(new Problem(404, '', 'There is no such class.', '')))
        expect(client.getQueryData(['class', 'gone'])).toBeUndefined()
    })

    it('is not shown after two weeks, and does not lie there any longer', async () => {
        const store = createStore('open-seam-seen', 'answers')
        await set('["class","old"]', { key: ['class', 'old'], data: 1, at: Date.now() - 15 * DAY }, store)
        await set('["class","new"]', { key: ['class', 'new'], data: 2, at: Date.now() - 13 * DAY }, store)
        const client = new QueryClient()
        const store2 = new SeenStore(client)
        await store2.open()
        expect([store2.of(['class', 'old']), store2.of(['class', 'new'])]).toEqual([undefined, 2])
        expect((await lies()).map(([key]) => key)).not.toContain('["class","old"]')
    })

    it('is gone at sign-out with everything that was typed', async () => {
        await keeping.ready
        await keeping.putDraft('draft:a', { id: 'a', readings: {}, faults: [], settings: {} })
        await keeping.putAct({
            id: 'x',
            act: { kind: 'state', class: 'c', student: 's', state: 'late' },
            name: 'Ona',
            title: 'late',
            at: '2030-01-01T00:00:00Z',
            asks: null,
        })
        localStorage.setItem('open-seam-strip', '1')
        queries.setQueryData(['class', 'c'], 1)
        await forgetStudio()
        expect(await lies()).toEqual([])
        expect([keeping.acts(), keeping.draft('draft:a'), localStorage.length, queries.getQueryData(['class', 'c'])]).toEqual([[], undefined, 0, undefined])
    })

    it('of somebody else is not shown to who comes in, and their own is', async () => {
        queries.setQueryData(['me'], { email: 'Ona@mill.example' })
        queries.setQueryData(['class', 'c'], 1)
        await enteredAs('ona@mill.example ')
        expect(queries.getQueryData(['class', 'c'])).toBe(1)
        await enteredAs('pim@mill.example')
        expect(queries.getQueryData(['class', 'c'])).toBeUndefined()
    })
})
