import { Anchor, Button, Checkbox } from '@mantine/core'
import { useElementSize } from '@mantine/hooks'
import { useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react'
import { Link } from 'react-router'
import { noLine, Problem, type View } from '../../api/client'
import { useChange, usePhotos } from '../../api/queries'
import { BesideRows } from '../../drawing/BesideRows'
import { MiniDrawing } from '../../drawing/MiniDrawing'
import { SamplerDrawing } from '../../drawing/SamplerDrawing'
import type { Kept } from '../../keeping/kept'
import { MOST_PHOTOS, takePhoto } from '../../keeping/photos'
import { keepSample, waitingOf } from '../../keeping/spool'
import { t } from '../../text/words'
import { ByEye } from '../../ui/ByEye'
import { ReadingField } from '../../ui/ReadingField'
import { Trouble } from '../../ui/Trouble'
import { useGoingOn } from '../../ui/useGoingOn'
import { KeptAnswers } from '../workshop/KeptAnswers'
import { ChooseLesson } from './ChooseLesson'
import { cx } from './dress'
import { Next } from './Next'
import { ownCard, Photograph } from './Photograph'
import { RowPhotos } from './Photos'
import { sendFor } from './picture'
import { Settings } from './Settings'
import { useSample } from './useSample'
import { VerdictLine } from './VerdictLine'

interface Props {
    id: string
    look: View['LookView']
    unit: 'mm' | 'in'
    replaces: string | null
    /** Samples of this lesson that the server knew; null: nobody asked it. */
    known: number | null
    /** Machine and schools that were chosen for this sample. */
    sewn: { machine?: string; schools?: string }
    onSewn: (other: { machine?: string | null; schools?: string | null }) => void
    onKept: (kept: Kept, nextStudent: string | null) => void
}

/** The form of one sample. Enter goes on, arrows step, number keys tick faults, Ctrl+Enter keeps. */
export function LookForm({ id, look, unit, replaces, known, sewn, onSewn, onKept }: Props) {
    const { lesson } = look
    const sample = useSample(id, look.student, lesson, replaces, look.drill?.id ?? null, sewn)
    const [eye, setEye] = useState<{ key: string; index: number } | null>(null)
    const [choosing, setChoosing] = useState(false)
    const [choice, setChoice] = useState<{ body: View['ChoiceBody']; title: string } | null>(null)
    const form = useRef<HTMLFormElement>(null)
    const started = useRef(false)
    const going = useGoingOn(form)
    useEffect(() => {
        if (started.current) return
        started.current = true
        if (look.replaced !== null && !sample.touched) sample.startFrom(look.replaced)
        form.current?.querySelector<HTMLElement>('[data-reading]')?.focus()
    })
    // The next lesson grows and shrinks with what is typed; the field in hand stays in sight above it.
    const { ref: fields, height } = useElementSize<HTMLDivElement>()
    useEffect(() => {
        if (document.activeElement?.hasAttribute('data-reading') === true) document.activeElement.scrollIntoView({ block: 'nearest' })
    }, [height])
    const judged = sample.touched ? sample.judged.data : undefined
    const keep = useChange('sample', async (sure: boolean) => {
        const kept = await keepSample({
            body: sample.toKeep(choice?.body ?? null, known === null ? null : known + waitingOf(look.student, lesson.id), sure),
            name: look.name,
            title: lesson.title,
            photos: sample.draft.photos ?? [],
        })
        sample.forget()
        onKept(
            {
                sample: sample.draft.id,
                class: id,
                student: look.student,
                name: look.name,
                waits: kept === null,
                next: kept?.next_title ?? choice?.title ?? judged?.advice.title ?? '',
            },
            look.next_student?.id ?? null,
        )
    })
    const wrong = sample.judged.error instanceof Problem && sample.judged.error.status > 0 && sample.judged.error.status < 500 ? sample.judged.error : null
    const where = /^readings\.([^[]+)(?:\[(\d+)\])?$/.exec(wrong?.field ?? '')
    // Without a line nothing can be judged; it is kept all the same, and judged when it is sent.
    const down = noLine(sample.judged.error)
    // It may be kept as soon as it is typed: what the server finds then is said on the form.
    const pending = sample.touched && !down && (sample.judged.isFetching || sample.judged.isPlaceholderData || sample.unsettled)
    // While what was wrong may still be wrong, it is not kept; also where it was said while somebody typed on.
    const [wasWrong, setWasWrong] = useState(false)
    if (wrong !== null ? !wasWrong : !pending && wasWrong) setWasWrong(wrong !== null)
    const ready = sample.touched && wrong === null && (down || (pending ? !wasWrong : judged?.verdict != null))
    const onKey = (event: KeyboardEvent<HTMLFormElement>) => {
        const target = event.target as HTMLElement
        going.onKey(event.key)
        if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
            event.preventDefault()
            if (ready && !keep.isPending) keep.mutate(false)
        } else if (event.key === 'Enter' && target.hasAttribute('data-reading')) {
            event.preventDefault()
            if (!going.belongsToAnswer()) going.goOn(target)
        } else if (/^[1-9]$/.test(event.key) && (event.altKey || target.classList.contains('faults'))) {
            const fault = lesson.faults[Number(event.key) - 1]
            if (fault === undefined) return
            event.preventDefault()
            sample.toggleFault(fault.id)
        }
    }
    const photos = usePhotos(id, look.student, lesson.id).data ?? []
    const taken = sample.draft.photos ?? []
    const send = useMemo(() => sendFor(lesson), [lesson])
    const whose = useMemo(() => ({ class: id, student: look.student, name: look.name }), [id, look.student, look.name])
    const pinPicture = (image: Blob) => void takePhoto(image, null).then((p) => sample.addPhoto(p))
    const results = new Map((judged?.checks ?? []).map((c) => [c.key, c]))
    return (
        <form className={cx('look-at')} ref={form} onKeyDown={onKey} onSubmit={(e) => e.preventDefault()}>
            <section className={cx('look-left')}>
                <div className={cx('look-head')}>
                    <h1>
                        {look.name}{' '}
                        <small>
                            {lesson.title}
                            {look.drill !== null && `: ${look.drill.title}`} · {replaces === null ? t('look.sample', { n: look.number }) : t('look.correction')}{' '}
                            · {t('common.seat', { n: look.seat })}
                        </small>
                    </h1>
                    {lesson.pictured.length > 0 && (
                        <Photograph
                            lesson={lesson}
                            unit={unit}
                            send={send}
                            card={ownCard}
                            whose={whose}
                            {...(taken.length >= MOST_PHOTOS ? {} : { onPin: pinPicture })}
                            onTake={(readings) => sample.addReadings(readings)}
                            // What a picture does not tell is next.
                            onTaken={() =>
                                [...(form.current?.querySelectorAll<HTMLInputElement>('input[data-reading]') ?? [])].find((f) => f.value === '')?.focus()
                            }
                        />
                    )}
                </div>
                {lesson.drawing === null ? (
                    <Points lesson={lesson} />
                ) : (
                    <SamplerDrawing
                        drawing={lesson.drawing}
                        measured={judged?.measured ?? []}
                        active={eye}
                        title={t('common.drawnToScale', { lesson: lesson.title })}
                    />
                )}
                <Beside lesson={lesson} judged={judged} row={eye?.key.split('.')[0] ?? null} />
                {lesson.drawing !== null && (
                    <div className={cx('caution')}>
                        {lesson.cautions.map((c) => (
                            <p key={c}>{c}</p>
                        ))}
                    </div>
                )}
                {look.drill !== null && (
                    <div className={cx('drill-in-hand')}>
                        {look.drill.drawing !== null && <MiniDrawing lesson={look.drill} size={72} />}
                        <span>{look.drill.text}</span>
                    </div>
                )}
                {look.cannot === null && look.dials.length > 0 && (
                    <p className={cx('look-dials')}>
                        <strong>{look.machines.find((m) => m.id === look.machine)?.name}</strong> {look.dials.join(' · ')}
                    </p>
                )}
                {look.cannot !== null && <p className={cx('refused mild')}>{look.cannot}</p>}
                <KeptAnswers lesson={lesson.id} student={look.student} />
                <p className={cx('earlier')}>
                    {look.earlier[0] !== undefined && <>{t('look.before', { text: look.earlier[0].text })} · </>}
                    <Link to={`/samplers/${lesson.id}`}>{t('look.theWholeLesson')}</Link>
                    {lesson.buttonhole && (
                        <>
                            {' · '}
                            <Link
                                to={`/workshop/buttonhole?${new URLSearchParams({ class: id, student: look.student, ...(look.machine === null ? {} : { machine: look.machine }) }).toString()}`}>
                                {t('look.buttonholeActByAct')}
                            </Link>
                        </>
                    )}
                </p>
            </section>
            <section className={cx('look-right')}>
                <div className={cx('look-fields')} ref={fields}>
                    {lesson.rows
                        .filter((row) => row.fields.length > 0)
                        .map((row) => (
                            <div key={row.id} className={cx(eye?.key.startsWith(`${row.id}.`) === true ? 'look-row on' : 'look-row')}>
                                {lesson.rows.length > 1 && <h2>{row.title}</h2>}
                                <div className={cx('fields')}>
                                    {row.fields.map((field) => (
                                        <div key={field.key} className={cx(`cell ${field.kind}`)} data-wide={field.size > 2}>
                                            <ReadingField
                                                field={field}
                                                unit={unit}
                                                values={sample.draft.readings[field.key] ?? []}
                                                problem={where?.[1] === field.key ? (wrong?.message ?? null) : null}
                                                problemAt={where?.[2] === undefined ? null : Number(where[2])}
                                                onChange={(i, v) => sample.setReading(field.key, i, field.size, v)}
                                                onEye={(i) => setEye({ key: field.key, index: i })}
                                                onAnswered={going.onAnswered}
                                            />
                                            {row.checks
                                                .filter((c) => c.reading === field.key)
                                                .map((rule) => (
                                                    <VerdictLine
                                                        key={rule.key}
                                                        rule={rule}
                                                        check={results.get(rule.key)}
                                                        compared={judged?.compared.find((c) => c.key === rule.key)}
                                                        named={field.kind !== 'yes-no'}
                                                        own={sample.draft.overruled?.[rule.key]}
                                                        onOwn={(own) => sample.overrule(rule.key, own)}
                                                    />
                                                ))}
                                        </div>
                                    ))}
                                </div>
                                <div className={cx('row-tools')}>
                                    <RowPhotos
                                        row={row}
                                        taken={taken.filter((p) => p.row === row.id)}
                                        kept={photos.filter((p) => p.row === row.id)}
                                        full={taken.length >= MOST_PHOTOS}
                                        onTake={(p) => sample.addPhoto(p)}
                                        onDrop={(p) => sample.dropPhoto(p)}
                                    />
                                    <ByEye
                                        lesson={lesson.id}
                                        classId={id}
                                        row={row}
                                        onTake={(key, typed) => typed.forEach((v, i) => sample.setReading(key, i, typed.length, v))}
                                    />
                                    {row.from_picture && (
                                        <Anchor
                                            component={Link}
                                            to={`/workshop/picture?${new URLSearchParams({ class: id, student: look.student, lesson: lesson.id, version: String(lesson.version), row: row.id, way: JSON.stringify(lesson.way), ...sewn, ...(replaces === null ? {} : { replaces }) }).toString()}`}>
                                            {t('look.measureOnAPicture')}
                                        </Anchor>
                                    )}
                                </div>
                            </div>
                        ))}
                    {lesson.faults.length > 0 && (
                        <fieldset className={cx('faults')} tabIndex={0} data-reading>
                            <legend>{t('look.seenOnItAltAnd')}</legend>
                            {lesson.faults.map((fault, i) => (
                                <Checkbox.Card
                                    className={cx(
                                        `fault${sample.draft.faults.includes(fault.id) ? ' on' : ''}${fault.rows.some((r) => eye?.key.startsWith(`${r.id}.`) === true) ? ' usual-here' : ''}`,
                                    )}
                                    key={fault.id}
                                    checked={sample.draft.faults.includes(fault.id)}
                                    onChange={() => sample.toggleFault(fault.id)}>
                                    <span className={cx('box')} aria-hidden="true">
                                        {i + 1}
                                    </span>{' '}
                                    {fault.seen}
                                </Checkbox.Card>
                            ))}
                            {sample.draft.faults.length > 0 && (
                                <Link
                                    className={cx('find-cause')}
                                    to={`/workshop/faults?${new URLSearchParams({ seen: sample.draft.faults.join(','), student: look.student, sample: sample.draft.id, ...(look.machine === null ? {} : { machine: look.machine }) }).toString()}`}>
                                    {t('common.findTheCause')}
                                </Link>
                            )}
                        </fieldset>
                    )}
                    <Settings
                        look={look}
                        values={sample.draft.settings}
                        onChange={(name, value) => sample.setSetting(name, value)}
                        session={sample.draft.session ?? null}
                        onSession={replaces === null ? (session) => sample.setSession(session) : null}
                        onSewn={replaces === null ? onSewn : null}
                    />
                </div>
                <div className={cx('look-foot')}>
                    <Next judged={judged} pending={pending} choice={choice?.title ?? null} onUndo={() => setChoice(null)} />
                    {down && (
                        <p className={cx('quiet')} role="status">
                            {t('look.theLineIsDownKeep')}
                        </p>
                    )}
                    <Trouble error={keep.error ?? (wrong !== null && where === null ? wrong : null)} />
                    {keep.error?.field === 'known' && (
                        <Button variant="default" onClick={() => keep.mutate(true)}>
                            {t('common.keepBoth')}
                        </Button>
                    )}
                    <div className={cx('acts')}>
                        <Button size="lg" disabled={!ready || keep.isPending} onClick={() => keep.mutate(false)}>
                            {keep.isPending ? t('look.keeping') : t('common.keepIt')} <kbd>{t('look.ctrlEnter')}</kbd>
                        </Button>
                        <Button variant="default" disabled={judged === undefined && !down} onClick={() => setChoosing(true)}>
                            {t('look.chooseAnotherLesson')}
                        </Button>
                        {look.next_student !== null && replaces === null && (
                            <span className={cx('then')}>{t('look.then', { name: look.next_student.title })}</span>
                        )}
                    </div>
                </div>
            </section>
            {choosing && (judged !== undefined || down) && (
                <ChooseLesson
                    id={id}
                    student={look.student}
                    name={look.name}
                    {...(judged === undefined ? {} : { advice: judged.advice })}
                    onClose={() => setChoosing(false)}
                    onChoose={(body, title) => {
                        setChoice({ body, title })
                        setChoosing(false)
                    }}
                />
            )}
        </form>
    )
}

/** The row in hand as it was on the sample before and as it is now; the first one that was read both times where the eye is elsewhere. */
function Beside({ lesson, judged, row }: { lesson: View['LessonView']; judged: View['JudgedView'] | undefined; row: string | null }) {
    const both = (judged?.before ?? []).filter((b) => judged?.measured.some((m) => m.row === b.row) === true)
    const before = both.find((b) => b.row === row) ?? both[0]
    const now = judged?.measured.find((m) => m.row === before?.row)
    const planned = lesson.drawing?.rows.find((r) => r.id === before?.row)
    if (before === undefined || now === undefined || planned === undefined) return null
    return (
        <BesideRows
            planned={planned.points}
            before={before.points}
            now={now.points}
            title={lesson.rows.length > 1 ? planned.title : t('look.theRowBeforeAndThe')}
        />
    )
}

/** Lessons without a sampler are looked at in the room: what to watch for stands where the drawing would. */
function Points({ lesson }: { lesson: View['LessonView'] }) {
    return (
        <div className={cx('points')}>
            <h2>{t('look.whatToWatchFor')}</h2>
            <ol>
                {lesson.steps.map((s) => (
                    <li key={s}>{s}</li>
                ))}
            </ol>
            <div className={cx('caution')}>
                {lesson.cautions.map((c) => (
                    <p key={c}>{c}</p>
                ))}
            </div>
        </div>
    )
}
