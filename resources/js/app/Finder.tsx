import { TextInput } from '@mantine/core'
import { useDebouncedValue, useHotkeys } from '@mantine/hooks'
import { queryOptions, useQuery } from '@tanstack/react-query'
import { useRef, useState, type KeyboardEvent } from 'react'
import { useNavigate } from 'react-router'
import { api, ask } from '../api/client'
import { queries } from '../api/queries'
import { t } from '../text/words'

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
    const list = typed === '' || wanted !== typed ? [] : (found.data ?? [])
    const latest = useRef('')
    const go = (address: string | undefined) => {
        if (address === undefined) return
        setWords('')
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
        if (event.key === 'ArrowDown') setAt(Math.min(at + 1, list.length - 1))
        else if (event.key === 'ArrowUp') setAt(Math.max(at - 1, 0))
        else if (event.key === 'Enter') void enter()
        else if (event.key === 'Escape') {
            setWords('')
            field.current?.blur()
        } else return
        event.preventDefault()
    }
    return (
        <div className="finder" role="search">
            <kbd aria-hidden="true">/</kbd>
            <TextInput
                ref={field}
                value={words}
                placeholder={t('shell.studentLessonTool')}
                aria-label={t('shell.findAStudentLessonMachine')}
                role="combobox"
                aria-expanded={list.length > 0}
                aria-controls="found"
                aria-autocomplete="list"
                aria-activedescendant={list.length > 0 ? `found-${at}` : undefined}
                onChange={(e) => {
                    latest.current = ''
                    setWords(e.currentTarget.value)
                    setAt(0)
                }}
                onKeyDown={onKey}
                onBlur={() => setTimeout(() => setWords(''), 200)}
            />
            <ul id="found" role="listbox" aria-label={t('shell.found')} hidden={words.trim() === ''}>
                {list.map((f, i) => (
                    <li key={f.address} id={`found-${i}`} role="option" aria-selected={i === at} onPointerDown={() => go(f.address)}>
                        <strong>{f.title}</strong>{' '}
                        <span>
                            {t(KINDS[f.kind])} · {f.detail}
                        </span>
                    </li>
                ))}
                {wanted === typed && found.data?.length === 0 && <li className="none">{t('shell.nobodyAndNothingByThat')}</li>}
            </ul>
        </div>
    )
}
