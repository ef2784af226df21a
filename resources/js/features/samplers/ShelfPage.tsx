import { Button, FileButton, NativeSelect } from '@mantine/core'
import { useRef, useState } from 'react'
import { Link } from 'react-router'
import { api, ask, type View } from '../../api/client'
import { useChange, useMe, useShelf } from '../../api/queries'
import { day } from '../../text/time'
import { t } from '../../text/words'
import { Notice } from '../../ui/Notice'
import { Trouble, Waiting } from '../../ui/Trouble'
import { Word } from '../../ui/Word'
import { cx } from './dress'
import { readBundle } from './readBundle'

interface Brought {
    bundle: Record<string, unknown>
    shown: View['BundleChangesView']
}

/** The shelf as a whole: bundles that come and go, and how it came to be what it is. */
export default function ShelfPage() {
    const shelf = useShelf()
    // The same file can be chosen twice.
    const again = useRef<(() => void) | null>(null)
    const [brought, setBrought] = useState<Brought | null>(null)
    const [done, setDone] = useState<View['BundleChangesView'] | null>(null)
    const [course, setCourse] = useState('')
    const read = useChange('lessons', async (file: File) => {
        setDone(null)
        setBrought(null)
        const bundle = await readBundle(file)
        setBrought({ bundle, shown: await ask(api.POST('/api/shelf/compare', { body: { bundle } })) })
    })
    const bring = useChange('lessons', async (b: Brought) => {
        setDone(await ask(api.POST('/api/shelf/import', { body: { bundle: b.bundle, edition: b.shown.edition } })))
        setBrought(null)
    })
    const back = useChange('lessons', async (number: number) => {
        await ask(api.POST('/api/shelf/back', { body: { number, edition: shelf.data?.edition ?? 0 } }))
        setDone(null)
    })
    if (shelf.data === undefined) return shelf.error === null ? <Waiting what={t('samplers.openingTheShelf')} /> : <Trouble error={shelf.error} />
    const s = shelf.data
    return (
        <div className={cx('shelf')}>
            <h1>
                {t('samplers.theShelf')} <Word of="shelf" />{' '}
                <small>
                    <Link to="/samplers">{t('samplers.lessons', { n: s.lessons })}</Link>
                    {s.own.length > 0 && <>, {t('samplers.ofThemYourOwnOr', { n: s.own.length })}</>}
                </small>
            </h1>
            <Trouble error={read.error ?? bring.error ?? back.error} place />
            {done !== null && (
                <Notice>
                    <strong>{t('samplers.isOnTheShelf', { title: done.title })}</strong>
                    <Button variant="default" onClick={() => back.mutate(before(s))}>
                        {t('common.undo')}
                    </Button>
                </Notice>
            )}
            <section>
                <h2>{t('samplers.bringABundle')}</h2>
                <p>{t('samplers.aCourseBundleIsA')}</p>
                <FileButton
                    accept=".json,application/json"
                    resetRef={again}
                    onChange={(file) => {
                        if (file !== null) read.mutate(file)
                        again.current?.()
                    }}>
                    {(props) => <Button {...props}>{t('samplers.chooseAFile')}</Button>}
                </FileButton>
                {read.isPending && <Waiting what={t('samplers.comparing')} />}
                {brought !== null && (
                    <Changes shown={brought.shown}>
                        {brought.shown.changes.length > 0 && (
                            <Button disabled={bring.isPending} onClick={() => bring.mutate(brought)}>
                                {t('samplers.bringItIn')}
                            </Button>
                        )}
                        <Button variant="default" onClick={() => setBrought(null)}>
                            {t('samplers.leaveIt')}
                        </Button>
                    </Changes>
                )}
            </section>
            <section>
                <h2>{t('samplers.takeABundleAlong')}</h2>
                <div className={cx('print-acts')}>
                    <Button component="a" variant="default" href="/api/shelf/export">
                        {t('samplers.theWholeShelf')}
                    </Button>
                    <NativeSelect label={t('samplers.oneCourse')} className={cx('choice')} value={course} onChange={(e) => setCourse(e.currentTarget.value)}>
                        <option value="">{t('samplers.choose')}</option>
                        {s.courses.map((c) => (
                            <option key={c.id} value={c.id}>
                                {c.title}
                            </option>
                        ))}
                    </NativeSelect>
                    {course !== '' && (
                        <Button component="a" variant="default" href={`/api/shelf/export?course=${course}`}>
                            {t('samplers.takeItAlong')}
                        </Button>
                    )}
                    <span className={cx('quiet')}>{t('samplers.oneLessonFromItsOwn')}</span>
                </div>
            </section>
            <section>
                <h2>{t('samplers.editions')}</h2>
                <Editions shelf={s} onBack={(n) => back.mutate(n)} busy={back.isPending} />
            </section>
        </div>
    )
}

/** The edition before the one in use. */
function before(shelf: View['ShelfView']): number {
    return shelf.editions.find((e) => e.number < shelf.edition)?.number ?? 0
}

function Changes({ shown, children }: { shown: View['BundleChangesView']; children: React.ReactNode }) {
    const parts = { lesson: t('samplers.lesson'), skill: t('samplers.skill2'), fault: t('samplers.fault'), course: t('samplers.course') }
    return (
        <div className={cx('changes')}>
            <h3>
                {shown.changes.length === 0
                    ? t('samplers.wouldChangeNothingAllOf', { title: shown.title })
                    : t('samplers.wouldChangeThis', { title: shown.title })}
            </h3>
            <ul>
                {shown.changes.map((c) => (
                    <li key={`${c.part}${c.id}`}>
                        <strong>{c.title}</strong>{' '}
                        <small>
                            {parts[c.part]}, {c.is_new ? t('samplers.new') : t('samplers.changed')}
                        </small>
                        {c.places.length > 0 && (
                            <table className={cx('checks')}>
                                <tbody>
                                    {c.places.map((p) => (
                                        <tr key={p.place}>
                                            <th scope="row">{p.place}</th>
                                            <td>
                                                <del>{p.before}</del>
                                            </td>
                                            <td>{p.after}</td>
                                        </tr>
                                    ))}
                                </tbody>
                            </table>
                        )}
                    </li>
                ))}
            </ul>
            <div className={cx('print-acts')}>{children}</div>
            {shown.changes.some((c) => c.part === 'lesson' && !c.is_new) && <p className={cx('quiet')}>{t('samplers.changedLessonsBecomeNewVersions')}</p>}
        </div>
    )
}

function Editions({ shelf, onBack, busy }: { shelf: View['ShelfView']; onBack: (number: number) => void; busy: boolean }) {
    const zone = useMe().data?.timezone ?? 'UTC'
    const all = [...shelf.editions, { number: 0, what: t('samplers.theShelfAsItCame'), made_at: null }]
    return (
        <table className={cx('rows')}>
            <tbody>
                {all.map((e) => (
                    <tr key={e.number}>
                        <td className={cx('num')}>{e.number}</td>
                        <td>{e.what}</td>
                        <td>{e.made_at === null ? '' : day(e.made_at, zone)}</td>
                        <td>
                            {e.number === shelf.edition ? (
                                <strong>{t('samplers.inUse')}</strong>
                            ) : (
                                <Button variant="default" disabled={busy} onClick={() => onBack(e.number)}>
                                    {t('samplers.backToThis')}
                                </Button>
                            )}
                        </td>
                    </tr>
                ))}
            </tbody>
        </table>
    )
}
