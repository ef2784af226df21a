import type { ReactNode, SubmitEvent } from 'react'
import { cx } from './dress'

/** The door of the program: a piece of seam, a title, a form. */
export function Frame({ title, children, onSubmit }: { title: string; children: ReactNode; onSubmit: () => void }) {
    const submit = (event: SubmitEvent) => {
        event.preventDefault()
        onSubmit()
    }
    return (
        <main className={cx('sign-in')}>
            <form onSubmit={submit}>
                <svg viewBox="0 0 340 60" aria-hidden="true" className={cx('sign-in-seam')}>
                    <path d="M0 14h340M0 46h340" className={cx('edge')} />
                    <path d="M4 30h332" className={cx('seam')} />
                </svg>
                <h1>{title}</h1>
                {children}
            </form>
        </main>
    )
}
