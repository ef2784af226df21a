import { useSyncExternalStore } from 'react'

/** What was kept last, so that it can be put right wherever one goes next. */
export interface Kept {
    sample: string
    class: string
    student: string
    name: string
    next: string
    /** It is kept on this device and waits for the line. */
    waits: boolean
}

const KEY = 'open-seam-kept'
const listeners = new Set<() => void>()
let current: Kept | null = read()

function read(): Kept | null {
    try {
        return JSON.parse(sessionStorage.getItem(KEY) ?? 'null') as Kept | null
    } catch {
        return null
    }
}

/** Shown until the next one is kept, it is corrected, or it is closed; null closes it. */
export function tellKept(kept: Kept | null): void {
    current = kept
    if (kept === null) sessionStorage.removeItem(KEY)
    else sessionStorage.setItem(KEY, JSON.stringify(kept))
    listeners.forEach((listener) => listener())
}

export function useKept(): Kept | null {
    return useSyncExternalStore(
        (listener) => {
            listeners.add(listener)
            return () => listeners.delete(listener)
        },
        () => current,
    )
}
