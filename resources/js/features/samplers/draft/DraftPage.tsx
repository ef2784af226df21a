import { Button, UnstyledButton } from '@mantine/core'
import { useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { api, ask, Problem, type View } from '../../../api/client'
import { useChange, useLessonText, useMe, useRoom } from '../../../api/queries'
import { t } from '../../../app/text'
import { mm } from '../../../text/numbers'
import { Trouble, Waiting } from '../../../ui/Trouble'
import { Choice } from '../../workshop/fields'
import { ClothEditor } from './ClothEditor'
import { DraftDrawing } from './DraftDrawing'
import { put, type DraftLesson } from './lesson'
import { RowEditor } from './RowEditor'
import { useDraft } from './useDraft'
import { Versions } from './Versions'
import { WordsEditor } from './WordsEditor'

/** The drafting table: a lesson of the shelf with its rows to scale, changed by dragging and typing. */
export default function DraftPage() {
    const id = useParams().lessonId ?? ''
    const text = useLessonText(id)
    const room = useRoom(undefined)
    const studio = useMe().data?.studio
    if (text.data === undefined || room.data === undefined || studio === undefined)
        return text.error === null ? <Waiting what={t('Laying it on the table')} /> : <Trouble error={text.error} />
    return <Table key={`${id}:${text.data.version}`} studio={studio} text={text.data} stitches={room.data.stitches} />
}

const PARTS = ['rows', 'cloth', 'words', 'versions'] as const

function Table({ studio, text, stitches }: { studio: string; text: View['LessonTextView']; stitches: View['StitchView'][] }) {
    const shelf = text.lesson as unknown as DraftLesson
    const draft = useDraft(studio, shelf, text.version)
    const lesson = draft.draft
    const navigate = useNavigate()
    const [part, setPart] = useState<(typeof PARTS)[number]>('rows')
    const [chosen, setChosen] = useState(lesson.sampler.rows[0]?.id ?? '')
    const [stitch, setStitch] = useState('straight')
    const read = draft.read.data
    const row = lesson.sampler.rows.find((r) => r.id === chosen) ?? lesson.sampler.rows[0]
    const keep = useChange(async (asNew: boolean) => {
        const kept = await ask(api.POST('/api/drafts', { body: { lesson, version: asNew ? 0 : draft.from } }))
        draft.forget()
        void navigate(`/samplers/${kept.id}`)
        return kept
    })
    const add = useChange(async () => {
        const piece = row?.piece ?? lesson.sampler.pieces[0]?.id ?? ''
        const { row: fresh } = await ask(api.POST('/api/drafts/row', { body: { lesson, piece, stitch } }))
        const next = fresh as unknown as DraftLesson['sampler']['rows'][number]
        draft.change(`row new ${next.id}`, (l) => ({ ...l, sampler: { ...l.sampler, rows: [...l.sampler.rows, next] } }))
        setChosen(next.id)
    })
    const nextVersion = Math.max(...text.versions.map((v) => v.version), text.version) + 1
    const general = (read?.problems ?? []).filter((p) => p.row === '')
    const sewn = read?.rows.filter((r) => r.stitches > 0).length ?? 0
    const stale = draft.changed && draft.from !== text.version
    const renamed = lesson.title.trim() !== '' && lesson.title !== shelf.title
    return (
        <div className="draft">
            <div className="draft-head">
                <h1>
                    {t('Drafting table')}{' '}
                    <small>
                        <Link to={`/samplers/${lesson.id}`}>{shelf.title}</Link>, {t('version {n} is on the shelf', { n: text.version })}
                    </small>
                </h1>
                <span className="quiet" role="status">
                    {draft.changed ? t('Draft kept on this device') : t('Nothing changed yet')}
                </span>
                <Button variant="default" disabled={!draft.canUndo} onClick={draft.undo}>
                    {t('Undo')}
                </Button>
                <Button variant="default" disabled={!draft.canRedo} onClick={draft.redo}>
                    {t('Redo')}
                </Button>
                {draft.changed && (
                    <Button variant="default" onClick={draft.drop}>
                        {t('Drop the draft')}
                    </Button>
                )}
                {renamed && (
                    <Button variant="default" disabled={read?.fits !== true || keep.isPending} onClick={() => keep.mutate(true)}>
                        {t('Keep as a new lesson')}
                    </Button>
                )}
                <Button disabled={!draft.changed || read?.fits !== true || keep.isPending} onClick={() => keep.mutate(false)}>
                    {t('Keep as version {n}', { n: nextVersion })}
                </Button>
            </div>
            {stale && (
                <p className="draft-problem">
                    {t(
                        'Version {now} came to the shelf since this draft was begun from version {then}. Drop the draft to see it, or give yours another title and keep it as a new lesson.',
                        { now: text.version, then: draft.from },
                    )}
                </p>
            )}
            <Trouble error={keep.error ?? add.error ?? draft.read.error} place />
            {general.map((p) => (
                <p key={p.place + p.text} className={p.stops ? 'draft-problem stops' : 'draft-problem'}>
                    {p.text} <small>{p.place}</small>
                </p>
            ))}
            <div className="draft-cols">
                <div className="draft-left">
                    {read?.drawing != null ? (
                        <DraftDrawing
                            lesson={lesson}
                            drawing={read.drawing}
                            problems={read.problems}
                            chosen={row?.id ?? ''}
                            onChoose={(id) => {
                                setChosen(id)
                                setPart('rows')
                            }}
                            onChange={draft.change}
                        />
                    ) : (
                        <p className="empty">
                            {lesson.sampler.pieces.length === 0
                                ? t('This lesson has no sampler yet. Give it a piece of cloth, then rows.')
                                : t('It cannot be drawn like this.')}
                        </p>
                    )}
                    {read !== undefined && (
                        <p className="draft-sum" role="status">
                            {t('{rows} · {min} min for a beginner · {m} m of each thread', {
                                rows: sewn === 1 ? t('1 row') : t('{n} rows', { n: sewn }),
                                min: read.minutes.toFixed(1),
                                m: (read.thread_mm / 1000).toFixed(2),
                            })}
                        </p>
                    )}
                </div>
                <div className="draft-right">
                    <div className="bench inline" role="tablist" aria-label={t('What to change')}>
                        {PARTS.map((p) => (
                            <a
                                key={p}
                                href={`#${p}`}
                                role="tab"
                                aria-selected={part === p}
                                className={part === p ? 'on' : ''}
                                onClick={(e) => {
                                    e.preventDefault()
                                    setPart(p)
                                }}>
                                {{ rows: t('Rows'), cloth: t('Cloth and thread'), words: t('Words and settings'), versions: t('Versions') }[p]}
                            </a>
                        ))}
                    </div>
                    {part === 'rows' && (
                        <>
                            <ul className="draft-rows">
                                {lesson.sampler.rows.map((r) => {
                                    const figures = read?.rows.find((x) => x.id === r.id)
                                    const problem = read?.problems.find((p) => p.row === r.id)
                                    return (
                                        <li key={r.id} className={r.id === row?.id ? 'on' : ''}>
                                            <div>
                                                <UnstyledButton aria-expanded={r.id === row?.id} onClick={() => setChosen(r.id)}>
                                                    <strong>{r.title}</strong>
                                                    <small>
                                                        {figures === undefined
                                                            ? ''
                                                            : figures.stitches === 0
                                                              ? t('looked at, not sewn')
                                                              : t('{n} stitches, {mm} mm, {min} min', {
                                                                    n: figures.stitches,
                                                                    mm: mm(figures.row_mm, 0),
                                                                    min: figures.minutes.toFixed(1),
                                                                })}
                                                    </small>
                                                    <small className={problem?.stops === true ? 'lacking' : 'due'}>
                                                        {problem === undefined ? '' : problem.stops ? t('does not fit') : t('look here')}
                                                    </small>
                                                </UnstyledButton>
                                                {lesson.sampler.rows.length > 1 && (
                                                    <Button
                                                        variant="subtle"
                                                        aria-label={t('Take the row {name} away', { name: r.title })}
                                                        onClick={() =>
                                                            draft.change(`row away ${r.id}`, (l) => ({
                                                                ...l,
                                                                sampler: { ...l.sampler, rows: l.sampler.rows.filter((x) => x.id !== r.id) },
                                                            }))
                                                        }>
                                                        {t('away')}
                                                    </Button>
                                                )}
                                            </div>
                                            {r.id === row?.id && (
                                                <RowEditor
                                                    lesson={lesson}
                                                    row={r}
                                                    stitches={stitches}
                                                    read={figures}
                                                    problems={(read?.problems ?? []).filter((p) => p.row === r.id)}
                                                    onChange={draft.change}
                                                    onPut={(place, value) => draft.change(`put ${place}`, (l) => put(l, place, value))}
                                                />
                                            )}
                                        </li>
                                    )
                                })}
                            </ul>
                            {lesson.sampler.pieces.length > 0 && (
                                <div className="draft-fields add-row">
                                    <Choice
                                        label={t('Add from the stitch list')}
                                        value={stitch}
                                        options={stitches.map((s) => ({ id: s.id, title: s.title }))}
                                        onChange={setStitch}
                                    />
                                    <Button variant="default" disabled={add.isPending} onClick={() => add.mutate(undefined)}>
                                        {t('Add a row, one foot edge on')}
                                    </Button>
                                </div>
                            )}
                        </>
                    )}
                    {part === 'cloth' && <ClothEditor lesson={lesson} onChange={draft.change} />}
                    {part === 'words' && <WordsEditor lesson={lesson} onChange={draft.change} />}
                    {part === 'versions' && (
                        <Versions
                            text={text}
                            onTake={(old) => {
                                draft.change('version', () => old)
                                setPart('rows')
                            }}
                        />
                    )}
                    {keep.error instanceof Problem && keep.error.status === 409 && <p className="quiet">{t('Your draft is still here.')}</p>}
                </div>
            </div>
        </div>
    )
}
