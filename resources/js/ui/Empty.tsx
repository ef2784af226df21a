import type { ReactNode } from 'react'

/** Where nothing is yet: what goes here, and the first step to it. */
export function Empty({ children }: { children: ReactNode }) {
    return <p className="empty">{children}</p>
}
