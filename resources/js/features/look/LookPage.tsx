import { useEffect } from 'react'
import { Navigate, useNavigate, useParams, useSearchParams } from 'react-router'
import { lookAt, queries, useLook, useMe } from '../../api/queries'
import { t } from '../../app/text'
import { Trouble, Waiting } from '../../ui/Trouble'
import { tellKept } from '../../keeping/kept'
import { LookForm } from './LookForm'
import { begunVersion } from './useSample'

/** Look at the sample: the drawing on the left, the readings on the right, the next lesson as you type. */
export default function LookPage() {
    const { classId = '', studentId = '' } = useParams()
    const [search] = useSearchParams()
    const replaces = search.get('replaces')
    const asked = search.get('version')
    const look = useLook(classId, studentId, search.get('lesson'), asked === null ? null : Number(asked), replaces)
    const me = useMe()
    const navigate = useNavigate()
    // The next one's sheet is fetched ahead: it opens also when the line has gone.
    const ahead = look.data?.next_student?.id
    useEffect(() => {
        if (ahead !== undefined) queries.query(lookAt(classId, ahead, null, null)).catch(() => undefined)
    }, [classId, ahead])
    // What was begun with an older version goes on with it.
    const begun = look.data === undefined ? null : begunVersion(classId, studentId, look.data.lesson.id, replaces)
    if (look.data !== undefined && replaces === null && asked === null && begun !== null && begun !== look.data.lesson.version) {
        return <Navigate replace to={`/look/${classId}/${studentId}?${new URLSearchParams({ ...Object.fromEntries(search), lesson: look.data.lesson.id, version: String(begun) }).toString()}`} />
    }
    if (look.data === undefined || me.data === undefined) return look.error === null ? <Waiting what={t('Fetching the sampler')} /> : <Trouble error={look.error} />
    const corrected = look.data.replaced?.id ?? null
    return (
        <LookForm
            key={`${studentId}:${look.data.lesson.id}:${look.data.number}:${corrected ?? ''}`}
            id={classId} look={look.data} unit={me.data.unit} replaces={corrected}
            onKept={(kept, nextStudent) => {
                tellKept(kept)
                // Whoever put something right goes back to where it was seen.
                if (replaces !== null && window.history.length > 1) void navigate(-1)
                else void navigate(nextStudent === null ? `/today/${classId}` : `/look/${classId}/${nextStudent}`)
            }}
        />
    )
}
