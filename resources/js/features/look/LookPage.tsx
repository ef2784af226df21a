import { useState } from 'react'
import { Link, useNavigate, useParams, useSearchParams } from 'react-router'
import { useLook, useMe } from '../../api/queries'
import { t } from '../../app/text'
import { Trouble, Waiting } from '../../ui/Trouble'
import { LookForm, type Kept } from './LookForm'

/** Look at the sample: the drawing on the left, the readings on the right, the next lesson as you type. */
export default function LookPage() {
    const { classId = '', studentId = '' } = useParams()
    const [search] = useSearchParams()
    const look = useLook(classId, studentId, search.get('lesson'))
    const me = useMe()
    const navigate = useNavigate()
    const [kept, setKept] = useState<Kept | null>(null)
    if (look.data === undefined || me.data === undefined) return look.error === null ? <Waiting what={t('Fetching the sampler')} /> : <Trouble error={look.error} />
    const replaces = search.get('replaces')
    return (
        <>
            <LookForm
                key={`${studentId}:${look.data.lesson.id}:${look.data.number}:${replaces ?? ''}`}
                id={classId} look={look.data} unit={me.data.unit} replaces={replaces}
                from={replaces !== null && kept?.sample === replaces ? kept.draft : null}
                onKept={(now) => {
                    setKept(now)
                    void navigate(now.nextStudent === null ? `/today/${classId}` : `/look/${classId}/${now.nextStudent}`)
                }}
            />
            {kept !== null && replaces === null && (
                <div className="kept" role="status">
                    <span>{t('Kept. {name} sews next: {lesson}', { name: kept.name, lesson: kept.next })}</span>
                    <Link to={`/look/${classId}/${kept.student}?lesson=${kept.lesson}&replaces=${kept.sample}`}>{t('Correct it')}</Link>
                    <button type="button" className="link" onClick={() => setKept(null)}>{t('close')}</button>
                </div>
            )}
        </>
    )
}
