import { Button, SegmentedControl } from '@mantine/core'
import { lazy, Suspense, useCallback, type KeyboardEvent } from 'react'
import { ulid } from 'ulid'
import { api, asBytes, ask, type View } from '../../api/client'
import { useChange } from '../../api/queries'
import { useTyped } from '../../keeping/useTyped'
import { day } from '../../text/time'
import { VERDICT_WORDS } from '../../text/verdicts'
import { t } from '../../text/words'
import { ReadingField } from '../../ui/ReadingField'
import { Trouble } from '../../ui/Trouble'
import type { SendShot } from '../look/picture'
import { cx } from './dress'

const Photograph = lazy(() => import('../look/Photograph').then((m) => ({ default: m.Photograph })))

export type OwnPlace = 'class' | 'home'

type Typed = { id: string; readings: Record<string, string[]> }

/** The student reads the sample before the teacher does, or practises at home: the same ruler, the same readings. */
export function OwnLook({ token, page, place, onPlace }: { token: string; page: View['OwnPageView']; place: OwnPlace; onPlace: (place: OwnPlace) => void }) {
    const lesson = page.lesson
    const [typed, setTyped, forget] = useTyped<Typed | null>(
        `own-look:${token}:${lesson?.id ?? ''}${page.home !== null && place === 'home' ? ':home' : ''}`,
        null,
    )
    const keep = useChange('own', async () => {
        if (lesson === null || typed === null) return
        await ask(
            api.POST('/api/page/{token}/looks', { params: { path: { token } }, body: { id: typed.id, lesson: lesson.id, place, readings: typed.readings } }),
        )
        forget()
    })
    const rows = lesson?.rows.filter((r) => r.fields.length > 0) ?? []
    const readings = typed?.readings ?? {}
    const touched = Object.values(readings).some((v) => v.some((x) => x !== ''))
    const type = (field: View['FieldView'], i: number, value: string) =>
        setTyped({
            id: typed?.id ?? ulid().toLowerCase(),
            readings: { ...readings, [field.key]: Array.from({ length: field.size }, (_, k) => (k === i ? value : (readings[field.key]?.[k] ?? ''))) },
        })
    const send = useCallback<SendShot>(
        (shot, piece, dpi) =>
            ask(
                api.POST('/api/page/{token}/scan', {
                    params: { path: { token }, query: { lesson: lesson?.id ?? '', at: place, piece, ...(dpi === null ? {} : { dpi: dpi * shot.scale }) } },
                    body: shot.image as never,
                    ...asBytes,
                }),
            ),
        [token, lesson?.id, place],
    )
    const take = (read: Record<string, string[]>) => setTyped({ id: typed?.id ?? ulid().toLowerCase(), readings: { ...readings, ...read } })
    const goOn = (event: KeyboardEvent<HTMLElement>) => {
        if (event.key !== 'Enter' || !(event.target as HTMLElement).hasAttribute('data-reading')) return
        event.preventDefault()
        const fields = [...event.currentTarget.querySelectorAll<HTMLElement>('[data-reading]')]
        fields[fields.indexOf(event.target as HTMLElement) + 1]?.focus()
    }
    return (
        <section>
            <h2>{t('student.lookAtItYourself')}</h2>
            <p>{t('student.beforeYourTeacherDoes')}</p>
            {rows.length > 0 && (
                <details open={touched}>
                    <summary>{t('student.readIt', { lesson: lesson?.title ?? '' })}</summary>
                    {page.home === null && <WherePlace place={place} onPlace={onPlace} home={t('student.sewnAtHome')} />}
                    {lesson !== null && lesson.pictured.length > 0 && (
                        <Suspense>
                            <Photograph
                                lesson={lesson}
                                unit={page.unit}
                                send={send}
                                card={(size, hand) => `/api/page/${token}/card?size=${size}${hand === null ? '' : '&hand=left'}`}
                                onTake={take}
                            />
                        </Suspense>
                    )}
                    <div className={cx('own-fields')} onKeyDown={goOn}>
                        {rows.map((row) => (
                            <div key={row.id}>
                                {rows.length > 1 && <h3>{row.title}</h3>}
                                {row.fields.map((field) => (
                                    <ReadingField
                                        key={field.key}
                                        field={field}
                                        unit={page.unit}
                                        values={readings[field.key] ?? []}
                                        problem={keep.error?.field.startsWith(`readings.${field.key}`) === true ? keep.error.message : null}
                                        problemAt={null}
                                        onChange={(i, v) => type(field, i, v)}
                                        onEye={() => undefined}
                                    />
                                ))}
                            </div>
                        ))}
                    </div>
                    <p>
                        <Button disabled={!touched || keep.isPending} onClick={() => keep.mutate(undefined)}>
                            {t('student.keepMyLook')}
                        </Button>
                    </p>
                </details>
            )}
            <Trouble error={keep.error} />
            <OwnLooks looks={page.looks} agreed={page.agreed} zone={page.timezone} />
        </section>
    )
}

/** In class or at home: what is read goes with it, and where the machine at home is known, what is shown. */
export function WherePlace({ place, onPlace, home }: { place: OwnPlace; onPlace: (place: OwnPlace) => void; home: string }) {
    return (
        <SegmentedControl
            fullWidth
            aria-label={t('student.whereItWasSewn')}
            value={place}
            onChange={(to) => onPlace(to === 'home' ? 'home' : 'class')}
            data={[
                { value: 'class', label: t('student.sewnInClass') },
                { value: 'home', label: home },
            ]}
        />
    )
}

/** What was read by the student, and how far the teacher saw the same. */
export function OwnLooks({ looks, agreed, zone }: { looks: View['OwnLookView'][]; agreed: View['AgreementView']; zone: string }) {
    if (looks.length === 0) return null
    const home = looks.filter((l) => l.place === 'home').length
    return (
        <>
            {agreed.of > 0 && (
                <p role="status">
                    <strong>{t('student.judgedAlike', { n: agreed.alike, of: agreed.of })}</strong>{' '}
                    {agreed.kinder > 0 && t('student.moreKindly', { n: agreed.kinder })}
                </p>
            )}
            {home > 0 && <p className={cx('quiet')}>{t('student.practiceCounts', { n: home })}</p>}
            <ul className={cx('own-earlier')}>
                {looks.map((l) => (
                    <li key={l.id}>
                        <strong>{l.title}</strong> <small>{day(l.at, zone)}</small> · {l.place === 'home' ? t('student.sewnAtHome') : t('student.sewnInClass')}{' '}
                        · {t(VERDICT_WORDS[l.verdict ?? 'unsure'])}
                        {l.agreed !== null && ` · ${t('student.alikeOf', { n: l.agreed.alike, of: l.agreed.of })}`}
                    </li>
                ))}
            </ul>
        </>
    )
}
