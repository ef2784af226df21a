import { Button, UnstyledButton } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import { useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { api, ask, Problem, type View } from '../../../api/client'
import { whole } from '../../../api/pictures'
import { useChange, useLessonText, useMe, useRoom, useUnit } from '../../../api/queries'
import { length, thread } from '../../../text/lengths'
import { mm } from '../../../text/numbers'
import { t } from '../../../text/words'
import { Choice } from '../../../ui/Choice'
import { Empty } from '../../../ui/Empty'
import { Trouble, Waiting } from '../../../ui/Trouble'
import { cx } from '../dress'
import { ClothEditor } from './ClothEditor'
import { DraftDrawing } from './DraftDrawing'
import { put } from './lesson'
import { PicturesEditor } from './PicturesEditor'
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
        return text.error === null ? <Waiting what={t('samplers.layingItOnTheTable')} /> : <Trouble error={text.error} />
    return <Table key={`${id}:${text.data.version}`} studio={studio} text={text.data} stitches={room.data.stitches} />
}

const PARTS = ['rows', 'cloth', 'words', 'pictures', 'versions'] as const

function Table({ studio, text, stitches }: { studio: string; text: View['LessonTextView']; stitches: View['StitchView'][] }) {
    const unit = useUnit()
    const shelf = text.lesson
    const draft = useDraft(studio, shelf, text.version)
    // In a field these keys are the field's own.
    useHotkeys([
        ['mod+Z', draft.undo],
        ['mod+shift+Z', draft.redo],
        ['mod+Y', draft.redo],
    ])
    const lesson = draft.draft
    const navigate = useNavigate()
    const [part, setPart] = useState<(typeof PARTS)[number]>('rows')
    const [chosen, setChosen] = useState(lesson.sampler.rows[0]?.id ?? '')
    const [stitch, setStitch] = useState('straight')
    const read = draft.read.data
    const row = lesson.sampler.rows.find((r) => r.id === chosen) ?? lesson.sampler.rows[0]
    const keep = useChange('lessons', async (asNew: boolean) => {
        const kept = await ask(api.POST('/api/drafts', { body: { lesson, version: asNew ? 0 : draft.from } }))
        draft.forget()
        void navigate(`/samplers/${kept.id}`)
        return kept
    })
    const add = useChange('nothing', async () => {
        const piece = row?.piece ?? lesson.sampler.pieces[0]?.id ?? ''
        const { row: fresh } = await ask(api.POST('/api/drafts/row', { body: { lesson, piece, stitch } }))
        const next = fresh
        draft.change(`row new ${next.id}`, (l) => ({ ...l, sampler: { ...l.sampler, rows: [...l.sampler.rows, next] } }))
        setChosen(next.id)
    })
    const nextVersion = Math.max(...text.versions.map((v) => v.version), text.version) + 1
    const general = (read?.problems ?? []).filter((p) => p.row === '')
    const sewn = read?.rows.filter((r) => r.stitches > 0).length ?? 0
    const stale = draft.changed && draft.from !== text.version
    const renamed = lesson.title.trim() !== '' && lesson.title !== shelf.title
    return (
        <div className={cx('draft')}>
            <div className={cx('draft-head')}>
                <h1>
                    {t('samplers.draftingTable')}{' '}
                    <small>
                        <Link to={`/samplers/${lesson.id}`}>{shelf.title}</Link>, {t('samplers.versionIsOnTheShelf', { n: text.version })}
                    </small>
                </h1>
                <span className={cx('quiet')} role="status">
                    {draft.changed ? t('samplers.draftKeptOnThisDevice') : t('samplers.nothingChangedYet')}
                </span>
                <Button variant="default" disabled={!draft.canUndo} onClick={draft.undo}>
                    {t('common.undo')} <kbd>{t('common.ctrlZ')}</kbd>
                </Button>
                <Button variant="default" disabled={!draft.canRedo} onClick={draft.redo}>
                    {t('samplers.redo')}
                </Button>
                {draft.changed && (
                    <Button variant="default" onClick={draft.drop}>
                        {t('samplers.dropTheDraft')}
                    </Button>
                )}
                {renamed && (
                    <Button variant="default" disabled={read?.fits !== true || keep.isPending} onClick={() => keep.mutate(true)}>
                        {t('samplers.keepAsANewLesson')}
                    </Button>
                )}
                <Button disabled={!draft.changed || read?.fits !== true || keep.isPending} onClick={() => keep.mutate(false)}>
                    {t('samplers.keepAsVersion', { n: nextVersion })}
                </Button>
            </div>
            {stale && <p className={cx('draft-problem')}>{t('samplers.versionCameToTheShelf', { now: text.version, then: draft.from })}</p>}
            <Trouble error={keep.error ?? add.error ?? draft.read.error} place />
            {general.map((p) => (
                <p key={p.place + p.text} className={cx(p.stops ? 'draft-problem stops' : 'draft-problem')}>
                    {p.text} <small>{p.place}</small>
                </p>
            ))}
            <div className={cx('draft-cols')}>
                <div className={cx('draft-left')}>
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
                    ) : read === undefined && draft.read.error === null ? (
                        <Waiting what={t('samplers.drawingIt')} />
                    ) : (
                        <Empty>{lesson.sampler.pieces.length === 0 ? t('samplers.thisLessonHasNoSampler') : t('samplers.itCannotBeDrawnLike')}</Empty>
                    )}
                    {read !== undefined && (
                        <p className={cx('draft-sum')} role="status">
                            {t('samplers.minForABeginnerM', {
                                rows: t('samplers.rows2', { n: sewn }),
                                min: read.minutes.toFixed(1),
                                thread: thread(read.thread_mm, unit),
                            })}
                        </p>
                    )}
                </div>
                <div className={cx('draft-right')}>
                    <div className={cx('bench inline')} role="tablist" aria-label={t('samplers.whatToChange')}>
                        {PARTS.map((p) => (
                            <a
                                key={p}
                                href={`#${p}`}
                                role="tab"
                                aria-selected={part === p}
                                className={cx(part === p ? 'on' : '')}
                                onClick={(e) => {
                                    e.preventDefault()
                                    setPart(p)
                                }}>
                                {
                                    {
                                        rows: t('samplers.rows'),
                                        cloth: t('samplers.clothAndThread'),
                                        words: t('samplers.wordsAndSettings'),
                                        pictures: t('samplers.pictures'),
                                        versions: t('samplers.versions'),
                                    }[p]
                                }
                            </a>
                        ))}
                    </div>
                    {part === 'rows' && (
                        <>
                            <ul className={cx('draft-rows')}>
                                {lesson.sampler.rows.map((r) => {
                                    const figures = read?.rows.find((x) => x.id === r.id)
                                    const problem = read?.problems.find((p) => p.row === r.id)
                                    return (
                                        <li key={r.id} className={cx(r.id === row?.id ? 'on' : '')}>
                                            <div>
                                                <UnstyledButton aria-expanded={r.id === row?.id} onClick={() => setChosen(r.id)}>
                                                    <strong>{figures?.title ?? r.title}</strong>
                                                    <small>
                                                        {figures === undefined
                                                            ? ''
                                                            : figures.stitches === 0
                                                              ? t('samplers.lookedAtNotSewn')
                                                              : t('samplers.stitchesMmMin', {
                                                                    n: figures.stitches,
                                                                    long: unit === 'in' ? length(figures.row_mm, unit) : `${mm(figures.row_mm, 0)} mm`,
                                                                    min: figures.minutes.toFixed(1),
                                                                })}
                                                    </small>
                                                    <small className={cx(problem?.stops === true ? 'lacking' : 'due')}>
                                                        {problem === undefined ? '' : problem.stops ? t('samplers.doesNotFit') : t('samplers.lookHere')}
                                                    </small>
                                                </UnstyledButton>
                                                {lesson.sampler.rows.length > 1 && (
                                                    <Button
                                                        variant="subtle"
                                                        aria-label={t('samplers.takeTheRowAway', { name: r.title })}
                                                        onClick={() =>
                                                            draft.change(`row away ${r.id}`, (l) => ({
                                                                ...l,
                                                                sampler: { ...l.sampler, rows: l.sampler.rows.filter((x) => x.id !== r.id) },
                                                            }))
                                                        }>
                                                        {t('samplers.away')}
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
                                <div className={cx('draft-fields add-row')}>
                                    <Choice
                                        label={t('samplers.addFromTheStitchList')}
                                        value={stitch}
                                        options={stitches.map((s) => ({ id: s.id, title: s.title }))}
                                        onChange={setStitch}
                                    />
                                    <Button variant="default" disabled={add.isPending} onClick={() => add.mutate(undefined)}>
                                        {t('samplers.addARowOneFoot')}
                                    </Button>
                                </div>
                            )}
                        </>
                    )}
                    {part === 'cloth' && <ClothEditor lesson={lesson} onChange={draft.change} />}
                    {part === 'words' && <WordsEditor lesson={lesson} onChange={draft.change} />}
                    {part === 'pictures' && (
                        <PicturesEditor lesson={lesson} drawn={read?.pictures == null ? null : whole(read.pictures)} onChange={draft.change} />
                    )}
                    {part === 'versions' && (
                        <Versions
                            text={text}
                            onTake={(old) => {
                                draft.change('version', () => old)
                                setPart('rows')
                            }}
                        />
                    )}
                    {keep.error instanceof Problem && keep.error.status === 409 && <p className={cx('quiet')}>{t('samplers.yourDraftIsStillHere')}</p>}
                </div>
            </div>
        </div>
    )
}
