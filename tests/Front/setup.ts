import 'fake-indexeddb/auto'
import { cleanup } from '@testing-library/react'
import { afterEach, vi } from 'vitest'

afterEach(cleanup)

// What a browser has and jsdom lacks.
window.matchMedia = (query) => ({
    matches: false,
    media: query,
    onchange: null,
    addListener: () => undefined,
    removeListener: () => undefined,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
    dispatchEvent: () => false,
})
window.ResizeObserver = class {
    observe() {}
    unobserve() {}
    disconnect() {}
}
Element.prototype.scrollIntoView = () => undefined
Object.defineProperty(document, 'fonts', { value: { addEventListener: () => undefined, removeEventListener: () => undefined } })
Object.defineProperty(navigator, 'locks', {
    configurable: true,
    value: { request: (_: string, __: unknown, work: (lock: object) => unknown) => Promise.resolve(work({})) },
})

// The client keeps the fetch it finds when it is made; tests answer through this one.
globalThis.fetch = vi.fn<typeof fetch>(() => Promise.reject(new TypeError('no server in this test')))
