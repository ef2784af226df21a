/**
 * What is under way: requests, and writes to the browser's database. The page carries a sign while
 * there is any, for whoever drives it from outside and must not guess when it has come to rest.
 */
let under = 0

function show(): void {
    if (under > 0) document.documentElement.dataset.busy = String(under)
    else delete document.documentElement.dataset.busy
}

export async function busyWith<T>(work: Promise<T>): Promise<T> {
    under++
    show()
    try {
        return await work
    } finally {
        under--
        show()
    }
}
