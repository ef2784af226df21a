import { Button } from '@mantine/core'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useMemo, useState } from 'react'
import { useSearchParams } from 'react-router'
import { ulid } from 'ulid'
import { api, ask, type View } from '../../api/client'
import { useChange, useLessons, useMe, type Lesson } from '../../api/queries'
import { fine } from '../../text/lengths'
import { mm } from '../../text/numbers'
import { t, type Key } from '../../text/words'
import { Choice } from '../../ui/Choice'
import { ReadingField } from '../../ui/ReadingField'
import { Trouble, Waiting } from '../../ui/Trouble'
import { CardLine } from './CardLine'
import { Differences } from './Differences'
import { cx } from './dress'
import { ownCard, Photograph, PrintCard } from './Photograph'
import { sendFor } from './picture'

const WHAT: Record<View['CameraKindView']['what'], Key> = {
    allowance: 'camera.allowances',
    length: 'camera.lengths',
    width: 'camera.widths',
    spacing: 'camera.spacings',
    start: 'camera.starts',
    sides: 'camera.sides',
    gap: 'camera.gaps',
}

/** Ten samples by ruler and by camera: how far the two are apart in this studio, and how sure its camera is from then on. */
export default function CameraPage() {
    const [search, setSearch] = useSearchParams()
    const me = useMe().data
    const lessons = useLessons(undefined)
    const seen = useQuery({ queryKey: ['camera'], queryFn: () => ask(api.GET('/api/camera')) })
    const client = useQueryClient()
    const anew = useChange('nothing', async () => client.setQueryData(['camera'], await ask(api.DELETE('/api/camera'))))
    const drop = useChange('nothing', async (comparison: string) =>
        client.setQueryData(['camera'], await ask(api.DELETE('/api/camera/samples/{comparison}', { params: { path: { comparison } } }))),
    )
    if (me === undefined || lessons.data === undefined || seen.data === undefined)
        return seen.error === null && lessons.error === null ? <Waiting what={t('common.opening')} /> : <Trouble error={seen.error ?? lessons.error} />
    const pictured = lessons.data.filter((l) => l.pictured.length > 0)
    const lesson = pictured.find((l) => l.id === search.get('lesson')) ?? pictured[0]
    const { samples, enough, kinds, last } = seen.data
    return (
        <div className={cx('camera-page')}>
            <h1>{t('camera.tenByRulerAndByCamera')}</h1>
            <p>{t('camera.whatItIsFor')}</p>
            <p role="status">
                <strong>{samples >= enough ? t('camera.enoughCompared', { n: samples }) : t('camera.comparedOf', { n: samples, of: enough })}</strong>
            </p>
            {lesson !== undefined && (
                <section className={cx('camera-one')}>
                    <Choice
                        label={t('common.lesson')}
                        value={lesson.id}
                        options={pictured.map((l) => ({ id: l.id, title: l.title }))}
                        onChange={(l) => setSearch({ lesson: l })}
                    />
                    <OneSample key={`${lesson.id}.${samples}`} lesson={lesson} unit={me.unit} />
                    <PrintCard unit={me.unit} card={ownCard}>
                        <CardLine ten={false} />
                    </PrintCard>
                </section>
            )}
            {kinds.map((kind) => (
                <Kind key={kind.what} kind={kind} unit={me.unit} enough={enough} />
            ))}
            {samples > 0 && (
                <p className={cx('acts')}>
                    {last !== null && (
                        <Button variant="default" disabled={drop.isPending} onClick={() => drop.mutate(last)}>
                            {t('camera.takeTheLastOut')}
                        </Button>
                    )}
                    <Button variant="default" disabled={anew.isPending} onClick={() => anew.mutate(undefined)}>
                        {t('camera.beginAnew')}
                    </Button>
                </p>
            )}
            <Trouble error={anew.error ?? drop.error} />
        </div>
    )
}

/** First the picture, whose values are not shown; then the ruler, so that it does not see what it should. */
function OneSample({ lesson, unit }: { lesson: Lesson; unit: 'mm' | 'in' }) {
    const [id] = useState(() => ulid().toLowerCase())
    const [camera, setCamera] = useState<Record<string, string[]> | null>(null)
    const [ruler, setRuler] = useState<Record<string, string[]>>({})
    const client = useQueryClient()
    const send = useMemo(() => sendFor(lesson, true), [lesson])
    const compare = useChange('nothing', async () => {
        const body = { id, lesson: lesson.id, version: lesson.version, way: lesson.way, ruler, camera: camera ?? {} }
        client.setQueryData(['camera'], await ask(api.POST('/api/camera/samples', { body })))
    })
    // What is seen or not is no length: there is nothing to compare by ruler.
    const measured = (f: View['FieldView']) => camera?.[f.key] !== undefined && f.kind !== 'yes-no' && f.kind !== 'choice'
    const fields = lesson.rows.flatMap((r) => r.fields.filter(measured).map((field) => ({ row: r, field })))
    const typed = Object.values(ruler).some((v) => v.some((x) => x !== ''))
    const type = (field: View['FieldView'], i: number, v: string) =>
        setRuler((was) => ({ ...was, [field.key]: Array.from({ length: field.size }, (_, k) => (k === i ? v : (was[field.key]?.[k] ?? ''))) }))
    return (
        <div>
            <Photograph lesson={lesson} unit={unit} send={send} card={ownCard} blind onTake={setCamera} />
            {camera !== null && (
                <>
                    <p>{t('camera.nowByRuler')}</p>
                    {fields.map(({ row, field }) => (
                        <div key={field.key}>
                            {lesson.rows.length > 1 && <h3>{row.title}</h3>}
                            <ReadingField
                                field={field}
                                unit={unit}
                                values={ruler[field.key] ?? []}
                                problem={compare.error?.field.startsWith(`ruler.${field.key}`) === true ? compare.error.message : null}
                                problemAt={null}
                                onChange={(i, v) => type(field, i, v)}
                                onEye={() => undefined}
                            />
                        </div>
                    ))}
                    <Button size="lg" disabled={!typed || compare.isPending} onClick={() => compare.mutate(undefined)}>
                        {t('camera.compare')}
                    </Button>
                    <Trouble error={compare.error} />
                </>
            )}
        </div>
    )
}

/** What is found of one kind of value, and what follows from it. */
function Kind({ kind, unit, enough }: { kind: View['CameraKindView']; unit: 'mm' | 'in'; enough: number }) {
    const bias = kind.bias_mm
    const more = bias >= 0 ? t('camera.more', { n: fine(bias, unit) }) : t('camera.less', { n: fine(-bias, unit) })
    return (
        <section className={cx('camera-kind')}>
            <h2>{t(WHAT[kind.what])}</h2>
            <Differences kind={kind} unit={unit} />
            <dl>
                <dt>{t('camera.onTheWhole')}</dt>
                <dd>
                    {more}
                    {kind.bias_u_mm !== null && ` ± ${fine(kind.bias_u_mm, unit)}`}
                </dd>
                <dt>{t('camera.spread')}</dt>
                <dd>
                    {fine(kind.spread_mm, unit)} · {t('camera.saidBefore', { n: fine(kind.said_mm, unit) })}
                </dd>
                <dt>{t('camera.fromNowOn')}</dt>
                <dd>
                    {kind.samples < enough
                        ? t('camera.notEnoughYet', { n: enough - kind.samples })
                        : kind.factor > 1
                          ? t('camera.lessSure', { n: mm(kind.factor, 1) })
                          : kind.factor < 1
                            ? t('camera.surer', { n: mm(kind.factor, 2) })
                            : t('camera.asItSays')}
                </dd>
            </dl>
            {kind.biased && <p className={cx('refused mild')}>{t('camera.biased', { how: more })}</p>}
        </section>
    )
}
