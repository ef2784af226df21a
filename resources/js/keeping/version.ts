import { Workbox } from 'workbox-window'

/** The worker that opens every address without a line, and the version that waits to take its place. */
class Version {
    private readonly box = 'serviceWorker' in navigator && import.meta.env.PROD ? new Workbox('/sw.js') : null
    private readonly listeners = new Set<() => void>()
    private waiting = false

    /** After the page is shown: nothing waits for it. */
    start(): void {
        if (this.box === null) return
        this.box.addEventListener('waiting', () => {
            this.waiting = true
            this.listeners.forEach((listener) => listener())
        })
        // A part of a version that is gone cannot be fetched any more: the page is loaded anew, once.
        window.addEventListener('vite:preloadError', (event) => {
            if (!navigator.onLine || sessionStorage.getItem(RELOADED) !== null) return
            event.preventDefault()
            sessionStorage.setItem(RELOADED, 'yes')
            window.location.reload()
        })
        setTimeout(() => sessionStorage.removeItem(RELOADED), 10_000)
        // Where there is no room for it, the program works all the same while there is a line.
        this.box.register().catch(() => undefined)
        setInterval(() => void this.box?.update().catch(() => undefined), LOOK_MS)
    }

    subscribe = (listener: () => void): (() => void) => {
        this.listeners.add(listener)
        return () => this.listeners.delete(listener)
    }

    waits = (): boolean => this.waiting

    /** Only this tab is loaded anew; another one goes on as it is until somebody loads it. */
    take(): void {
        const anew = () => window.location.reload()
        navigator.serviceWorker.addEventListener('controllerchange', anew, { once: true })
        this.box?.messageSkipWaiting()
        // Whatever keeps the worker: the server has the new version, and opens it.
        setTimeout(anew, TAKEN_MS)
    }
}

/** The new worker has taken over by then. */
const TAKEN_MS = 2_500

const RELOADED = 'open-seam-reloaded'
/** How often a tab that stays open looks for a new version. */
const LOOK_MS = 30 * 60_000

export const version = new Version()
