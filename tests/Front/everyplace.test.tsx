import { MantineProvider } from '@mantine/core'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { cleanup, render, waitFor } from '@testing-library/react'
import { MemoryRouter } from 'react-router'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { App } from '../../resources/js/app/App'
import { theme } from '../../resources/js/app/theme'
import { t } from '../../resources/js/text/words'
import { answerTo, type How } from './answers'

const PLACES = [
    '/today/one',
    '/look/one/one',
    '/round/one',
    '/session/one',
    '/plan/one',
    '/start',
    '/class/one',
    '/class/one/soundness',
    '/student/one/one',
    '/samplers',
    '/samplers/one',
    '/samplers/shelf',
    '/room',
    '/room?show=feet',
    '/room?show=works',
    '/materials/one',
    '/studio',
    '/account',
    '/my/one',
    '/workshop/stitch',
    '/workshop/faults',
    '/workshop/picture',
    '/workshop/worked',
    '/workshop/buttonhole',
    '/workshop/guide',
    '/workshop/clearance',
    '/workshop/needle',
    '/workshop/dial',
    '/workshop/tension',
    '/workshop/feet',
]
/** It is there, as a teacher, in a studio that was not deleted. */
const me = (how: How) => ({
    '/api/me': {
        ...(answerTo('GET', '/api/me', how) as object),
        studio_deleted_at: null,
        role: 'owner',
        unit: 'mm',
        timezone: 'UTC',
        classes: [{ id: 'one', title: 'Evening' }],
    },
})
const asked = new Set<string>()

const opened = (place: string, how: How) => {
    const instead = me(how)
    vi.mocked(fetch).mockImplementation((request) => {
        const { method, url } = request as Request
        const path = new URL(url).pathname
        asked.add(`${method} ${path}`)
        const answer = answerTo(method, path, how, instead)
        return Promise.resolve(
            new Response(JSON.stringify(answer ?? {}), { status: answer === null ? 404 : 200, headers: { 'Content-Type': 'application/json' } }),
        )
    })
    return render(
        <MantineProvider theme={theme()}>
            <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
                <MemoryRouter initialEntries={[place]}>
                    <App />
                </MemoryRouter>
            </QueryClientProvider>
        </MantineProvider>,
    )
}

const said: unknown[] = []
beforeEach(() => {
    said.length = 0
    asked.clear()
    vi.spyOn(console, 'error').mockImplementation((...words: unknown[]) => void said.push(...words))
})
afterEach(() => {
    cleanup()
    vi.restoreAllMocks()
})

describe.each(['full', 'bare'] as const)('with answers as the contract allows them, %s', (how) => {
    it.each(PLACES)(
        '%s is shown',
        async (place) => {
            const { container } = opened(place, how)
            await waitFor(() => expect(container.querySelector('h1, h2, table, form, p')).not.toBeNull(), { timeout: 8000 })
            // Whatever it asked was in the contract, and nothing broke on the answer.
            expect([...asked].filter((one) => answerTo(one.split(' ')[0] ?? '', one.split(' ')[1] ?? '', how) === null)).toEqual([])
            expect(container.textContent).not.toContain(t('common.thisPageBrokeWhatYou'))
            const words = container.cloneNode(true) as HTMLElement
            words.querySelectorAll('style').forEach((sheet) => sheet.remove())
            expect(words.textContent).not.toMatch(/undefined|NaN|\[object|Invalid Date/)
            for (const control of container.querySelectorAll('button, a[href], input:not([type=hidden]):not([type=file]), select, textarea')) {
                expect(nameOf(control), control.outerHTML.slice(0, 200)).not.toBe('')
            }
        },
        15_000,
    )
})

/** What a control is called for those who do not see it. */
function nameOf(control: Element): string {
    const by = control
        .getAttribute('aria-labelledby')
        ?.split(' ')
        .map((id) => document.getElementById(id)?.textContent ?? '')
    const labels = (control as HTMLInputElement).labels ?? []
    return [
        control.getAttribute('aria-label'),
        ...(by ?? []),
        ...[...labels].map((label) => label.textContent),
        control.textContent,
        control.getAttribute('title'),
        control.closest('[aria-hidden=true]') === null ? '' : 'hidden',
    ]
        .join('')
        .trim()
}
