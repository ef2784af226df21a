import { clear, createStore, del, entries, set } from 'idb-keyval'
import { useSyncExternalStore } from 'react'
import { busyWith } from '../api/busy'
import type { View } from '../api/client'

/** A picture of a sample that nobody has taken over yet: it waits for the line, or for a look. */
export interface TakenPicture {
    /** What is read of it goes into the sample with this id: taken over twice it is still one. */
    id: string
    class: string
    lesson: string
    version: number
    way: View['WayView']
    piece: string
    /** Of a flat scan; null: a photograph on the card. */
    dpi: number | null
    /** Whose it is as far as anybody said; a slip in the picture says it better. */
    student: string | null
    /** Somebody chose the student; else it was whoever came next. */
    chosen: boolean
    /** In a round, or of one student's sample. */
    round: boolean
    name: string
    title: string
    at: string
    image: Blob
    width: number
    height: number
    /** So much smaller it was made. */
    scale: number
}

/** They lie in the browser's database, on this device alone, until they were taken over; a copy in hand answers at once. */
class Pictures {
    private readonly store = createStore('open-seam-pictures', 'pictures')
    private readonly channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('open-seam-pictures')
    private list: readonly TakenPicture[] = []
    private readonly listeners = new Set<() => void>()
    /** Nothing is known before. */
    readonly ready: Promise<void>

    constructor() {
        this.ready = this.load()
        this.channel?.addEventListener('message', () => void this.load())
    }

    /** Oldest first; the same list until something changes. */
    all = (): readonly TakenPicture[] => this.list

    subscribe = (listener: () => void): (() => void) => {
        this.listeners.add(listener)
        return () => this.listeners.delete(listener)
    }

    async put(picture: TakenPicture): Promise<void> {
        await busyWith(set(picture.id, picture, this.store))
        this.tell([...this.list.filter((p) => p.id !== picture.id), picture])
    }

    async drop(ids: readonly string[]): Promise<void> {
        await Promise.all(ids.map((id) => busyWith(del(id, this.store))))
        this.tell(this.list.filter((p) => !ids.includes(p.id)))
    }

    /** At sign-out nothing of the studio stays on the device. */
    async forgetAll(): Promise<void> {
        await clear(this.store)
        this.tell([])
    }

    private async load(): Promise<void> {
        this.list = (await entries<string, TakenPicture>(this.store)).map(([, picture]) => picture).sort((a, b) => a.at.localeCompare(b.at))
        this.listeners.forEach((listener) => listener())
    }

    private tell(now: readonly TakenPicture[]): void {
        this.list = [...now].sort((a, b) => a.at.localeCompare(b.at))
        this.listeners.forEach((listener) => listener())
        this.channel?.postMessage('changed')
    }
}

export const pictures = new Pictures()

/** Those of these classes, oldest first. */
export function usePictures(classes: readonly string[]): TakenPicture[] {
    return useSyncExternalStore(pictures.subscribe, pictures.all).filter((p) => classes.includes(p.class))
}
