import { useState, type KeyboardEvent } from 'react'

/** A grid of buttons has one stop for Tab; within it the arrows, Home and End go from cell to cell. */
export function useGridKeys() {
    const [at, setAt] = useState<readonly [number, number]>([0, 0])
    return {
        table: (rows: number, columns: number) => ({
            onKeyDown: (event: KeyboardEvent<HTMLElement>) => {
                const found = /^(\d+)\.(\d+)$/.exec((event.target as HTMLElement).dataset.cell ?? '')
                if (found === null) return
                const [row, column] = [Number(found[1]), Number(found[2])]
                const to = {
                    ArrowUp: [row - 1, column],
                    ArrowDown: [row + 1, column],
                    ArrowLeft: [row, column - 1],
                    ArrowRight: [row, column + 1],
                    Home: [event.ctrlKey ? 0 : row, 0],
                    End: [event.ctrlKey ? rows - 1 : row, columns - 1],
                }[event.key]
                if (to === undefined) return
                event.preventDefault()
                const next = [Math.min(rows - 1, Math.max(0, to[0] ?? 0)), Math.min(columns - 1, Math.max(0, to[1] ?? 0))] as const
                setAt(next)
                event.currentTarget.querySelector<HTMLElement>(`[data-cell="${next[0]}.${next[1]}"]`)?.focus()
            },
        }),
        cell: (row: number, column: number) => ({
            'data-cell': `${row}.${column}`,
            tabIndex: at[0] === row && at[1] === column ? 0 : -1,
            onFocus: () => setAt([row, column]),
        }),
    }
}
