import { Anchor, Button } from '@mantine/core'
import { useLocalStorage } from '@mantine/hooks'
import { Link, useParams } from 'react-router'
import type { View } from '../../api/client'
import { api, ask } from '../../api/client'
import type { Pictures } from '../../api/pictures'
import { useChange, useDials, useLessons, useMe, usePictures, useUnit } from '../../api/queries'
import { Drawn } from '../../drawing/Drawn'
import { FoldPicture } from '../../drawing/FoldPicture'
import { MiniDrawing } from '../../drawing/MiniDrawing'
import { SamplerDrawing } from '../../drawing/SamplerDrawing'
import { useClassInHand } from '../../keeping/classInHand'
import { thread } from '../../text/lengths'
import { usualPaper, type PaperSize } from '../../text/paperSize'
import { t } from '../../text/words'
import { Empty } from '../../ui/Empty'
import { SchoolSelect } from '../../ui/SchoolSelect'
import { Trouble, Waiting } from '../../ui/Trouble'
import { KeptAnswers } from '../workshop/KeptAnswers'
import { cx } from './dress'

/** One lesson: what, why, cautions beside the act, steps, checks with where they come from. */
export default function LessonPage() {
    const unit = useUnit()
    const id = useParams().lessonId
    const me = useMe().data
    const inHand = useClassInHand(me?.classes ?? [])
    const lessons = useLessons(inHand?.id)
    const pictures = usePictures(id ?? '', inHand?.id)
    if (lessons.data === undefined) return lessons.error === null ? <Waiting what={t('samplers.openingTheShelf')} /> : <Trouble error={lessons.error} />
    const lesson = lessons.data.find((l) => l.id === id)
    if (lesson === undefined)
        return (
            <Empty>
                {t('samplers.thereIsNoSuchLesson')} <Link to="/samplers">{t('samplers.allSamplers')}</Link>
            </Empty>
        )
    return (
        <article className={cx(lesson.drawing === null ? 'lesson plain' : 'lesson')}>
            {lesson.drawing !== null && (
                <div className={cx('lesson-drawing')}>
                    <SamplerDrawing drawing={lesson.drawing} title={t('common.drawnToScale', { lesson: lesson.title })} />
                </div>
            )}
            <div className={cx('lesson-text')}>
                <h1>{lesson.title}</h1>
                <p className={cx('lead')}>{lesson.why}</p>
                <p className={cx('quiet')}>
                    {t('samplers.showSewLookMin', { demo: lesson.demo, sew: lesson.sew, inspect: lesson.inspect })} ·{' '}
                    {t('samplers.version', { n: lesson.version })}
                </p>
                <Print lesson={lesson.id} classId={inHand?.id} sampler={lesson.drawing !== null} drills={lesson.drills.some((d) => d.drawing !== null)} />
                {lesson.buttonhole && (
                    <p>
                        <Link to="/workshop/buttonhole">{t('look.buttonholeActByAct')}</Link>
                    </p>
                )}
                <div className={cx('caution')}>
                    {lesson.cautions.map((c) => (
                        <p key={c}>{c}</p>
                    ))}
                </div>
                <Settings lesson={lesson} of={me?.role === 'helper' ? undefined : inHand} />
                <h2>{t('samplers.steps')}</h2>
                <ol className={cx('acts-shown')}>
                    {lesson.steps.map((s, i) => (
                        <li key={s}>
                            <Shown picture={pictures?.steps[i]} />
                            <div>{s}</div>
                        </li>
                    ))}
                </ol>
                {[...lesson.folds, ...(pictures?.stories ?? [])].map((fold) => (
                    <FoldPicture key={fold.id} fold={fold} />
                ))}
                <h2>{t('samplers.say')}</h2>
                <ul>
                    {lesson.points.map((s) => (
                        <li key={s}>{s}</li>
                    ))}
                </ul>
                <Showing lesson={lesson} pictures={pictures} />
                {lesson.rows.some((r) => r.stitches > 0) && (
                    <>
                        <h2>{t('samplers.rows')}</h2>
                        <table className={cx('checks')}>
                            <tbody>
                                {lesson.rows
                                    .filter((r) => r.stitches > 0)
                                    .map((r) => (
                                        <tr key={r.id}>
                                            <th scope="row">{r.title}</th>
                                            <td>
                                                {t('samplers.stitchesMOfEachThread', {
                                                    n: r.stitches,
                                                    thread: thread(r.thread_mm, unit),
                                                    min: r.minutes.toFixed(1),
                                                })}
                                            </td>
                                        </tr>
                                    ))}
                            </tbody>
                        </table>
                    </>
                )}
                <Dials lesson={lesson.id} classId={inHand?.id} />
                <h2>{t('samplers.lookFor')}</h2>
                <table className={cx('checks')}>
                    <tbody>
                        {lesson.rows.flatMap((row) =>
                            row.checks.map((c) => (
                                <tr key={c.key}>
                                    <th scope="row">
                                        {lesson.rows.length > 1 ? `${row.title}: ` : ''}
                                        {c.title}
                                    </th>
                                    <td>{c.allows}</td>
                                    <td className={cx('quiet')}>{c.source}</td>
                                </tr>
                            )),
                        )}
                    </tbody>
                </table>
                {lesson.faults.length > 0 && (
                    <>
                        <h2>{t('samplers.usualFaults')}</h2>
                        <ul>
                            {lesson.faults.map((f) => (
                                <li key={f.id}>
                                    <strong>{f.seen}</strong>
                                    {f.rows.length > 0 && <small> {t('samplers.on', { rows: f.rows.map((r) => r.title).join(', ') })}</small>}: {f.first}
                                </li>
                            ))}
                        </ul>
                    </>
                )}
                {lesson.drills.length > 0 && (
                    <>
                        <h2>{t('samplers.drills')}</h2>
                        <ul className={cx('drills')}>
                            {lesson.drills.map((d) => (
                                <li key={d.id}>
                                    {d.drawing !== null && <MiniDrawing lesson={d} size={84} />}
                                    <span>
                                        <strong>{d.title}</strong>, {t('common.min', { n: d.minutes })}: {d.text}
                                    </span>
                                </li>
                            ))}
                        </ul>
                    </>
                )}
                <KeptAnswers lesson={lesson.id} open />
                <p className={cx('quiet')}>
                    {t('samplers.teaches', { what: lesson.teaches.map((s) => s.title).join(', ') })}{' '}
                    {lesson.needs.length > 0 && t('samplers.standsOn', { what: lesson.needs.map((s) => s.title).join(', ') })}
                </p>
            </div>
        </article>
    )
}

/** The picture of an act or a step, with its room kept while it comes. */
function Shown({ picture }: { picture: View['PictureView'] | undefined }) {
    return <div className={cx('shown-picture')}>{picture !== undefined && <Drawn picture={picture} />}</div>
}

/** How it is shown to a room, act by act, and what usually goes wrong. */
function Showing({ lesson, pictures }: { lesson: View['LessonView']; pictures: Pictures | undefined }) {
    return (
        <>
            {lesson.acts.length > 0 && (
                <>
                    <h2>{t('samplers.showIt')}</h2>
                    <p className={cx('quiet')}>{lesson.demo_setup}</p>
                    <ol className={cx('acts-shown')}>
                        {lesson.acts.map((a, i) => (
                            <li key={a.show}>
                                <Shown picture={pictures?.acts[i]} />
                                <div>
                                    <strong>{a.show}</strong>
                                    <q>{a.say}</q>
                                    <small>{t('samplers.watch', { what: a.watch })}</small>
                                </div>
                            </li>
                        ))}
                    </ol>
                </>
            )}
            {lesson.mistakes.length > 0 && (
                <>
                    <h2>{t('samplers.usualMistakes')}</h2>
                    <ul>
                        {lesson.mistakes.map((m) => (
                            <li key={m.mistake}>
                                <strong>{m.mistake}</strong>: {m.looks}
                            </li>
                        ))}
                    </ul>
                </>
            )}
        </>
    )
}

/** What to set; where schools of teaching differ, the class in hand follows one of them, and the whole sheet follows. */
function Settings({ lesson, of }: { lesson: View['LessonView']; of: View['NamedView'] | undefined }) {
    const choose = useChange('lessons', (schools: string[]) =>
        ask(api.PUT('/api/classes/{class}/schools', { params: { path: { class: of?.id ?? '' } }, body: { lesson: lesson.id, schools } })),
    )
    if (lesson.settings.length === 0) return null
    return (
        <>
            <h2>{t('samplers.set')}</h2>
            <table className={cx('checks')}>
                <tbody>
                    {lesson.settings.map((s) => (
                        <tr key={s.name}>
                            <th scope="row">{s.name}</th>
                            <td>
                                {s.schools.length > 0 && of !== undefined ? (
                                    <SchoolSelect
                                        label={t('samplers.schoolsDifferFollows', { class: of.title })}
                                        setting={s}
                                        lesson={lesson}
                                        pending={choose.isPending}
                                        onChoose={(schools) => choose.mutate(schools)}
                                    />
                                ) : (
                                    <>
                                        {s.value}
                                        {s.schools.length > 0 && (
                                            <div className={cx('schools')}>
                                                {t('samplers.schoolsDiffer')}{' '}
                                                {s.schools.map((o, i) => (
                                                    <span key={o.id}>
                                                        {i > 0 && ' · '}
                                                        <strong>{o.school}</strong> {o.value}
                                                    </span>
                                                ))}
                                            </div>
                                        )}
                                    </>
                                )}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
            <Trouble error={choose.error} />
        </>
    )
}

/** How each machine of the room is set for it, by its own dial, in the way it is sewn there. */
function Dials({ lesson, classId }: { lesson: string; classId: string | undefined }) {
    const dials = useDials(lesson, classId)
    if (dials.data === undefined || dials.data.length === 0) return null
    return (
        <>
            <h2>{t('samplers.onEachMachine')}</h2>
            <table className={cx('checks')}>
                <tbody>
                    {dials.data.map((d) => (
                        <tr key={d.machine}>
                            <th scope="row">{d.name}</th>
                            <td>
                                {d.cannot === null ? (
                                    <>
                                        {d.instead !== null && <div className={cx('quiet')}>{d.instead}</div>}
                                        {d.settings.map((s) => (
                                            <div key={s}>{s}</div>
                                        ))}
                                    </>
                                ) : (
                                    <span className={cx('due')}>{d.cannot}</span>
                                )}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </>
    )
}

/** Sheets at true size, on the paper in the printer. */
function Print({ lesson, classId, sampler, drills }: { lesson: string; classId: string | undefined; sampler: boolean; drills: boolean }) {
    const [format, setFormat] = useLocalStorage<PaperSize>({ key: 'seam-paper', defaultValue: usualPaper() })
    const [hand, setHand] = useLocalStorage<'right' | 'left'>({ key: 'seam-hand', defaultValue: 'right' })
    const of = classId === undefined ? '' : `&class=${classId}`
    const link = (what: string) => `/api/lessons/${lesson}/print?what=${what}&format=${format}&hand=${hand}${of}`
    return (
        <div className={cx('print-acts')}>
            {sampler && (
                <Button component="a" variant="default" href={link('sampler')} target="_blank" rel="noreferrer">
                    {t('samplers.printTheSampler11')}
                </Button>
            )}
            <Button component="a" variant="default" href={link('card')} target="_blank" rel="noreferrer">
                {t('samplers.studentsCard')}
            </Button>
            <Button component="a" variant="default" href={link('teacher')} target="_blank" rel="noreferrer">
                {t('samplers.teachersCard')}
            </Button>
            {drills && (
                <Button component="a" variant="default" href={link('drills')} target="_blank" rel="noreferrer">
                    {t('samplers.drills11')}
                </Button>
            )}
            {sampler && <Anchor href={`/api/lessons/${lesson}/svg${classId === undefined ? '' : `?class=${classId}`}`}>{t('samplers.svg')}</Anchor>}
            {classId !== undefined && (
                <Button component={Link} variant="default" to={`/front/${classId}?lesson=${lesson}`}>
                    {t('front.showAtTheFront')}
                </Button>
            )}
            <Button component={Link} variant="default" to={`/samplers/${lesson}/draft`}>
                {t('common.changeIt')}
            </Button>
            <Anchor href={`/api/shelf/export?lesson=${lesson}`}>{t('samplers.takeItAlong')}</Anchor>
            <Button variant="subtle" onClick={() => setFormat(format === 'A4' ? 'Letter' : 'A4')}>
                {t('samplers.on2', { paper: format })}
            </Button>
            <Button variant="subtle" onClick={() => setHand(hand === 'right' ? 'left' : 'right')}>
                {hand === 'right' ? t('samplers.cardsForTheRightHand') : t('samplers.cardsForTheLeftHand')}
            </Button>
        </div>
    )
}
