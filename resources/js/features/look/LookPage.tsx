import { useEffect, useState } from 'react'
import { Navigate, useNavigate, useParams, useSearchParams } from 'react-router'
import { lookAt, queries, useMe } from '../../api/queries'
import { lookAhead } from '../../keeping/ahead'
import { tellKept } from '../../keeping/kept'
import { t } from '../../text/words'
import { Trouble, Waiting } from '../../ui/Trouble'
import { LookForm } from './LookForm'
import { begunWith } from './useSample'
import { useSheet } from './useSheet'

/** Look at the sample: the drawing on the left, the readings on the right, the next lesson as you type. */
export default function LookPage() {
    const { classId = '', studentId = '' } = useParams()
    const [search] = useSearchParams()
    const replaces = search.get('replaces')
    const asked = search.get('version')
    const [machine, schools] = [search.get('machine'), search.get('schools')]
    const { look, error, known } = useSheet(classId, studentId, {
        lesson: search.get('lesson'),
        version: asked === null ? null : Number(asked),
        replaces,
        machine,
        schools,
    })
    const me = useMe()
    const [turn, setTurn] = useState(0)
    const navigate = useNavigate()
    // The next one's sheet is fetched ahead: it opens also when the line has gone.
    const ahead = look?.next_student?.id
    useEffect(() => {
        if (ahead !== undefined) queries.query(lookAt(classId, ahead)).catch(() => undefined)
    }, [classId, ahead])
    const go = (more: Record<string, string | null>) =>
        `/look/${classId}/${studentId}?${new URLSearchParams(Object.entries({ ...Object.fromEntries(search), ...more }).filter((e): e is [string, string] => e[1] !== null)).toString()}`
    // What was begun with an older version, or another way, goes on with it.
    const begun = look === undefined ? null : begunWith(classId, studentId, look.lesson.id, replaces)
    if (look !== undefined && replaces === null && begun !== null) {
        const more = {
            ...(asked === null && begun.version !== undefined && begun.version !== look.lesson.version ? { version: String(begun.version) } : {}),
            ...(machine === null && begun.machine !== undefined ? { machine: begun.machine } : {}),
            ...(schools === null && begun.schools !== undefined ? { schools: begun.schools } : {}),
        }
        if (Object.keys(more).length > 0) return <Navigate replace to={go({ lesson: look.lesson.id, ...more })} />
    }
    if (look === undefined || me.data === undefined) return error === null ? <Waiting what={t('look.fetchingTheSampler')} /> : <Trouble error={error} />
    const corrected = look.replaced?.id ?? null
    const lessonId = look.lesson.id
    return (
        <LookForm
            key={`${studentId}:${look.lesson.id}:${corrected ?? ''}:${turn}`}
            id={classId}
            look={look}
            unit={me.data.unit}
            replaces={corrected}
            known={known}
            sewn={{ ...(machine === null ? {} : { machine }), ...(schools === null ? {} : { schools }) }}
            onSewn={(other) => void navigate(go({ lesson: lessonId, ...other }), { replace: true })}
            onKept={(kept, nextStudent) => {
                tellKept(kept)
                setTurn(turn + 1)
                if (!kept.waits) lookAhead(classId, studentId)
                // Whoever put something right goes back to where it was seen.
                if (replaces !== null && window.history.length > 1) void navigate(-1)
                else void navigate(nextStudent === null ? `/today/${classId}` : `/look/${classId}/${nextStudent}`)
            }}
        />
    )
}
