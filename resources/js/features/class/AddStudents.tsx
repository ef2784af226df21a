import { Button, FileButton, Textarea } from '@mantine/core'
import { useDebouncedValue } from '@mantine/hooks'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useState, type KeyboardEvent, type SubmitEvent } from 'react'
import { api, ask, type View } from '../../api/client'
import { useChange } from '../../api/queries'
import { t } from '../../text/words'
import { Trouble } from '../../ui/Trouble'
import { cx } from './dress'
import { Returning } from './Returning'

type Person = View['NamesView']['people'][number]

/** Names typed, pasted or from a file: what was understood is shown before anybody is added. */
export function AddStudents({ id, empty }: { id: string; empty: boolean }) {
    const [text, setText] = useState('')
    const [wanted] = useDebouncedValue(text.trim(), 150)
    const read = useQuery({
        queryKey: ['names', id, wanted],
        queryFn: () => ask(api.POST('/api/classes/{class}/students/read', { params: { path: { class: id } }, body: { text: wanted } })),
        enabled: wanted !== '',
        placeholderData: keepPreviousData,
        gcTime: 60_000,
        retry: false,
    })
    const understood = text.trim() === '' ? undefined : read.data
    const people = understood?.people ?? []
    const fine = people.filter((p) => p.problem === null)
    const ready = wanted === text.trim() && !read.isPlaceholderData && people.length > 0 && fine.length === people.length
    const add = useChange('people', async () => {
        const body = {
            students: people.map((p) => p.name),
            hands: Object.fromEntries(people.flatMap((p) => (p.hand === '' ? [] : [[p.name, p.hand] as const]))),
            own_machines: people.filter((p) => p.own_machine).map((p) => p.name),
        }
        await ask(api.POST('/api/classes/{class}/students', { params: { path: { class: id } }, body }))
        setText('')
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
            <Trouble error={read.error ?? add.error} />
            <Returning id={id} />
        </form>
    )
}

/** Who was understood, and what of it cannot be. */
function Understood({ names }: { names: View['NamesView'] }) {
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
