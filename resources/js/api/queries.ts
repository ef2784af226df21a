import { keepPreviousData, QueryClient, queryOptions, useMutation, useQuery } from '@tanstack/react-query'
import { createContext, useContext, useEffect, useRef } from 'react'
import type { Unit } from '../text/lengths'
import { api, ask, lineIsDown, Problem, type View } from './client'
import { whole } from './pictures'
import { TOUCHES, touched } from './places'

export const queries = new QueryClient({
    defaultOptions: {
        // A line that is down is said, not waited for.
        mutations: { networkMode: 'always' },
        queries: {
            networkMode: 'always',
            staleTime: 10_000,
            // What was read stays in hand while the tab is open: without a line there is nothing else.
            gcTime: Infinity,
            retry: (count, error) => !(error instanceof Problem && error.status >= 400) && count < 1 && !lineIsDown(),
            retryDelay: 400,
            refetchOnWindowFocus: true,
        },
    },
})

export function useMe() {
    return useQuery({ queryKey: ['me'], queryFn: () => ask(api.GET('/api/me')), staleTime: 60_000 })
}

/** What the reader measures in, where it is known; a page without an account says so itself. */
export const OwnUnit = createContext<Unit | null>(null)

export function useUnit(): Unit {
    const own = useContext(OwnUnit)
    // Never asked for by a drawing: whoever has no account must not be sent to sign in.
    const me = useQuery<View['MeView']>({ queryKey: ['me'], enabled: false }).data
    return own ?? me?.unit ?? 'mm'
}

export const todayOf = (id: string) =>
    queryOptions({ queryKey: ['today', id], queryFn: () => ask(api.GET('/api/classes/{class}/today', { params: { path: { class: id } } })) })

export function useToday(id: string) {
    return useQuery({ ...todayOf(id), refetchInterval: 30_000 })
}

/** Which sample is looked at, where it is not the one in hand as the class is taught it. */
export interface LookOf {
    lesson?: string | null
    version?: number | null
    replaces?: string | null
    /** It was sewn on, by id. */
    machine?: string | null
    /** It was sewn by, ids with commas. */
    schools?: string | null
}

/** How one student's sample is looked at; asked for ahead, or in hand. */
export function lookAt(id: string, student: string, of: LookOf = {}) {
    const query = Object.fromEntries(Object.entries(of).filter(([, value]) => value !== null && value !== undefined))
    return queryOptions({
        queryKey: ['look', id, student, query],
        queryFn: () => ask(api.GET('/api/classes/{class}/students/{student}/look', { params: { path: { class: id, student }, query } })),
    })
}

export function useLook(id: string, student: string, of: LookOf, wanted = true) {
    // The same sample on another machine or by another school: the sheet stays until the other one is there.
    return useQuery({
        ...lookAt(id, student, of),
        staleTime: 0,
        refetchOnWindowFocus: false,
        enabled: wanted,
        placeholderData: (before) => (before?.student === student && before.lesson.id === of.lesson ? before : undefined),
    })
}

export function usePhotos(id: string, student: string, lesson: string) {
    return useQuery({
        queryKey: ['photos', id, student, lesson],
        queryFn: () => ask(api.GET('/api/classes/{class}/students/{student}/photos', { params: { path: { class: id, student }, query: { lesson } } })),
    })
}

/** One kept sample with its corrections and notes. */
export function useKeptSample(sample: string) {
    return useQuery({ queryKey: ['sample', sample], queryFn: () => ask(api.GET('/api/samples/{sample}', { params: { path: { sample } } })) })
}

/** Their newest samples, read at once: each is at hand as one that was opened. */
export const newestOf = (id: string, student: string) =>
    queryOptions({
        queryKey: ['newest', id, student],
        queryFn: async () => {
            const samples = await ask(api.GET('/api/classes/{class}/students/{student}/samples', { params: { path: { class: id, student } } }))
            for (const sample of samples) for (const version of sample.versions) queries.setQueryData(['sample', version.id], sample)
            return samples.length
        },
    })

const PULSE_MS = 4_000

/** What others keep in the class meanwhile is seen within five seconds: one cheap question, and everything is read again when the answer changes. */
export function usePulse(id: string) {
    const pulse = useQuery({
        queryKey: ['pulse', id],
        queryFn: () => ask(api.GET('/api/classes/{class}/pulse', { params: { path: { class: id } } })),
        refetchInterval: PULSE_MS,
        staleTime: 0,
        retry: false,
    }).data?.at
    const seen = useRef<string | undefined>(undefined)
    useEffect(() => {
        if (pulse === undefined) return
        if (seen.current !== undefined && seen.current !== pulse) {
            void readAgain('others')
        }
        seen.current = pulse
    }, [pulse])
}

export const studentOf = (id: string, student: string) =>
    queryOptions({
        queryKey: ['student', id, student],
        queryFn: () => ask(api.GET('/api/classes/{class}/students/{student}', { params: { path: { class: id, student } } })),
    })

export function useStudent(id: string, student: string) {
    return useQuery(studentOf(id, student))
}

export const classOf = (id: string) =>
    queryOptions({ queryKey: ['class', id], queryFn: () => ask(api.GET('/api/classes/{class}', { params: { path: { class: id } } })) })

export function useClass(id: string, wanted = true) {
    return useQuery({ ...classOf(id), enabled: wanted })
}

export function useEvidence(id: string, student: string, skill: string) {
    return useQuery({
        queryKey: ['evidence', id, student, skill],
        queryFn: () => ask(api.GET('/api/classes/{class}/students/{student}/skills/{skill}', { params: { path: { class: id, student, skill } } })),
    })
}

export const planOf = (id: string) =>
    queryOptions({ queryKey: ['plan', id], queryFn: () => ask(api.GET('/api/classes/{class}/plan', { params: { path: { class: id } } })) })

export function usePlan(id: string, wanted = true) {
    return useQuery({ ...planOf(id), enabled: wanted })
}

/** The lessons on the shelf, in the ways a class is taught them where one is named. */
export const lessonsOf = (classId?: string) =>
    queryOptions({
        queryKey: ['lessons', classId ?? ''],
        queryFn: () => ask(api.GET('/api/lessons', { params: { query: classId === undefined ? {} : { class: classId } } })),
        staleTime: 600_000,
    })

export function useLessons(classId?: string) {
    return useQuery(lessonsOf(classId))
}

export function useMachines() {
    return useQuery({ queryKey: ['machines'], queryFn: () => ask(api.GET('/api/machines')) })
}

export function useNext(id: string, student: string, wanted: boolean) {
    return useQuery({
        queryKey: ['next', id, student],
        queryFn: () => ask(api.GET('/api/classes/{class}/students/{student}/next', { params: { path: { class: id, student } } })),
        enabled: wanted,
    })
}

/** A change, and what it touches: that much is read again afterwards. */
export function useChange<In, Out>(touches: keyof typeof TOUCHES, act: (input: In) => Promise<Out>) {
    return useMutation<Out, Problem, In>({ mutationFn: act, onSuccess: () => readAgain(touches) })
}

/** Reads again what a change of this kind touches. */
export function readAgain(what: keyof typeof TOUCHES): Promise<void> {
    return queries.invalidateQueries({ predicate: (q) => touched(TOUCHES[what], q.queryKey) })
}

export type Lesson = View['LessonView']

export const roomOf = (classId: string | undefined) =>
    queryOptions({
        queryKey: ['room', classId],
        queryFn: () => ask(api.GET('/api/room', { params: { query: classId === undefined ? {} : { class: classId } } })),
    })

export function useRoom(classId: string | undefined) {
    return useQuery(roomOf(classId))
}

export function useAnswers(of: { lesson?: string; student?: string }) {
    return useQuery({ queryKey: ['answers', of], queryFn: () => ask(api.GET('/api/answers', { params: { query: of } })) })
}

/** A lesson drawn, act by act and step by step, as a class is taught it. */
export const picturesOf = (lesson: string, classId?: string) =>
    queryOptions({
        queryKey: ['pictures', lesson, classId ?? ''],
        queryFn: () => ask(api.GET('/api/lessons/{lesson}/pictures', { params: { path: { lesson }, query: classId === undefined ? {} : { class: classId } } })),
        staleTime: 600_000,
    })

export function usePictures(lesson: string, classId: string | undefined) {
    return useQuery({ ...picturesOf(lesson, classId), enabled: lesson !== '', select: whole }).data
}

/** What a lesson's rows look like, for those who look without a ruler. */
export function useRowLooks(lesson: string, classId: string | undefined, wanted: boolean) {
    return useQuery({
        queryKey: ['pictures', 'looks', lesson, classId ?? ''],
        queryFn: () => ask(api.GET('/api/lessons/{lesson}/looks', { params: { path: { lesson }, query: classId === undefined ? {} : { class: classId } } })),
        staleTime: 600_000,
        enabled: wanted,
    })
}

export function useDials(lesson: string, classId: string | undefined) {
    return useQuery({
        queryKey: ['dials', lesson, classId ?? ''],
        queryFn: () => ask(api.GET('/api/lessons/{lesson}/dials', { params: { path: { lesson }, query: classId === undefined ? {} : { class: classId } } })),
    })
}

export function useMaterials(id: string, session: number | null, samplesEach: number | null) {
    return useQuery({
        queryKey: ['materials', id, session, samplesEach],
        queryFn: () =>
            ask(
                api.GET('/api/classes/{class}/materials', {
                    params: {
                        path: { class: id },
                        query: { ...(session === null ? {} : { session }), ...(samplesEach === null ? {} : { samples_each: samplesEach }) },
                    },
                }),
            ),
        placeholderData: keepPreviousData,
        retry: false,
    })
}

export function useLessonText(lesson: string) {
    return useQuery({
        queryKey: ['lesson-text', lesson],
        queryFn: () => ask(api.GET('/api/lessons/{lesson}/text', { params: { path: { lesson } } })),
        refetchOnWindowFocus: false,
        retry: false,
    })
}

export function useShelf() {
    return useQuery({ queryKey: ['shelf'], queryFn: () => ask(api.GET('/api/shelf')) })
}

export function useForecast(id: string) {
    return useQuery({ queryKey: ['forecast', id], queryFn: () => ask(api.GET('/api/classes/{class}/forecast', { params: { path: { class: id } } })) })
}

export function usePlanNeeds(id: string) {
    return useQuery({ queryKey: ['plan-needs', id], queryFn: () => ask(api.GET('/api/classes/{class}/plan/needs', { params: { path: { class: id } } })) })
}

/** What each way of planning costs in sessions, for the plan as it stands. */
export function usePlanCosts(id: string, version: number) {
    return useQuery({
        queryKey: ['plan-costs', id, version],
        queryFn: () => ask(api.GET('/api/classes/{class}/plan/costs', { params: { path: { class: id } } })),
        placeholderData: keepPreviousData,
    })
}

/** How many sessions a course would take; null: not enough is known to ask. */
export function useEstimate(of: View['EstimateBody'] | null) {
    return useQuery({
        queryKey: ['estimate', of],
        queryFn: () => (of === null ? null : ask(api.POST('/api/plan/estimate', { body: of }))),
        enabled: of !== null,
        placeholderData: keepPreviousData,
        retry: false,
        staleTime: Infinity,
        select: (answer) => answer ?? undefined,
    })
}

/** Everything that can be found. */
export const findable = () => queryOptions({ queryKey: ['find'], queryFn: () => ask(api.GET('/api/find')), staleTime: 60_000 })

export const faultsOf = () => queryOptions({ queryKey: ['faults'], queryFn: () => ask(api.GET('/api/faults')), staleTime: 600_000 })

export function useFaults() {
    return useQuery(faultsOf())
}

/** A search for a cause; null: none is open. */
export function useHunt(id: string | null) {
    return useQuery({
        queryKey: ['hunt', id],
        queryFn: () => ask(api.GET('/api/hunts/{hunt}', { params: { path: { hunt: id ?? '' } } })),
        enabled: id !== null,
    })
}

/** Settings of good samples that hold these words. */
export function useSettingsLog(q: string) {
    return useQuery({
        queryKey: ['settings-log', q],
        queryFn: () => ask(api.GET('/api/settings', { params: { query: { q } } })),
        placeholderData: keepPreviousData,
    })
}
