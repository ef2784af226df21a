import { Button, NativeSelect, NumberInput, TextInput } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { api, ask, type View } from '../../api/client'
import { useChange, useMe } from '../../api/queries'
import { t } from '../../app/text'
import { clock, day } from '../../app/time'
import { Sure } from '../../ui/Sure'
import { Trouble, Waiting } from '../../ui/Trouble'
import { Elsewhere } from './Elsewhere'
import { People } from './People'
import { StudioClasses } from './StudioClasses'

/** The studio itself: who is in it, which classes there are and were, how long things are kept, and how to end it. */
export default function StudioPage() {
    const me = useMe()
    const read = useQuery({ queryKey: ['studio'], queryFn: () => ask(api.GET('/api/studio')) })
    const s = read.data
    if (s === undefined || me.data === undefined) return read.error === null ? <Waiting what={t('Opening')} /> : <Trouble error={read.error} />
    const owner = me.data.role === 'owner'
    return (
        <div className="settings-page wide">
            <div className="today-head">
                <h1>{s.name}</h1>
                <Button component="a" variant="default" href="/api/studio/privacy" target="_blank" rel="noreferrer">
                    {t('Print the privacy note')}
                </Button>
            </div>
            <div className="settings-cols">
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
    const set = useChange((body: View['StudioBody']) => ask(api.PATCH('/api/studio', { body })))
    return (
        <section>
            <h2>{t('The studio')}</h2>
            <TextInput
                label={t('Name of the studio')}
                value={name}
                maxLength={80}
                onChange={(e) => setName(e.currentTarget.value)}
                onBlur={() => name.trim() !== '' && name !== s.name && set.mutate({ name })}
            />
            <NativeSelect
                label={t('Days and times go by')}
                value={s.timezone}
                data={[...new Set([s.timezone, ...Intl.supportedValuesOf('timeZone'), 'UTC'])]}
                onChange={(e) => set.mutate({ timezone: e.currentTarget.value })}
            />
            <Trouble error={set.error} />
        </section>
    )
}

function Keeping({ s, zone }: { s: View['StudioView']; zone: string }) {
    const set = useChange((body: View['StudioBody']) => ask(api.PATCH('/api/studio', { body })))
    const [archive, setArchive] = useState<number | string>(s.archive_after_days)
    const [remove, setRemove] = useState<number | string>(s.delete_after_days ?? '')
    const [weeks, setWeeks] = useState<number | string>(s.page_weeks)
    return (
        <section>
            <h2>{t('How long things are kept')}</h2>
            <NumberInput
                label={t('A class that is over is put away after … days')}
                min={30}
                max={3650}
                value={archive}
                onChange={setArchive}
                onBlur={() => typeof archive === 'number' && archive !== s.archive_after_days && set.mutate({ archive_after_days: archive })}
            />
            <NumberInput
                label={t('… and deleted after … days (empty: never by itself)')}
                min={30}
                max={7300}
                value={remove}
                onChange={setRemove}
                onBlur={() =>
                    (remove === '' ? null : Number(remove)) !== s.delete_after_days && set.mutate({ delete_after_days: remove === '' ? null : Number(remove) })
                }
            />
            <NumberInput
                label={t('A student’s own page ends … weeks after the course')}
                min={0}
                max={104}
                value={weeks}
                onChange={setWeeks}
                onBlur={() => typeof weeks === 'number' && weeks !== s.page_weeks && set.mutate({ page_weeks: weeks })}
            />
            <p className="quiet">
                {s.last_backup === null
                    ? t('No backup was made yet.')
                    : t('Last good backup: {when}.', { when: `${day(s.last_backup, zone)}, ${clock(s.last_backup, zone)}` })}{' '}
                {set.isSuccess && <span role="status">{t('saved')}</span>}
            </p>
            <Trouble error={set.error} />
        </section>
    )
}

function Close({ s }: { s: View['StudioView'] }) {
    const [open, setOpen] = useState(false)
    const [name, setName] = useState('')
    const close = useChange(() => ask(api.POST('/api/studio/close', { body: { name } })))
    return (
        <section>
            <h2>{t('Delete the studio')}</h2>
            <p className="quiet">
                {t(
                    'All classes, students, samples and photos, the room and the lessons of your own. It can be brought back for thirty days; then it is gone for good.',
                )}
            </p>
            <Button variant="default" onClick={() => setOpen(true)}>
                {t('Delete the studio …')}
            </Button>
            <Sure
                title={t('Delete the studio?')}
                act={t('Delete it')}
                opened={open}
                error={close.error}
                pending={close.isPending}
                disabled={name !== s.name}
                onClose={() => setOpen(false)}
                onAct={() => close.mutate(undefined)}>
                <p>{t('{classes} classes and everything in them go, for everybody.', { classes: s.classes.filter((c) => c.deleted_at === null).length })}</p>
                <TextInput label={t('Type its name to say so: {name}', { name: s.name })} value={name} onChange={(e) => setName(e.currentTarget.value)} />
            </Sure>
        </section>
    )
}
