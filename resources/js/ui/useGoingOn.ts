import { useRef, type RefObject } from 'react'

/** An Enter so soon after an answer belongs to it: the field has gone on already. */
const AFTER_ANSWER_MS = 600

/** From reading to reading of a form, by Enter and by answers. */
export function useGoingOn(form: RefObject<HTMLFormElement | null>) {
    const answered = useRef(0)
    /** To the next field; false: this is the last one. */
    const goOn = (from: Element | null): boolean => {
        const fields = [...(form.current?.querySelectorAll<HTMLElement>('[data-reading]') ?? [])]
        const next = fields[fields.findIndex((field) => field === from) + 1]
        next?.focus()
        return next !== undefined
    }
    const now = () => {
        answered.current = Date.now()
    }
    return {
        goOn,
        /** The field in hand was answered by a key. On the last one Enter is an act of its own. */
        onAnswered: () => {
            answered.current = 0
            if (!goOn(document.activeElement)) return
            now()
            // On a slow device the step takes its time to be seen: only then the hand knows that it was made.
            requestAnimationFrame(() => answered.current > 0 && now())
        },
        /** Any other key ends it. */
        onKey: (key: string) => {
            if (key !== 'Enter') answered.current = 0
        },
        /** Whoever answers and presses Enter means the answer. */
        belongsToAnswer: () => Date.now() - answered.current <= AFTER_ANSWER_MS,
    }
}
