import { Combobox, TextInput, useCombobox } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import { useQuery } from '@tanstack/react-query'
import { useMemo, useRef, useState, type KeyboardEvent } from 'react'
import { useNavigate } from 'react-router'
import { findable, queries } from '../api/queries'
import { TOOL_IDS, TOOL_NAMES } from '../text/tools'
import { t, type Key } from '../text/words'
import { cx } from './dress'
import { finderOf, recent, remember, type Findable } from './finding'

const KINDS = {
    student: 'shell.kindStudent',
    class: 'shell.kindClass',
    lesson: 'shell.kindLesson',
    skill: 'shell.kindSkill',
    fault: 'shell.kindFault',
    machine: 'shell.kindMachine',
    foot: 'shell.kindFoot',
    tool: 'shell.kindTool',
    place: 'shell.kindPlace',
    action: 'shell.kindAction',
    setting: 'shell.kindSetting',
} as const satisfies Record<Findable['kind'], Key>

/** Places, acts and settings of the program itself, for the class in hand. */
function ofProgram(id: string | undefined): Findable[] {
    const all: [Findable['kind'], Key, string, boolean?][] = [
        ['place', 'shell.today', `/today/${id ?? ''}`, true],
        ['place', 'shell.plan', `/plan/${id ?? ''}`, true],
        ['place', 'common.samplers', '/samplers'],
        ['place', 'common.class', `/class/${id ?? ''}`, true],
        ['place', 'common.room', '/room'],
        ['place', 'shell.workshop', '/workshop'],
        ['place', 'shell.studio', '/studio'],
        ['action', 'shell.actCertificates', `/class/${id ?? ''}/end`, true],
        ['action', 'shell.actCatchUp', `/catch-up/${id ?? ''}`, true],
        ['action', 'shell.actRound', `/round/${id ?? ''}`, true],
        ['action', 'shell.actSeats', `/session/${id ?? ''}`, true],
        ['action', 'shell.actSeatCards', `/session/${id ?? ''}`, true],
        ['action', 'shell.actMaterials', `/materials/${id ?? ''}`, true],
        ['action', 'shell.planANewClass', '/start'],
        ['action', 'shell.actStudents', `/class/${id ?? ''}`, true],
        ['action', 'shell.actMachine', '/room?show=machines'],
        ['action', 'shell.actShelf', '/samplers/shelf'],
        ['action', 'shell.actWords', '#words'],
        ['setting', 'shell.namePasswordDevices', '/account'],
        ['setting', 'shell.setPeople', '/studio'],
    ]
    for (const tool of TOOL_IDS) all.push(['tool', TOOL_NAMES[tool], `/workshop/${tool}`])
    return all.filter(([, , , ofClass]) => ofClass !== true || id !== undefined).map(([kind, key, address]) => ({ kind, title: t(key), detail: '', address }))
}

/** The command field: "/" from anywhere finds whatever has a name, with and without a line. */
export function Finder({ classId }: { classId: string | undefined }) {
    const [words, setWords] = useState('')
    const [at, setAt] = useState(0)
    const [open, setOpen] = useState(false)
    const field = useRef<HTMLInputElement>(null)
    const navigate = useNavigate()
    useHotkeys([['/', () => field.current?.focus()]])
    const findableNow = useQuery({ ...findable(), enabled: open })
    const all = useMemo(() => [...(findableNow.data ?? []), ...ofProgram(classId)], [findableNow.data, classId])
    const find = useMemo(() => finderOf(all), [all])
    const typed = words.trim()
    const lately = recent()
    // Nothing typed yet: what was found lately.
    const rows = !open ? [] : typed === '' ? lately.flatMap((address) => all.find((f) => f.address === address) ?? []) : find(typed)
    const nothing = open && typed !== '' && rows.length === 0 && !findableNow.isLoading
    const list = useCombobox()
    const latest = useRef('')
    const go = (address: string | undefined) => {
        if (address === undefined) return
        remember(address)
        setWords('')
        list.closeDropdown()
        field.current?.blur()
        void navigate(address)
    }
    /** Enter acts on what is typed: while it is not known yet what there is, it waits for that. */
    const enter = async () => {
        if (typed === '') return go(rows[at]?.address)
        latest.current = typed
        const known = findableNow.data ?? (await queries.query(findable()).catch(() => []))
        if (latest.current === typed) go((rows[at] ?? finderOf([...known, ...ofProgram(classId)])(typed)[0])?.address)
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
                            list.openDropdown()
                        }}
                        onFocus={() => {
                            setOpen(true)
                            setAt(0)
                            list.openDropdown()
                        }}
                        onKeyDown={onKey}
                        onBlur={() => {
                            setOpen(false)
                            setWords('')
                            list.closeDropdown()
                        }}
                    />
                </Combobox.Target>
                <Combobox.Dropdown hidden={rows.length === 0 && !nothing}>
                    <Combobox.Options id="found" aria-label={t('shell.found')}>
                        {rows.map((f, i) => (
                            <Combobox.Option key={f.kind + f.address + f.title} id={`found-${i}`} value={f.address} active={i === at} aria-selected={i === at}>
                                <strong>{f.title}</strong>{' '}
                                <small>
                                    {t(KINDS[f.kind])}
                                    {f.detail !== '' && ` · ${f.detail}`}
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
