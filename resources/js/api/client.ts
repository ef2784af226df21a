import createClient from 'openapi-fetch'
import { PRODUCT, t } from '../text/words'
import { busyWith } from './busy'
import type { components, paths } from './schema'

export type View = components['schemas']

/** What the application says when something does not fit: which field, what is allowed, what was kept. */
export class Problem extends Error {
    constructor(
        readonly status: number,
        readonly field: string,
        message: string,
        readonly kept: string,
        readonly all: Record<string, string> = {},
    ) {
        super(message)
    }
}

/** The line or the server is down: nothing was answered. */
/** A body sent as the bytes that it is. */
export const asBytes = { bodySerializer: (body: unknown) => body as BodyInit, headers: { 'Content-Type': 'application/octet-stream' } }

export const noLine = (error: unknown): boolean => error instanceof Problem && (error.status === 0 || error.status >= 500)

function token(): string {
    const found = /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie)
    return found?.[1] === undefined ? '' : decodeURIComponent(found[1])
}

export const api = createClient<paths>({ baseUrl: window.location.origin, credentials: 'same-origin', headers: { Accept: 'application/json' } })

api.use({
    onRequest({ request }) {
        if (request.method !== 'GET') request.headers.set('X-XSRF-TOKEN', token())
        return request
    },
})

interface Answer<T> {
    data?: T
    error?: unknown
    response: Response
}

interface ErrorAnswer {
    error?: { field?: string; message?: string; kept?: string; all?: Record<string, string> }
}

/** Requests that got no answer, one after the other. */
let unanswered = 0

/** Asked again and still no answer: until something is answered, nothing is asked twice. */
export const lineIsDown = () => unanswered > 1

/** The answer, or a Problem in words. */
export async function ask<T>(call: Promise<Answer<T>>): Promise<T> {
    let answer: Answer<T>
    try {
        answer = await busyWith(call)
    } catch (cause) {
        // Given up, or a trouble of the browser's own (its database, say), is no trouble of the line.
        if (cause instanceof DOMException && cause.name !== 'NetworkError') throw cause
        unanswered++
        throw new Problem(0, '(line)', t('shell.theLineIsDown', { product: PRODUCT }), t('shell.keptOnThisDevice'))
    }
    unanswered = 0
    if (!answer.response.ok) {
        const said = (answer.error as ErrorAnswer | undefined)?.error
        throw new Problem(answer.response.status, said?.field ?? '', said?.message ?? t('shell.somethingWentWrong'), said?.kept ?? '', said?.all ?? {})
    }
    return answer.data as T
}
