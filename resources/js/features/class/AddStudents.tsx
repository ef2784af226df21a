import { Button, FileButton, Textarea } from '@mantine/core'
import type { KeyboardEvent, SubmitEvent } from 'react'
import { api, ask, type View } from '../../api/client'
import { useChange } from '../../api/queries'
import { useTyped } from '../../keeping/useTyped'
import { t } from '../../text/words'
import { Trouble } from '../../ui/Trouble'
import { cx } from './dress'
import { Returning } from './Returning'
import { useNames } from './useNames'

type Person = View['NamesView']['people'][number]

/** Names typed, pasted or from a file: what was understood is shown before anybody is added. */
export function AddStudents({ id, empty }: { id: string; empty: boolean }) {
    const [text, setText, forget] = useTyped(`students:${id}`, '')
    const names = useNames(text, id)
    const { understood, people, fine, ready } = names
    const add = useChange('people', async () => {
        await ask(api.POST('/api/classes/{class}/students', { params: { path: { class: id } }, body: names.body }))
        forget()
    })
    const submit = (event: SubmitEvent) => {
        event.preventDefault()
        if (ready) add.mutate(undefined)
    }
    const onKey = (event: KeyboardEvent<HTMLTextAreaElement>) => {
        // One name and Enter; in a list Enter is the next line, and Ctrl+Enter adds it.
        if (event.key !== 'Enter' || event.shiftKey || (text.includes('\n') && !event.ctrlKey && !event.metaKey)) return
        event.preventDefault()
        if (ready) add.mutate(undefined)
    }
    return (
        <form className={cx('add-students')} onSubmit={submit}>
            <Textarea
                label={t(empty ? 'class.whoComesNames' : 'common.addStudents')}
                description={t('class.namesOneALine')}
                value={text}
                autosize
                minRows={1}
                maxRows={10}
                maxLength={20_000}
                onChange={(e) => setText(e.currentTarget.value)}
                onKeyDown={onKey}
            />
            <FileButton accept=".csv,.txt,text/csv,text/plain" onChange={(file) => void file?.text().then(setText)}>
                {(props) => (
                    <Button variant="default" {...props}>
                        {t('class.fromAFile')}
                    </Button>
                )}
            </FileButton>
            <Button type="submit" variant="default" disabled={!ready || add.isPending}>
                {people.length > 1 ? t('class.addSoMany', { n: people.length }) : t('common.add')}
            </Button>
            {understood !== undefined && (understood.table || people.length > 1 || fine.length < people.length) && <Understood names={understood} />}
            <Trouble error={names.error ?? add.error} />
            <Returning id={id} />
        </form>
    )
}

/** Who was understood, and what of it cannot be. */
export function Understood({ names }: { names: View['NamesView'] }) {
    const more = (p: Person) =>
        [p.hand === 'left' ? t('class.leftHanded') : '', p.own_machine ? t('class.machineAtHome') : ''].filter((w) => w !== '').join(', ')
    return (
        <div className={cx('understood')} aria-live="polite">
            <ol>
                {names.people.map((p) => (
                    <li key={`${p.line} ${p.name}`}>
                        <strong>{p.name}</strong> {more(p)}
                        {p.problem !== null && <span className={cx('wrong')}>{p.problem}</span>}
                    </li>
                ))}
            </ol>
            {names.unread.length > 0 && <p>{t('class.notRead', { headings: names.unread.join(', ') })}</p>}
        </div>
    )
}
