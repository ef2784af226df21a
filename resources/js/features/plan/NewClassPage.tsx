import { NativeSelect, NumberInput, Textarea, TextInput } from '@mantine/core'
import { useState, type SubmitEvent } from 'react'
import { useNavigate } from 'react-router'
import { api, ask } from '../../api/client'
import { useChange, useMachines, useMe } from '../../api/queries'
import { t } from '../../app/text'
import { Trouble } from '../../ui/Trouble'

/** A new class in one sheet: who comes, when, what stands in the room. The course lays itself out. */
export default function NewClassPage() {
    const me = useMe()
    const machines = useMachines()
    const navigate = useNavigate()
    const [form, setForm] = useState({ name: '', students: '', starts_on: (me.data?.now ?? new Date().toISOString()).slice(0, 10), time: '18:30', sessions: 6, minutes: 120, helpers: 0, machines: 8, course: '' })
    const courses = me.data?.courses ?? []
    const course = courses.find((c) => c.id === form.course) ?? courses[0]
    const names = form.students.split(/[\n,;]+/).map((n) => n.trim()).filter((n) => n !== '')
    const make = useChange(async () => {
        const made = await ask(api.POST('/api/classes', { body: { ...form, course: course?.id ?? '', students: names } }))
        await navigate(`/plan/${made.id}`)
    })
    const wrong = make.error?.all ?? {}
    const number = (name: 'sessions' | 'minutes' | 'helpers' | 'machines', label: string, min: number, max: number, step = 1) => (
        <NumberInput label={label} min={min} max={max} step={step} allowDecimal={false} value={form[name]} error={wrong[name]} onChange={(v) => setForm({ ...form, [name]: Number(v) })} />
    )
    const submit = (event: SubmitEvent) => {
        event.preventDefault()
        make.mutate(undefined)
    }
    return (
        <form className="new-class" onSubmit={submit}>
            <h1>{t('Plan a class')}</h1>
            <p>{me.data?.classes.length === 0 ? t('Three things, and the first evening is planned: who comes, when, and how many machines stand ready.') : t('Who comes, when, and how many machines stand ready.')}</p>
            <div className="new-class-grid">
                <div>
                    <TextInput label={t('Name of the class')} placeholder={t('Evening beginners')} required withAsterisk={false} value={form.name} error={wrong.name} onChange={(e) => setForm({ ...form, name: e.currentTarget.value })} />
                    <Textarea
                        label={t('Students, one a line')} description={t('The name they go by in the room is enough. {n} so far.', { n: names.length })} autosize minRows={8} maxRows={12}
                        required withAsterisk={false} value={form.students} error={Object.entries(wrong).find(([k]) => k.startsWith('students'))?.[1]}
                        onChange={(e) => setForm({ ...form, students: e.currentTarget.value })}
                    />
                </div>
                <div>
                    <div className="pair">
                        <TextInput label={t('First session')} type="date" required withAsterisk={false} value={form.starts_on} error={wrong.starts_on} onChange={(e) => setForm({ ...form, starts_on: e.currentTarget.value })} />
                        <TextInput label={t('At')} type="time" required withAsterisk={false} value={form.time} error={wrong.time} onChange={(e) => setForm({ ...form, time: e.currentTarget.value })} />
                    </div>
                    <div className="pair">
                        {number('sessions', t('Sessions, one a week'), 1, 60)}
                        {number('minutes', t('Minutes each'), 30, 600, 15)}
                    </div>
                    <div className="pair">
                        {number('helpers', t('Helpers beside you'), 0, 20)}
                        {machines.data?.length === 0
                            ? number('machines', t('Machines in the room'), 1, 40)
                            : <p className="quiet">{t('{n} usable machines in the room', { n: machines.data?.filter((m) => m.usable).length ?? 0 })}</p>}
                    </div>
                    <NativeSelect label={t('Course')} value={course?.id ?? ''} data={courses.map((c) => ({ value: c.id, label: c.title }))} onChange={(e) => setForm({ ...form, course: e.currentTarget.value })} />
                    <p className="quiet">{t('Its lessons are laid into the sessions in order. Everything can be moved afterwards.')}</p>
                    <Trouble error={make.error} />
                    <button type="submit" className="act big" disabled={make.isPending}>{make.isPending ? t('Laying it out …') : t('Lay it out for me')}</button>
                </div>
            </div>
        </form>
    )
}
