import { useState, type SubmitEvent } from 'react'
import { api, ask, type View } from '../../api/client'
import { useChange, useMachines } from '../../api/queries'
import { t } from '../../app/text'
import { Trouble, Waiting } from '../../ui/Trouble'

type MachineIn = View['MachineBody']

/** The machines: what they are, and whether they may be used. Plans count the usable ones. */
export default function RoomPage() {
    const machines = useMachines()
    const change = useChange(async ({ id, ...body }: MachineIn & { id: string }) => {
        await ask(api.PUT('/api/machines/{machine}', { params: { path: { machine: id } }, body }))
    })
    if (machines.data === undefined) return machines.error === null ? <Waiting what={t('Opening the room')} /> : <Trouble error={machines.error} />
    return (
        <div className="room">
            <h1>{t('Room')}</h1>
            <p className="caution">{t('Damaged lead, smell of burning or a strike: unplug, take it out of use here, and leave it to a technician. The machine’s manual and your local rules decide.')}</p>
            <Trouble error={change.error} />
            <table className="rows">
                <thead><tr><th>{t('machine')}</th><th>{t('drive')}</th><th>{t('tension mark')}</th><th>{t('note')}</th><th>{t('in use')}</th></tr></thead>
                <tbody>
                    {machines.data.map((m) => (
                        <tr key={m.id} className={m.usable ? '' : 'out'}>
                            <td><strong>{m.name}</strong></td><td>{m.drive}</td><td className="num">{m.tension_mark}</td><td>{m.note}</td>
                            <td><button type="button" className="quiet-act" aria-pressed={m.usable} onClick={() => change.mutate({ ...m, usable: !m.usable })}>{m.usable ? t('Take out of use') : t('Use it again')}</button></td>
                        </tr>
                    ))}
                </tbody>
            </table>
            <AddMachine count={machines.data.length} />
        </div>
    )
}

function AddMachine({ count }: { count: number }) {
    const fresh: MachineIn = { name: `Machine ${count + 1}`, drive: 'mechanical', tension_mark: '4', usable: true, note: '' }
    const [form, setForm] = useState<MachineIn>(fresh)
    const add = useChange(async () => {
        await ask(api.POST('/api/machines', { body: form }))
        setForm({ ...fresh, name: `Machine ${count + 2}` })
    })
    const submit = (event: SubmitEvent) => {
        event.preventDefault()
        add.mutate(undefined)
    }
    return (
        <form className="add-students" onSubmit={submit}>
            <label>{t('Name')}<input value={form.name} maxLength={60} required onChange={(e) => setForm({ ...form, name: e.currentTarget.value })} /></label>
            <label>{t('Drive')}<select value={form.drive} onChange={(e) => setForm({ ...form, drive: e.currentTarget.value as MachineIn['drive'] })}>{['mechanical', 'computerised', 'straight-only'].map((d) => <option key={d}>{d}</option>)}</select></label>
            <label>{t('Tension mark')}<input value={form.tension_mark} maxLength={10} required onChange={(e) => setForm({ ...form, tension_mark: e.currentTarget.value })} /></label>
            <label>{t('Note')}<input value={form.note} maxLength={200} onChange={(e) => setForm({ ...form, note: e.currentTarget.value })} /></label>
            <button type="submit" className="quiet-act" disabled={add.isPending}>{t('Add the machine')}</button>
            <Trouble error={add.error} />
        </form>
    )
}
