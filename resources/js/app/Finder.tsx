import { Combobox, TextInput, useCombobox } from '@mantine/core'
import { useDebouncedValue, useHotkeys } from '@mantine/hooks'
import { queryOptions, useQuery } from '@tanstack/react-query'
import { useRef, useState, type KeyboardEvent } from 'react'
import { useNavigate } from 'react-router'
import { api, ask } from '../api/client'
import { queries } from '../api/queries'
import { t } from '../text/words'
import { cx } from './dress'

const finding = (q: string) => queryOptions({ queryKey: ['find', q], queryFn: () => ask(api.GET('/api/find', { params: { query: { q } } })) })

const KINDS = { student: 'shell.kindStudent', lesson: 'shell.kindLesson', machine: 'shell.kindMachine', tool: 'shell.kindTool' } as const

/** The command field: "/" from anywhere finds a student, a lesson, a machine or a tool. */
export function Finder() {
    const [words, setWords] = useState('')
    const [at, setAt] = useState(0)
    const [wanted] = useDebouncedValue(words.trim(), 120)
    const field = useRef<HTMLInputElement>(null)
    const navigate = useNavigate()
    useHotkeys([['/', () => field.current?.focus()]])
    const found = useQuery({ ...finding(wanted), enabled: wanted !== '' })
    const typed = words.trim()
    // What is listed is what was found for what stands there now, or nothing yet.
    const rows = typed === '' || wanted !== typed ? [] : (found.data ?? [])
    const nothing = typed !== '' && wanted === typed && found.data?.length === 0
    const list = useCombobox()
    const latest = useRef('')
    const go = (address: string | undefined) => {
        if (address === undefined) return
        setWords('')
        list.closeDropdown()
        field.current?.blur()
        void navigate(address)
    }
    /** Enter acts on what is typed: it waits for that answer, and is forgotten when something else is typed meanwhile. */
    const enter = async () => {
        if (typed === '') return
        latest.current = typed
        const answer = await queries.query(finding(typed)).catch(() => [])
        if (latest.current === typed) go((wanted === typed ? answer[at] : undefined)?.address ?? answer[0]?.address)
    }
    const onKey = (event: KeyboardEvent) => {
        if (event.key === 'ArrowDown') setAt(Math.min(at + 1, rows.length - 1))
        else if (event.key === 'ArrowUp') setAt(Math.max(at - 1, 0))
        else if (event.key === 'Enter') void enter()
        else if (event.key === 'Escape') {
            setWords('')
            field.current?.blur()
        } else return
        event.preventDefault()
    }
    return (
        <div className={cx('finder')} role="search">
            <Combobox store={list} onOptionSubmit={go} withinPortal={false} width="26rem" position="bottom-start" shadow="none">
                {/* The keys are ours: Enter waits for the answer to what is typed. */}
                <Combobox.Target withKeyboardNavigation={false} withAriaAttributes={false}>
                    <TextInput
                        ref={field}
                        value={words}
                        leftSection={<kbd aria-hidden="true">/</kbd>}
                        placeholder={t('shell.studentLessonTool')}
                        aria-label={t('shell.findAStudentLessonMachine')}
                        role="combobox"
                        aria-autocomplete="list"
                        aria-expanded={rows.length > 0}
                        aria-controls={rows.length > 0 ? 'found' : undefined}
                        autoComplete="off"
                        aria-activedescendant={rows.length > 0 ? `found-${at}` : undefined}
                        onChange={(e) => {
                            latest.current = ''
                            setWords(e.currentTarget.value)
                            setAt(0)
                            if (e.currentTarget.value.trim() === '') list.closeDropdown()
                            else list.openDropdown()
                        }}
                        onKeyDown={onKey}
                        onBlur={() => {
                            setWords('')
                            list.closeDropdown()
                        }}
                    />
                </Combobox.Target>
                <Combobox.Dropdown hidden={rows.length === 0 && !nothing}>
                    <Combobox.Options id="found" aria-label={t('shell.found')}>
                        {rows.map((f, i) => (
                            <Combobox.Option key={f.address} id={`found-${i}`} value={f.address} active={i === at} aria-selected={i === at}>
                                <strong>{f.title}</strong>{' '}
                                <small>
                                    {t(KINDS[f.kind])} · {f.detail}
                                </small>
                            </Combobox.Option>
                        ))}
                    </Combobox.Options>
                    {nothing && <Combobox.Empty>{t('shell.nobodyAndNothingByThat')}</Combobox.Empty>}
                </Combobox.Dropdown>
            </Combobox>
        </div>
    )
}
