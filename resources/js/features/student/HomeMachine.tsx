import { Button, Checkbox, TextInput } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { type SubmitEvent } from 'react'
import { api, ask, type View } from '../../api/client'
import { useChange } from '../../api/queries'
import { useTyped } from '../../keeping/useTyped'
import { toNumber } from '../../text/numbers'
import { t } from '../../text/words'
import { Choice } from '../../ui/Choice'
import { NumberField } from '../../ui/NumberField'
import { StitchNames } from '../../ui/StitchNames'
import { Trouble, Waiting } from '../../ui/Trouble'
import { cx } from './dress'

type Facts = View['MachineFacts']
type Body = View['HomeBody']

interface FormProps {
    /** Of whom it is typed. */
    of: string
    home: View['HomeView']
    saving: boolean
    error: unknown
    /** null: nothing is known of it any more. What was typed is forgotten when it has been sent. */
    onKeep: (body: Body | null, sent: () => void) => void
}

/** What is asked of it in so few words; the rest is as on the machine it is like. */
const SIZES = [
    ['longest_stitch_mm', 'student.longestStitch', 1, 12],
    ['widest_swing_mm', 'student.widestZigzag', 0, 12],
] as const

interface Typed {
    like: string
    facts: Facts | undefined
    name: string
    sizes: Record<string, string>
    feet: string[]
}

/** Said by the teacher of a student, or by the student behind their own link. */
type Of = { class: string; student: string } | { token: string }

/** A student's own machine: asked for when it is opened. */
export function HomeMachine({ of, onDone }: { of: Of; onDone: () => void }) {
    const read = useQuery({
        queryKey: ['home', of],
        queryFn: () =>
            ask(
                'token' in of
                    ? api.GET('/api/page/{token}/home', { params: { path: of } })
                    : api.GET('/api/classes/{class}/students/{student}/home', { params: { path: of } }),
            ),
    })
    const keep = useChange('home', async ({ body, sent }: { body: Body | null; sent: () => void }) => {
        if (body === null)
            await ask(
                'token' in of
                    ? api.DELETE('/api/page/{token}/home', { params: { path: of } })
                    : api.DELETE('/api/classes/{class}/students/{student}/home', { params: { path: of } }),
            )
        else
            await ask(
                'token' in of
                    ? api.PUT('/api/page/{token}/home', { params: { path: of }, body })
                    : api.PUT('/api/classes/{class}/students/{student}/home', { params: { path: of }, body }),
            )
        sent()
        onDone()
    })
    if (read.data === undefined) return read.error === null ? <Waiting what={t('common.opening')} /> : <Trouble error={read.error} />
    return (
        <Form
            of={'token' in of ? of.token : of.student}
            home={read.data}
            saving={keep.isPending}
            error={keep.error}
            onKeep={(body, sent) => keep.mutate({ body, sent })}
        />
    )
}

/** "Like Window 3, but": it starts from a machine one knows, and says where this one is otherwise. */
function Form({ of, home, saving, error, onKeep }: FormProps) {
    const start = (id: string) => home.starts.find((s) => s.id === id)?.facts ?? home.starts[0]?.facts
    const first = home.starts[0]?.id ?? ''
    // What is typed stays typed when the form is closed.
    const [all, put, forget] = useTyped<Typed>(`home:${of}`, {
        like: first,
        facts: home.facts ?? start(first),
        name: home.facts?.name ?? '',
        sizes: {},
        feet: home.facts === null ? ['standard'] : home.feet,
    })
    const { like, facts, name, sizes: typed, feet } = all
    if (facts === undefined) return null
    const setFacts = (next: Facts) => put({ ...all, facts: next })
    const setFeet = (next: string[]) => put({ ...all, feet: next })
    const straight = facts.drive === 'straight-only'
    const from = (id: string) => put({ ...all, like: id, facts: start(id), sizes: {} })
    const size = (of: (typeof SIZES)[number][0]) => typed[of] ?? String(facts[of])
    const submit = (event: SubmitEvent) => {
        event.preventDefault()
        const sizes = Object.fromEntries(SIZES.map(([of]) => [of, toNumber(size(of)) ?? size(of)])) as Pick<Facts, 'longest_stitch_mm' | 'widest_swing_mm'>
        onKeep({ name, drive: facts.drive, tension_mark: facts.tension_mark, facts: { ...facts, ...sizes, name }, feet }, forget)
    }
    return (
        <form className={cx('home-machine')} onSubmit={submit}>
            {home.facts === null && <Choice label={t('student.itIs')} value={like} options={home.starts} onChange={from} />}
            <TextInput
                label={t('student.whatItIsCalled')}
                placeholder={t('student.myMachine')}
                value={name}
                required
                maxLength={40}
                onChange={(e) => put({ ...all, name: e.currentTarget.value })}
            />
            <TextInput
                label={t('student.tensionMark')}
                description={t('student.tensionMarkIs')}
                value={facts.tension_mark}
                required
                maxLength={10}
                onChange={(e) => setFacts({ ...facts, tension_mark: e.currentTarget.value })}
            />
            {SIZES.filter(([of]) => !straight || of !== 'widest_swing_mm').map(([of, label, min, max]) => (
                <NumberField
                    key={of}
                    label={t(label)}
                    unit="mm"
                    value={size(of)}
                    min={min}
                    max={max}
                    step={0.5}
                    slider={false}
                    onChange={(v) => put({ ...all, sizes: { ...typed, [of]: v } })}
                />
            ))}
            <Choice
                label={t('room.feetAre')}
                value={facts.mount}
                options={home.mounts}
                onChange={(mount) => setFacts({ ...facts, mount: mount as Facts['mount'] })}
            />
            <details>
                <summary>
                    {t('student.feetItHas')}{' '}
                    <small>
                        {home.kinds
                            .filter((kind) => feet.includes(kind.id))
                            .map((kind) => kind.title)
                            .join(', ')}
                    </small>
                </summary>
                <div className={cx('home-feet')}>
                    {home.kinds.map((kind) => (
                        <Checkbox
                            key={kind.id}
                            label={kind.title}
                            checked={feet.includes(kind.id)}
                            onChange={(e) => setFeet(e.currentTarget.checked ? [...feet, kind.id] : feet.filter((id) => id !== kind.id))}
                        />
                    ))}
                </div>
            </details>
            <details>
                <summary>
                    {t('student.stitchesItHas')} <small>{t('student.soMany', { n: Object.keys(facts.stitch_names).length })}</small>
                </summary>
                <StitchNames
                    stitches={home.stitches.filter((s) => !straight || !s.swings)}
                    names={facts.stitch_names}
                    onChange={(stitch_names) => setFacts({ ...facts, stitch_names })}
                />
            </details>
            <Trouble error={error} />
            <p>
                <Button type="submit" disabled={saving || name.trim() === ''}>
                    {t('student.keepMyMachine')}
                </Button>{' '}
                {home.facts !== null && (
                    <Button variant="default" disabled={saving} onClick={() => onKeep(null, forget)}>
                        {t('student.forgetMyMachine')}
                    </Button>
                )}
            </p>
        </form>
    )
}
