import { useEffect } from 'react'

/** Keeps the screen from going dark while it is looked at, where the browser can. */
export function useAwake(): void {
    useEffect(() => {
        let lock: WakeLockSentinel | null = null
        let gone = false
        const hold = () => {
            if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return
            navigator.wakeLock.request('screen').then(
                (got) => {
                    if (gone) void got.release()
                    else lock = got
                },
                () => undefined,
            )
        }
        hold()
        // A lock ends when the page is hidden.
        document.addEventListener('visibilitychange', hold)
        return () => {
            gone = true
            document.removeEventListener('visibilitychange', hold)
            void lock?.release()
        }
    }, [])
}
