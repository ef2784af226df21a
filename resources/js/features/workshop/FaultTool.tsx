import { Button, Checkbox } from '@mantine/core'
import { useState } from 'react'
import { useSearchParams } from 'react-router'
import { ulid } from 'ulid'
import { api, ask, type View } from '../../api/client'
import { useChange, useFaults, useHunt } from '../../api/queries'
import { Drawn } from '../../drawing/Drawn'
import { t } from '../../text/words'
import { Choice } from '../../ui/Choice'
import { Trouble, Waiting } from '../../ui/Trouble'
import { cx } from './dress'
import { machineOptions } from './fields'
import { Hunt } from './Hunt'
import type { ToolProps } from './tool'

type Known = NonNullable<View['HuntBody']['known']>

const CLOTHS = [
    { id: '', title: t('workshop.notSaid') },
    { id: 'woven', title: t('workshop.wovenMedium') },
    { id: 'thin', title: t('workshop.thin') },
    { id: 'stretch', title: t('workshop.stretch') },
]

/** Tick what is seen, get the one change to try next, say what came of it, until the cause is found. */
export function FaultTool({ room }: ToolProps) {
    const [search, setSearch] = useSearchParams()
    const id = search.get('hunt')
    const hunt = useHunt(id)
    const faults = useFaults()
    const [seen, setSeen] = useState<string[]>(() => (search.get('seen') ?? '').split(',').filter((f) => f !== ''))
    const [machine, setMachine] = useState(search.get('machine') ?? '')
    const [known, setKnown] = useState<Known>({})
    const student = search.get('student')
    const sample = search.get('sample')
    const open = useChange('workshop', async () => {
        const made = await ask(
            api.POST('/api/hunts', { body: { id: ulid().toLowerCase(), seen, machine: machine === '' ? null : machine, student, sample, known } }),
        )
        setSearch({ hunt: made.id })
    })
    if (id !== null) {
        if (hunt.data === undefined) return hunt.error === null ? <Waiting what={t('common.looking')} /> : <Trouble error={hunt.error} />
        return (
            <Hunt
                key={hunt.data.id}
                hunt={hunt.data}
                faults={faults.data ?? []}
                machine={room.machines.find((m) => m.machine.id === hunt.data.machine)?.machine.name ?? null}
                onAgain={() => {
                    setSeen([])
                    setSearch({})
                }}
            />
        )
    }
    const set = (fact: Partial<Known>) => setKnown({ ...known, ...fact })
    const flag = (name: 'needle_new' | 'rethreaded' | 'bobbin_reseated' | 'fast', label: string) => (
        <Checkbox label={label} checked={known[name] === true} onChange={(e) => set({ [name]: e.currentTarget.checked })} />
    )
    return (
        <div className="fault-tool">
            <p>{t('workshop.tickWhatIsSeenOn')}</p>
            <ul className={cx('fault-looks')}>
                {(faults.data ?? []).map((f) => (
                    <li key={f.id}>
                        <label className={cx(seen.includes(f.id) ? 'on' : '')}>
                            {f.picture !== null && <Drawn picture={f.picture} />}
                            <span>
                                <Checkbox
                                    checked={seen.includes(f.id)}
                                    onChange={() => setSeen(seen.includes(f.id) ? seen.filter((x) => x !== f.id) : [...seen, f.id])}
                                />
                                {f.seen}
                            </span>
                        </label>
                    </li>
                ))}
            </ul>
            <div className={cx('fault-known')}>
                <Choice
                    label={t('common.machine')}
                    value={machine}
                    options={[{ id: '', title: t('workshop.notSaid') }, ...machineOptions(room)]}
                    onChange={setMachine}
                />
                <Choice
                    label={t('common.cloth')}
                    value={known.cloth ?? ''}
                    options={CLOTHS}
                    onChange={(cloth) =>
                        setKnown(
                            Object.fromEntries([...Object.entries(known).filter(([k]) => k !== 'cloth'), ...(cloth === '' ? [] : [['cloth', cloth]])]) as Known,
                        )
                    }
                />
                {flag('needle_new', t('workshop.needleIsNew'))}
                {flag('rethreaded', t('workshop.topRethreadedJustNow'))}
                {flag('bobbin_reseated', t('workshop.bobbinReseatedJustNow'))}
                {flag('fast', t('workshop.sewnFast'))}
                <Button size="lg" disabled={seen.length === 0 || open.isPending} onClick={() => open.mutate(undefined)}>
                    {t('common.findTheCause')}
                </Button>
            </div>
            <Trouble error={open.error ?? faults.error} />
        </div>
    )
}
