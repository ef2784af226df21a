import { Button, NativeSelect } from '@mantine/core'
import { useState } from 'react'
import { useParams } from 'react-router'
import { api, ask } from '../../api/client'
import { useChange, useClass, useLessons, useMe } from '../../api/queries'
import { useClassInHand } from '../../keeping/classInHand'
import { t } from '../../text/words'
import { copyText } from '../../ui/copyText'
import { Trouble } from '../../ui/Trouble'
import { cx } from './dress'

interface Props {
    tool: string
    /** The answer in words; null while there is none, or none that may be used. */
    text: string | null
    refused?: string
}

/** What can be done with an answer: copy it, print it, keep it beside a lesson's row or with a student. */
export function Keep({ tool, text, refused }: Props) {
    const [where, setWhere] = useState('')
    const [said, setSaid] = useState('')
    const me = useMe()
    const inHand = useClassInHand(me.data?.classes ?? [])
    const classId = useParams().classId ?? inHand?.id ?? ''
    const lessons = useLessons(inHand?.id)
    const students = useClass(classId)
    const keep = useChange('workshop', async () => {
        if (text === null) return
        const [kind = '', id = '', row = ''] = where.split(':')
        await ask(
            api.POST('/api/answers', { body: { tool, text, ...(kind === 'student' ? { student: id } : { lesson: id, ...(row === '' ? {} : { row }) }) } }),
        )
        setSaid(t('workshop.kept'))
    })
    const copy = async () => {
        if (await copyText(text ?? '')) setSaid(t('workshop.copied'))
    }
    return (
        <div className={cx('keep')}>
            {text !== null && <p className={cx('answer-text')}>{text}</p>}
            {refused !== undefined && (
                <p className={cx('refused')} role="alert">
                    {refused}
                </p>
            )}
            <div className={cx('keep-acts')}>
                <Button variant="default" disabled={text === null} onClick={() => void copy()}>
                    {t('common.copy')}
                </Button>
                <Button variant="default" disabled={text === null} onClick={() => window.print()}>
                    {t('workshop.print')}
                </Button>
                <NativeSelect
                    label={t('workshop.keepItWith')}
                    className={cx('choice')}
                    value={where}
                    onChange={(e) => {
                        setWhere(e.currentTarget.value)
                        setSaid('')
                    }}>
                    <option value="">{t('workshop.keepItWith2')}</option>
                    <optgroup label={t('workshop.aStudent')}>
                        {students.data?.students.map((s) => (
                            <option key={s.student} value={`student:${s.student}`}>
                                {s.name}
                            </option>
                        ))}
                    </optgroup>
                    {lessons.data?.map((l) => (
                        <optgroup key={l.id} label={l.title}>
                            <option value={`lesson:${l.id}`}>{l.title}</option>
                            {l.rows.length > 1 &&
                                l.rows.map((r) => (
                                    <option key={r.id} value={`lesson:${l.id}:${r.id}`}>
                                        {l.title}: {r.title}
                                    </option>
                                ))}
                        </optgroup>
                    ))}
                </NativeSelect>
                <Button disabled={text === null || where === '' || refused !== undefined || keep.isPending} onClick={() => keep.mutate(undefined)}>
                    {t('common.keepIt')}
                </Button>
                <span className={cx('quiet')} role="status">
                    {said}
                </span>
            </div>
            <Trouble error={keep.error} />
        </div>
    )
}
