import { QueryClient } from '@tanstack/react-query'
import { createStore, entries, set } from 'idb-keyval'
import { describe, expect, it } from 'vitest'
import { queries } from '../../resources/js/api/queries'
import { enteredAs, forgetStudio, SeenStore } from '../../resources/js/keeping/seen'
import { keeping } from '../../resources/js/keeping/store'

const lies = () => entries<string, { data: unknown; at: number }>(createStore('open-seam-seen', 'answers'))
const written = () => new Promise((done) => setTimeout(done, 500))
const DAY = 86_400_000

describe('what was read of the server', () => {
    it('is there after a restart as it was seen, with its time, and is read anew', async () => {
        const before = new QueryClient()
        await new SeenStore(before).open()
        before.setQueryData(['today', 'c'], { students: ['Ona'] })
        before.setQueryData(['judged', 'half a number'], { verdict: 'met' })
        before.setQueryData(['print', 'c'], { url: '/x' })
        await written()
        expect((await lies()).map(([key]) => key)).toEqual(['["today","c"]'])
        const after = new QueryClient()
        await new SeenStore(after).open()
        expect(after.getQueryData(['today', 'c'])).toEqual({ students: ['Ona'] })
        const state = after.getQueryState(['today', 'c'])
        expect(state?.isInvalidated).toBe(true)
        expect(state?.dataUpdatedAt).toBe(before.getQueryState(['today', 'c'])?.dataUpdatedAt)
    })

    it('is not shown after two weeks, and does not lie there any longer', async () => {
        const store = createStore('open-seam-seen', 'answers')
        await set('["class","old"]', { key: ['class', 'old'], data: 1, at: Date.now() - 15 * DAY }, store)
        await set('["class","new"]', { key: ['class', 'new'], data: 2, at: Date.now() - 13 * DAY }, store)
        const client = new QueryClient()
        await new SeenStore(client).open()
        expect([client.getQueryData(['class', 'old']), client.getQueryData(['class', 'new'])]).toEqual([undefined, 2])
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
