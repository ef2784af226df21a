import { NativeSelect, TextInput } from '@mantine/core'
import type { View } from '../../api/client'
import { useCompute } from '../../api/compute'
import { useMe } from '../../api/queries'
import { toNumber } from '../../text/numbers'
import { day } from '../../text/time'
import { t } from '../../text/words'
import { SchoolSelect } from '../../ui/SchoolSelect'
import { cx } from './dress'

interface Props {
    look: View['LookView']
    values: Record<string, string>
    onChange: (name: string, value: string) => void
    /** It was sewn in, by id; null: in the one in hand. */
    session: string | null
    /** null: a correction stays in the session it was sewn in. */
    onSession: ((session: string | null) => void) | null
    /** Another machine or another school: the sheet follows. null: it was sewn as it was. */
    onSewn: ((other: { machine?: string | null; schools?: string | null }) => void) | null
}

/** Machine and settings it was sewn with, so that nobody has to find them again. */
export function Settings({ look, values, onChange, session, onSession, onSewn }: Props) {
    const zone = useMe().data?.timezone ?? 'UTC'
    const sessionName = (s: View['LookView']['sessions'][number]) => `${t('common.session', { n: s.number })} · ${day(s.starts_at, zone)}`
    const earlier = look.sessions.find((s) => s.id === session)
    const schools = look.lesson.settings.filter((s) => s.schools.length > 0)
    const usual = look.machines.find((m) => m.id === look.machine)
    const plain = (name: string, label: string, hint: string) => (
        <TextInput label={label} value={values[name] ?? ''} placeholder={hint} maxLength={200} onChange={(e) => onChange(name, e.currentTarget.value)} />
    )
    const machine = look.machines.find((m) => m.name === (values.machine ?? usual?.name ?? ''))
    const foot = look.feet.find((f) => f.facts.name === values.foot)
    const width = toNumber(values.width ?? '')
    const needle = toNumber((values.needle ?? '').split('/')[0] ?? '')
    const fit = useCompute(
        '/api/compute/check-fit',
        machine === undefined || foot === undefined || look.lesson.stitch === null
            ? null
            : {
                  machine: machine.facts,
                  foot: foot.facts,
                  stitch: look.lesson.stitch as 'straight',
                  ...(width === null ? {} : { width_mm: width }),
                  ...(needle === null || needle < 50 || needle > 200 ? {} : { needle_size: needle }),
              },
    )
    return (
        <details className={cx('settings')}>
            <summary>
                {t('common.sewnWith')} {values.machine ?? usual?.name ?? ''}
                {look.lesson.way.schools.length > 0 &&
                    ` · ${schools.flatMap((s) => s.schools.filter((o) => look.lesson.way.schools.includes(o.id)).map((o) => o.school)).join(', ')}`}
                {earlier !== undefined && ` · ${sessionName(earlier)}`}
                {['foot', 'length', 'tension', 'needle'].map((k) => (values[k] === undefined || values[k] === '' ? '' : ` · ${k} ${values[k]}`)).join('')}
            </summary>
            <div>
                <NativeSelect
                    label={t('common.machine')}
                    value={values.machine ?? usual?.name ?? ''}
                    onChange={(e) => {
                        onChange('machine', e.currentTarget.value)
                        onSewn?.({ machine: look.machines.find((m) => m.name === e.currentTarget.value)?.id ?? null })
                    }}>
                    <option value="" />
                    {look.machines.map((m) => (
                        <option key={m.id}>{m.name}</option>
                    ))}
                </NativeSelect>
                <NativeSelect
                    label={t('common.foot')}
                    value={values.foot ?? ''}
                    onChange={(e) => {
                        onChange('foot', e.currentTarget.value)
                        if (values.machine === undefined && usual !== undefined) onChange('machine', usual.name)
                    }}>
                    <option value="" />
                    {look.feet.map((f) => (
                        <option key={f.id}>{f.facts.name}</option>
                    ))}
                </NativeSelect>
                {plain('length', t('look.stitchLength'), '2.5')}
                {plain('tension', t('common.tension'), usual?.tension_mark ?? '4')}
                {plain('needle', t('common.needle'), '80')}
                {plain('cloth', t('common.cloth'), t('look.cotton2Layers'))}
                {plain('note', t('common.note'), '')}
                {look.lesson.swings && plain('width', t('common.width'), '3.5')}
                {onSewn !== null &&
                    schools.map((s) => (
                        <SchoolSelect key={s.name} label={s.name} setting={s} lesson={look.lesson} onChoose={(ids) => onSewn({ schools: ids.join(',') })} />
                    ))}
                {onSession !== null && look.sessions.length > 0 && (
                    <NativeSelect
                        label={t('look.sewnIn')}
                        value={session ?? ''}
                        onChange={(e) => onSession(e.currentTarget.value === '' ? null : e.currentTarget.value)}>
                        <option value="">{t('look.sewnNow')}</option>
                        {look.sessions.map((s) => (
                            <option key={s.id} value={s.id}>
                                {sessionName(s)}
                            </option>
                        ))}
                    </NativeSelect>
                )}
            </div>
            {foot !== undefined &&
                fit.error === null &&
                fit.data?.refusals.map((r) => (
                    <p key={r.rule} className={cx(r.danger ? 'refused' : 'refused mild')}>
                        {r.text}
                    </p>
                ))}
        </details>
    )
}
