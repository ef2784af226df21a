import { useLayoutEffect, useState, type RefObject } from 'react'
import { cx } from './dress'

/** Threads from the lessons that the one in hand stands on, drawn over the sessions. */
export function PlanThreads({
    over,
    touched,
    needs,
    change,
}: {
    over: RefObject<HTMLElement | null>
    touched: string | null
    needs: string[]
    change: unknown
}) {
    const [threads, setThreads] = useState<string[]>([])
    useLayoutEffect(() => {
        const draw = () => {
            const box = over.current
            const to = touched === null ? null : box?.querySelector(`[data-lesson="${CSS.escape(touched)}"]`)
            if (box === null || to === null || to === undefined) return setThreads([])
            const origin = box.getBoundingClientRect()
            const end = to.getBoundingClientRect()
            setThreads(
                needs.flatMap((id) => {
                    const from = box.querySelector(`[data-lesson="${CSS.escape(id)}"]`)?.getBoundingClientRect()
                    if (from === undefined) return []
                    const same = Math.abs(from.top - end.top) < 4
                    const [x1, y1] = same ? [from.right - 6, from.bottom - 8] : [from.left + Math.min(40, from.width / 2), from.bottom - 3]
                    const [x2, y2] = same ? [end.left + 6, end.bottom - 8] : [end.left + Math.min(24, end.width / 2), end.top + 3]
                    const [a, b] = [y1 - origin.top, y2 - origin.top]
                    const bend = same ? 14 : Math.max(18, Math.abs(b - a) / 2)
                    const along = (x: number) => x - origin.left
                    return [
                        same
                            ? `M${along(x1)} ${a}C${along(x1) + 8} ${a + bend} ${along(x2) - 8} ${b + bend} ${along(x2)} ${b}`
                            : `M${along(x1)} ${a}C${along(x1)} ${a + bend} ${along(x2)} ${b - bend} ${along(x2)} ${b}`,
                    ]
                }),
            )
        }
        draw()
        window.addEventListener('resize', draw)
        return () => window.removeEventListener('resize', draw)
    }, [over, touched, needs, change])
    return (
        <svg className={cx('plan-threads')} aria-hidden="true">
            {threads.map((d) => (
                <path key={`${d} under`} className={cx('under')} d={d} />
            ))}
            {threads.map((d) => (
                <path key={d} d={d} />
            ))}
        </svg>
    )
}
