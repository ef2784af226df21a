/// <reference lib="webworker" />
import { cleanupOutdatedCaches, matchPrecache, precacheAndRoute } from 'workbox-precaching'
import { NavigationRoute, registerRoute } from 'workbox-routing'

declare const self: ServiceWorkerGlobalScope

/** A line that is slower than this is none. */
const PATIENCE_MS = 4_000

const slow = () => new Promise<never>((_, no) => setTimeout(() => no(new Error('no answer')), PATIENCE_MS))

/**
 * Every address is opened by the server while it answers, else by the page that came with this version: what it shows lies
 * in the browser's database. The page and all its parts are fetched when a version is installed, so that they belong
 * together; the page from an address that has no session, so that it never stands in the way of a sign-in.
 */
registerRoute(
    new NavigationRoute(
        async ({ request }) => {
            const answer = await Promise.race([fetch(request), slow()]).catch(() => null)
            // A server that is just coming back says so with 5xx.
            if (answer !== null && answer.status < 500) return answer
            return (await matchPrecache('/shell')) ?? answer ?? Response.error()
        },
        { denylist: [/^\/api\//, /^\/build\//, /\.[a-z]+$/] },
    ),
)
precacheAndRoute(self.__WB_MANIFEST, { directoryIndex: null as never })
cleanupOutdatedCaches()

// A new version waits until somebody says that it may take over.
self.addEventListener('message', (event) => {
    if ((event.data as { type?: string } | null)?.type === 'SKIP_WAITING') void self.skipWaiting()
})
