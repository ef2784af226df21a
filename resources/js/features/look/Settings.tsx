import type { View } from '../../api/client'
import { t } from '../../app/text'

interface Props {
    look: View['LookView']
    values: Record<string, string>
    onChange: (name: string, value: string) => void
}

/** Machine and settings it was sewn with, so that nobody has to find them again. */
export function Settings({ look, values, onChange }: Props) {
    const usual = look.machines.find((m) => m.id === look.machine)
    const plain = (name: string, label: string, hint: string) => (
        <label>
            <span>{label}</span>
            <input value={values[name] ?? ''} placeholder={hint} maxLength={200} onChange={(e) => onChange(name, e.currentTarget.value)} />
        </label>
    )
    return (
        <details className="settings">
            <summary>{t('Sewn with')} {values.machine ?? usual?.name ?? ''}{['length', 'tension', 'needle'].map((k) => (values[k] === undefined || values[k] === '' ? '' : ` · ${k} ${values[k]}`)).join('')}</summary>
            <div>
                <label>
                    <span>{t('Machine')}</span>
                    <select value={values.machine ?? usual?.name ?? ''} onChange={(e) => onChange('machine', e.currentTarget.value)}>
                        <option value="" />
                        {look.machines.map((m) => <option key={m.id}>{m.name}</option>)}
                    </select>
                </label>
                {plain('length', t('Stitch length'), '2.5')}
                {plain('tension', t('Tension'), usual?.tension_mark ?? '4')}
                {plain('needle', t('Needle'), '80')}
                {plain('note', t('Note'), t('layers, cloth, foot'))}
            </div>
        </details>
    )
}
