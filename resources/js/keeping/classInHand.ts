import { useEffect, useSyncExternalStore } from 'react'
import { useLocation } from 'react-router'
import type { View } from '../api/client'

const KEY = 'open-seam-class'
const listeners = new Set<() => void>()

/** Kept per tab: another tab may have another class in hand. */
export function takeInHand(id: string): void {
    sessionStorage.setItem(KEY, id)
    listeners.forEach((listener) => listener())
}

function subscribe(listener: () => void): () => void {
    listeners.add(listener)
    return () => listeners.delete(listener)
}

/** The class in hand: the one the address names, else the one this tab came from, else the next to be taught. */
export function useClassInHand(classes: View['NamedView'][]): View['NamedView'] | undefined {
    const { pathname } = useLocation()
    const taken = useSyncExternalStore(subscribe, () => sessionStorage.getItem(KEY))
    // The second part of an address is a class wherever a class is meant.
    const named = classes.find((c) => c.id === pathname.split('/')[2])?.id
    useEffect(() => {
        if (named !== undefined) takeInHand(named)
    }, [named])
    return classes.find((c) => c.id === (named ?? taken)) ?? classes[0]
}
