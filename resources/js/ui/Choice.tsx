import { NativeSelect } from '@mantine/core'
import { cx } from './dress'

interface Props<Id extends string> {
    label: string
    value: NoInfer<Id>
    options: readonly { id: Id; title: string }[]
    onChange: (id: Id) => void
}

/** One of a few, by id: the device's own list, which fingers and keys know. */
export function Choice<Id extends string>({ label, value, options, onChange }: Props<Id>) {
    return (
        <NativeSelect
            label={label}
            className={cx('choice')}
            value={value}
            data={options.map((o) => ({ value: o.id, label: o.title }))}
            onChange={(e) => onChange(e.currentTarget.value as Id)}
        />
    )
}
