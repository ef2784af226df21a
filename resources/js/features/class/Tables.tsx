import { Anchor, Button, FileButton, Textarea } from '@mantine/core'
import { useState } from 'react'
import { api, ask, type View } from '../../api/client'
import { useChange } from '../../api/queries'
import { useTyped } from '../../keeping/useTyped'
import { t } from '../../text/words'
import { Trouble } from '../../ui/Trouble'
import { cx } from './dress'

const MOST_SHOWN = 8

/** The lists of a class for other programs, and samples from a table. */
export function Tables({ id }: { id: string }) {
    const table = (of: string) => `/api/classes/${id}/table?of=${of}`
    const [text, setText] = useTyped(`table:${id}`, '')
    const [found, setFound] = useState<{ text: string; view: View['ImportView'] } | null>(null)
    const send = (only: boolean) => ask(api.POST('/api/classes/{class}/samples', { params: { path: { class: id } }, body: { table: text, try: only } }))
    const read = useChange('nothing', async () => {
        setFound({ text, view: await send(true) })
    })
    const keep = useChange('sample', async () => {
        setFound({ text: '', view: await send(false) })
        setText('')
    })
    const here = found !== null && found.text === text ? found.view : null
    return (
        <details className={cx('class-tables')}>
            <summary>{t('class.tables')}</summary>
            <p className={cx('with-link')}>
                <Anchor href={table('students')}>{t('class.tableStudents')}</Anchor>
                <Anchor href={table('samples')}>{t('class.tableSamples')}</Anchor>
                <Anchor href={table('standings')}>{t('class.tableStandings')}</Anchor>
                <Anchor href={table('materials')}>{t('class.tableMaterials')}</Anchor>
                <Anchor href={`/api/classes/${id}/plan/export?as=table`}>{t('class.tablePlan')}</Anchor>
            </p>
            <h3>{t('class.samplesFromATable')}</h3>
            <p className={cx('quiet')}>{t('class.howATableIsLaid')}</p>
            <Textarea
                label={t('class.theTable')}
                autosize
                minRows={4}
                maxRows={12}
                value={text}
                maxLength={2_000_000}
                onChange={(e) => setText(e.currentTarget.value)}
            />
            <div className={cx('acts')}>
                <FileButton accept=".csv,.txt,.tsv,text/csv" onChange={(file) => void file?.text().then(setText)}>
                    {(props) => (
                        <Button variant="default" {...props}>
                            {t('class.chooseAFile')}
                        </Button>
                    )}
                </FileButton>
                <Button variant="default" disabled={text.trim() === '' || read.isPending} onClick={() => read.mutate(undefined)}>
                    {t('class.readTheTable')}
                </Button>
                {here !== null && here.problems.length === 0 && here.new > 0 && text !== '' && (
                    <Button disabled={keep.isPending} onClick={() => keep.mutate(undefined)}>
                        {t('class.keepSamples', { n: here.new })}
                    </Button>
                )}
            </div>
            <div role="status">
                {here !== null && (
                    <p>
                        {text === ''
                            ? t('class.samplesWereKept', { n: here.new })
                            : t('class.tableUnderstood', { rows: here.rows, n: here.samples, students: here.students, known: here.samples - here.new })}
                    </p>
                )}
                {here !== null && here.problems.length > 0 && (
                    <ul className={cx('plain')}>
                        {here.problems.slice(0, MOST_SHOWN).map((p) => (
                            <li key={`${p.line}${p.field}`} className={cx('lacking')}>
                                {t('class.lineSays', { n: p.line, text: p.text })}
                            </li>
                        ))}
                        {here.problems.length > MOST_SHOWN && <li>{t('class.andMoreLines', { n: here.problems.length - MOST_SHOWN })}</li>}
                    </ul>
                )}
            </div>
            <Trouble error={read.error ?? keep.error} />
        </details>
    )
}
