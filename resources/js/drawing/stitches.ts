export type Point = readonly number[]

const at = (point: Point | undefined, i: 0 | 1): number => point?.[i] ?? 0

/** Stitches as one SVG path: a short gap at each needle point, so that they can be counted. */
export function stitchPath(points: readonly Point[], scale: number): string {
    let d = ''
    for (let i = 1; i < points.length; i++) {
        const [ax, ay, bx, by] = [at(points[i - 1], 0), at(points[i - 1], 1), at(points[i], 0), at(points[i], 1)]
        const length = Math.hypot(bx - ax, by - ay)
        if (length === 0) continue
        const gap = Math.min(0.4, 2 / (length * scale))
        const place = (share: number) => `${((ax + (bx - ax) * share) * scale).toFixed(2)} ${((ay + (by - ay) * share) * scale).toFixed(2)}`
        d += `M${place(gap / 2)}L${place(1 - gap / 2)}`
    }
    return d
}

export function linePath(points: readonly Point[], scale: number): string {
    return points.map((p, i) => `${i === 0 ? 'M' : 'L'}${(at(p, 0) * scale).toFixed(2)} ${(at(p, 1) * scale).toFixed(2)}`).join('')
}
