import { useEffect } from 'react'
import { Problem, type View } from '../api/client'
import { classOf, faultsOf, findable, lessonsOf, lookAt, newestOf, picturesOf, planOf, queries, roomOf, studentOf, todayOf } from '../api/queries'
import { demosOf } from './demos'
import { seen } from './seen'

/** What was seen so long ago is fetched again. */
const OLD_MS = 10 * 60_000
/** Nothing is fetched ahead while a page is still being laid out. */
const AT_REST_MS = 2_500
/** Between one and the next: whoever works at it comes first. */
const PAUSE_MS = 120

interface Wanted {
    key: readonly unknown[]
    read: () => Promise<unknown>
}

const pause = (ms: number) => new Promise((done) => setTimeout(done, ms))

async function fetchAhead(wanted: readonly Wanted[], stopped: () => boolean): Promise<void> {
    for (const { key, read } of wanted) {
        if (stopped()) return
        if (Date.now() - seen.at(key) < OLD_MS) continue
        try {
            await read()
        } catch (problem) {
            // Without a line there is nothing to fetch; the next round tries again.
            if (!(problem instanceof Problem) || problem.status === 0 || problem.status >= 429) return
        }
        await pause(PAUSE_MS)
    }
}

const NOW = { staleTime: 0, retry: false } as const

/** A student’s sheet, their page. */
const sheet = (id: string, student: string): Wanted => {
    const of = lookAt(id, student)
    return { key: of.queryKey, read: () => queries.query({ ...of, ...NOW }) }
}
const page = (id: string, student: string): Wanted => {
    const of = studentOf(id, student)
    return { key: of.queryKey, read: () => queries.query({ ...of, ...NOW }) }
}

const newest = (id: string, student: string): Wanted => {
    const of = newestOf(id, student)
    return { key: of.queryKey, read: () => queries.query({ ...of, ...NOW }) }
}

/** What is shown at the front. */
const drawn = (id: string, lessons: readonly string[]): Wanted[] =>
    lessons.map((lesson) => ({ key: picturesOf(lesson, id).queryKey, read: () => queries.query({ ...picturesOf(lesson, id), ...NOW }) }))

/** What whoever is in the room needs of a class. */
const ofRoom = (id: string): Wanted[] => [
    { key: todayOf(id).queryKey, read: () => queries.query({ ...todayOf(id), ...NOW }) },
    { key: lessonsOf(id).queryKey, read: () => queries.query({ ...lessonsOf(id), ...NOW }) },
    { key: roomOf(id).queryKey, read: () => queries.query({ ...roomOf(id), ...NOW }) },
    { key: findable().queryKey, read: () => queries.query({ ...findable(), ...NOW }) },
    { key: faultsOf().queryKey, read: () => queries.query({ ...faultsOf(), ...NOW }) },
]

/** What whoever teaches it needs as well. */
const ofTeaching = (id: string): Wanted[] => [
    { key: classOf(id).queryKey, read: () => queries.query({ ...classOf(id), ...NOW }) },
    { key: planOf(id).queryKey, read: () => queries.query({ ...planOf(id), ...NOW }) },
]

/** Fetches what the session in hand may need when the line has gone: every student's sheet, newest samples and page, lessons, room, plan. */
export function useAhead(classId: string | undefined, role: View['MeView']['role']): void {
    useEffect(() => {
        if (classId === undefined) return
        let stopped = false
        const gone = () => stopped || document.hidden
        const round = async () => {
            await fetchAhead(ofRoom(classId), gone)
            const today = seen.of(todayOf(classId).queryKey) as View['TodayView'] | undefined
            const students = today?.students ?? []
            await fetchAhead(drawn(classId, demosOf(today)), gone)
            await fetchAhead(
                students.flatMap((s) => [sheet(classId, s.student), newest(classId, s.student)]),
                gone,
            )
            if (role === 'helper') return
            await fetchAhead([...ofTeaching(classId), ...students.map((s) => page(classId, s.student))], gone)
        }
        const first = setTimeout(() => void round(), AT_REST_MS)
        const again = setInterval(() => void round(), OLD_MS)
        return () => {
            stopped = true
            clearTimeout(first)
            clearInterval(again)
        }
    }, [classId, role])
}

/** What was kept of a student changes their sheet: it is read again, for the next time. */
export function lookAhead(classId: string, student: string): void {
    for (const of of [sheet, newest])
        void of(classId, student)
            .read()
            .catch(() => undefined)
}
