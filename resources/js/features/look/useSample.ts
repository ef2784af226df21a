import { useDebouncedValue } from '@mantine/hooks'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useEffect, useMemo, useState } from 'react'
import { ulid } from 'ulid'
import { api, ask, type View } from '../../api/client'
import type { Photo } from '../../keeping/photos'
import { draftKey, keeping, type Draft, type Own } from '../../keeping/store'

/** Those with their reason: without one nothing is overruled yet. */
function reasoned(own: Record<string, Own> | undefined): Record<string, Own> {
    return Object.fromEntries(Object.entries(own ?? {}).filter(([, o]) => o.because.trim() !== ''))
}

const fresh = (): Draft => ({ id: ulid().toLowerCase(), readings: {}, faults: [], settings: {} })

const stored = (key: string): Draft => ({ ...fresh(), ...keeping.draft(key) })

/** Of what is typed, what the lesson asks for the way it is sewn now; the rest stays typed. */
const only = (readings: Draft['readings'], asked: Set<string>): Draft['readings'] =>
    Object.fromEntries(Object.entries(readings).filter(([key]) => asked.has(key)))

/** What a sample was begun with on this device: version, machine and schools, as far as they were not the usual ones; null where none was begun. */
export function begunWith(id: string, student: string, lesson: string, replaces: string | null): Pick<Draft, 'version' | 'machine' | 'schools'> | null {
    return keeping.draft(draftKey(id, student, lesson, replaces)) ?? null
}

/** An empty place is none that was measured. */
const merged = (typed: Draft['readings'], measured: Record<string, string[]>): Draft['readings'] =>
    Object.fromEntries(Object.entries(measured).map(([reading, values]) => [reading, values.map((v, i) => (v === '' ? (typed[reading]?.[i] ?? '') : v))]))

/** Readings that were measured elsewhere, put to what is typed of this sample. */
export async function addReadings(
    id: string,
    student: string,
    lesson: string,
    replaces: string | null,
    version: number,
    readings: Record<string, string[]>,
): Promise<void> {
    const key = draftKey(id, student, lesson, replaces)
    const draft = stored(key)
    await keeping.putDraft(key, { ...draft, version, readings: { ...draft.readings, ...merged(draft.readings, readings) } })
}

/** What is typed of one sample, kept on this device until it is kept on the server, and judged as it grows. */
export function useSample(
    id: string,
    student: string,
    sheet: View['LessonView'],
    replaces: string | null,
    drill: string | null,
    sewn: Pick<Draft, 'machine' | 'schools'>,
) {
    const { id: lesson, version, way } = sheet
    const key = draftKey(id, student, lesson, replaces)
    const asked = useMemo(() => new Set(sheet.rows.flatMap((r) => r.fields.map((f) => f.key))), [sheet])
    const [draft, setDraft] = useState<Draft>(() => stored(key))
    const touched = Object.keys(draft.readings).length > 0 || draft.faults.length > 0
    const photographed = (draft.photos ?? []).length > 0
    useEffect(() => {
        if (touched || photographed)
            void keeping.putDraft(key, {
                id: draft.id,
                readings: draft.readings,
                faults: draft.faults,
                settings: draft.settings,
                ...(draft.overruled === undefined ? {} : { overruled: draft.overruled }),
                ...(draft.photos === undefined ? {} : { photos: draft.photos }),
                ...(draft.session === undefined ? {} : { session: draft.session }),
                version,
                ...(sewn.machine === undefined ? {} : { machine: sewn.machine }),
                ...(sewn.schools === undefined ? {} : { schools: sewn.schools }),
            })
    }, [key, draft, touched, photographed, version, sewn.machine, sewn.schools])
    const [settled] = useDebouncedValue(draft, 90)
    const body = useMemo(
        () => ({
            id: settled.id,
            class: id,
            student,
            lesson,
            version,
            way,
            drill,
            readings: only(settled.readings, asked),
            faults: settled.faults,
            overruled: reasoned(settled.overruled),
            replaces,
        }),
        [id, student, lesson, version, way, drill, settled, replaces, asked],
    )
    const judged = useQuery({
        queryKey: ['judged', body],
        queryFn: ({ signal }) => ask(api.POST('/api/samples/preview', { body, signal })),
        placeholderData: keepPreviousData,
        staleTime: Infinity,
        gcTime: 60_000,
    })
    return {
        draft,
        touched,
        judged,
        setReading(reading: string, index: number, size: number, value: string) {
            setDraft((d) => {
                const values = Array.from({ length: size }, (_, i) => (i === index ? value : (d.readings[reading]?.[i] ?? '')))
                return { ...d, readings: { ...d.readings, [reading]: values } }
            })
        },
        /** Those that were measured; what could not be told stays as it was typed. */
        addReadings(readings: Record<string, string[]>) {
            setDraft((d) => ({ ...d, readings: { ...d.readings, ...merged(d.readings, readings) } }))
        },
        toggleFault(fault: string) {
            setDraft((d) => ({ ...d, faults: d.faults.includes(fault) ? d.faults.filter((f) => f !== fault) : [...d.faults, fault] }))
        },
        overrule(check: string, own: Own | null) {
            setDraft((d) => ({
                ...d,
                overruled: Object.fromEntries([
                    ...Object.entries(d.overruled ?? {}).filter(([k]) => k !== check),
                    ...(own === null ? [] : [[check, own] as const]),
                ]),
            }))
        },
        addPhoto(photo: Photo) {
            setDraft((d) => ({ ...d, photos: [...(d.photos ?? []), photo] }))
        },
        dropPhoto(photo: string) {
            setDraft((d) => ({ ...d, photos: (d.photos ?? []).filter((p) => p.id !== photo) }))
        },
        /** Null: in the session in hand. */
        setSession(session: string | null) {
            setDraft((d) => {
                const rest = { ...d }
                delete rest.session
                return session === null ? rest : { ...rest, session }
            })
        },
        setSetting(name: string, value: string) {
            setDraft((d) => ({ ...d, settings: { ...d.settings, [name]: value } }))
        },
        /** Something was typed that nobody has judged yet. */
        unsettled: settled !== draft,
        toKeep(choice: View['ChoiceBody'] | null, known: number | null, sure: boolean): View['SampleBody'] {
            const rest = {
                class: id,
                student,
                lesson,
                version,
                way,
                drill,
                readings: only(draft.readings, asked),
                faults: draft.faults,
                settings: draft.settings,
                overruled: reasoned(draft.overruled),
                replaces,
                known,
                sure,
                ...(draft.session === undefined ? {} : { session: draft.session }),
            }
            return choice === null ? { id: draft.id, ...rest } : { id: draft.id, ...rest, next: choice }
        },
        forget() {
            void keeping.dropDraft(key)
        },
        startFrom(kept: Pick<Draft, 'readings' | 'faults' | 'settings'> & { overruled: Record<string, Own> }) {
            // A correction is a sample of its own.
            setDraft({ readings: kept.readings, faults: kept.faults, settings: kept.settings, overruled: kept.overruled, id: ulid().toLowerCase() })
        },
    }
}
