import { Checkbox, TextInput } from '@mantine/core'
import { t } from '../text/words'
import { cx } from './dress'

interface Props {
    stitches: readonly { id: string; title: string }[]
    /** What stands on its dial, by stitch; a stitch that it has not is not among them. */
    names: Record<string, string>
    onChange: (names: Record<string, string>) => void
}

/** The stitches a machine has, and the number or letter each has on it. */
export function StitchNames({ stitches, names, onChange }: Props) {
    return stitches.map((s) => (
        <div key={s.id} className={cx('stitch-name')}>
            <Checkbox
                label={s.title}
                checked={names[s.id] !== undefined}
                onChange={(e) =>
                    onChange(e.currentTarget.checked ? { ...names, [s.id]: '' } : Object.fromEntries(Object.entries(names).filter(([id]) => id !== s.id)))
                }
            />
            {names[s.id] !== undefined && (
                <TextInput
                    classNames={{ input: cx('num') }}
                    aria-label={t('room.onItsDial', { stitch: s.title })}
                    value={names[s.id]}
                    maxLength={20}
                    onChange={(e) => onChange({ ...names, [s.id]: e.currentTarget.value })}
                />
            )}
        </div>
    ))
}
