import { Button, NativeSelect, NumberInput, TextInput } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { api, ask, type View } from '../../api/client'
import { useChange, useMe } from '../../api/queries'
import { clock, day } from '../../text/time'
import { t } from '../../text/words'
import { Sure } from '../../ui/Sure'
import { Trouble, Waiting } from '../../ui/Trouble'
import { cx } from './dress'
import { Elsewhere } from './Elsewhere'
import { People } from './People'
import { StudioClasses } from './StudioClasses'

/** The studio itself: who is in it, which classes there are and were, how long things are kept, and how to end it. */
export default function StudioPage() {
    const me = useMe()
    const read = useQuery({ queryKey: ['studio'], queryFn: () => ask(api.GET('/api/studio')) })
    const s = read.data
    if (s === undefined || me.data === undefined) return read.error === null ? <Waiting what={t('common.opening')} /> : <Trouble error={read.error} />
    const owner = me.data.role === 'owner'
    return (
        <div className={cx('settings-page wide')}>
            <div className={cx('today-head')}>
                <h1>{s.name}</h1>
                <Button component="a" variant="default" href="/api/studio/privacy" target="_blank" rel="noreferrer">
                    {t('studio.printThePrivacyNote')}
                </Button>
            </div>
            <div className={cx('settings-cols')}>
                <div>
                    <StudioClasses s={s} />
                    <Elsewhere s={s} />
                    {owner && <About key={s.name + s.timezone} s={s} />}
                </div>
                {owner && (
                    <div>
                        <People s={s} />
                        <Keeping key={`${s.archive_after_days}.${s.delete_after_days ?? ''}.${s.page_weeks}`} s={s} zone={me.data.timezone} />
                        <Close s={s} />
                    </div>
                )}
            </div>
        </div>
    )
}

function About({ s }: { s: View['StudioView'] }) {
    const [name, setName] = useState(s.name)
    const set = useChange('everything', (body: View['StudioBody']) => ask(api.PATCH('/api/studio', { body })))
    return (
        <section>
            <h2>{t('studio.theStudio')}</h2>
            <TextInput
                label={t('common.nameOfTheStudio')}
                value={name}
                maxLength={80}
                onChange={(e) => setName(e.currentTarget.value)}
                onBlur={() => name.trim() !== '' && name !== s.name && set.mutate({ name })}
            />
            <NativeSelect
                label={t('studio.daysAndTimesGoBy')}
                value={s.timezone}
                data={[...new Set([s.timezone, ...Intl.supportedValuesOf('timeZone'), 'UTC'])]}
                onChange={(e) => set.mutate({ timezone: e.currentTarget.value })}
            />
            <Trouble error={set.error} />
        </section>
    )
}

function Keeping({ s, zone }: { s: View['StudioView']; zone: string }) {
    const set = useChange('everything', (body: View['StudioBody']) => ask(api.PATCH('/api/studio', { body })))
    const [archive, setArchive] = useState<number | string>(s.archive_after_days)
    const [remove, setRemove] = useState<number | string>(s.delete_after_days ?? '')
    const [weeks, setWeeks] = useState<number | string>(s.page_weeks)
    return (
        <section>
            <h2>{t('studio.howLongThingsAreKept')}</h2>
            <NumberInput
                label={t('studio.aClassThatIsOver')}
                min={30}
                max={3650}
                value={archive}
                onChange={setArchive}
                onBlur={() => typeof archive === 'number' && archive !== s.archive_after_days && set.mutate({ archive_after_days: archive })}
            />
            <NumberInput
                label={t('studio.andDeletedAfterDaysEmpty')}
                min={30}
                max={7300}
                value={remove}
                onChange={setRemove}
                onBlur={() =>
                    (remove === '' ? null : Number(remove)) !== s.delete_after_days && set.mutate({ delete_after_days: remove === '' ? null : Number(remove) })
                }
            />
            <NumberInput
                label={t('studio.aStudentsOwnPageEnds')}
                min={0}
                max={104}
                value={weeks}
                onChange={setWeeks}
                onBlur={() => typeof weeks === 'number' && weeks !== s.page_weeks && set.mutate({ page_weeks: weeks })}
            />
            <p className={cx('quiet')}>
                {s.last_backup === null
                    ? t('studio.noBackupWasMadeYet')
                    : t('studio.lastGoodBackup', { when: `${day(s.last_backup, zone)}, ${clock(s.last_backup, zone)}` })}{' '}
                {set.isSuccess && <span role="status">{t('common.saved')}</span>}
            </p>
            <Trouble error={set.error} />
        </section>
    )
}

function Close({ s }: { s: View['StudioView'] }) {
    const [open, setOpen] = useState(false)
    const [name, setName] = useState('')
    const close = useChange('everything', () => ask(api.POST('/api/studio/close', { body: { name } })))
    return (
        <section>
            <h2>{t('studio.deleteTheStudio')}</h2>
            <p className={cx('quiet')}>{t('studio.allClassesStudentsSamplesAnd')}</p>
            <Button variant="default" onClick={() => setOpen(true)}>
                {t('studio.deleteTheStudio3')}
            </Button>
            <Sure
                title={t('studio.deleteTheStudio2')}
                act={t('studio.deleteIt')}
                opened={open}
                error={close.error}
                pending={close.isPending}
                disabled={name !== s.name}
                onClose={() => setOpen(false)}
                onAct={() => close.mutate(undefined)}>
                <p>{t('studio.classesAndEverythingInThem', { classes: t('count.classes', { n: s.classes.filter((c) => c.deleted_at === null).length }) })}</p>
                <TextInput label={t('studio.typeItsNameToSay', { name: s.name })} value={name} onChange={(e) => setName(e.currentTarget.value)} />
            </Sure>
        </section>
    )
}
