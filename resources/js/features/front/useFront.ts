import { useQuery } from '@tanstack/react-query'
import { useEffect, useMemo, useRef, useState } from 'react'
import { useSearchParams } from 'react-router'
import { api, ask } from '../../api/client'
import { useLessons, useToday } from '../../api/queries'
import { demosOf } from '../../keeping/demos'
import { slidesOf, turned, type Shown } from './slides'

/** How often a screen asks whether the page was turned elsewhere. */
const ASK_MS = 1_200

/** What the screen of a class shows, here and on whatever else turns its pages; without a line it turns alone. What only follows shows whatever the screen does. */
export function useFront(classId: string, follows = false) {
    const [wanted] = useSearchParams()
    const lessons = useLessons(classId)
    const today = useToday(classId).data
    const asked = wanted.get('lesson')
    const order = useMemo(() => {
        const demos = demosOf(today)
        return asked === null || demos.includes(asked) ? demos : [asked]
    }, [today, asked])
    const [shown, setShown] = useState<Shown | null>(asked === null ? null : { lesson: asked, at: 0, begun_at: null })
    const version = useRef(asked === null ? 0 : -1)
    const remote = useQuery({
        queryKey: ['front', classId],
        queryFn: () => ask(api.GET('/api/classes/{class}/front', { params: { path: { class: classId } } })),
        refetchInterval: ASK_MS,
        staleTime: 0,
        retry: false,
    }).data
    const show = (next: Shown | null) => {
        if (next === null) return
        setShown(next)
        api.PUT('/api/classes/{class}/front', { params: { path: { class: classId } }, body: next }).then(
            ({ data }) => {
                if (data !== undefined) version.current = Math.max(version.current, data.version)
            },
            () => undefined,
        )
    }
    useEffect(() => {
        if (remote === undefined || remote.lesson === null) return
        if (version.current === 0 && !follows && !order.includes(remote.lesson)) {
            // What is left of another evening is not what is shown now.
            if (today !== undefined) version.current = remote.version
            return
        }
        if (version.current === -1) {
            // Opened for one lesson: what was shown before is over.
            version.current = remote.version
            return
        }
        if (remote.version > version.current) {
            version.current = remote.version
            setShown({ lesson: remote.lesson, at: remote.at, begun_at: remote.begun_at })
        }
    }, [remote, follows, order, today])
    // The screen that was opened for a lesson says so to the others, once.
    const told = useRef(false)
    useEffect(() => {
        if (asked === null || told.current) return
        told.current = true
        show({ lesson: asked, at: 0, begun_at: null })
    })
    const known = lessons.data ?? []
    const first = order[0]
    const now: Shown | null = shown ?? (first === undefined ? null : { lesson: first, at: 0, begun_at: null })
    const lesson = known.find((l) => l.id === now?.lesson)
    const lengths = useMemo(() => new Map((lessons.data ?? []).map((l) => [l.id, slidesOf(l, undefined).length])), [lessons.data])
    const along = now !== null && order.includes(now.lesson) ? order : now === null ? [] : [now.lesson]
    const go = (by: 1 | -1) => {
        if (now !== null) show(turned(now, by, lengths, along, new Date().toISOString()))
    }
    const can = (by: 1 | -1) => now !== null && turned(now, by, lengths, along, '') !== null
    return { ready: lessons.data !== undefined && (today !== undefined || asked !== null), error: lessons.error, lesson, now, go, can, show }
}
