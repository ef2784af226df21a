import { TextInput, UnstyledButton, type TextInputProps } from '@mantine/core'
import type { KeyboardEvent } from 'react'
import { t } from '../text/words'
import { cx } from './dress'
import look from './StepField.module.css'

interface Props extends Omit<TextInputProps, 'size'> {
    /** What the steps are called for those who do not see them. */
    name: string
    /** One step up (1) or down (−1), ten with Shift: by ↑ and ↓, and by the keys where they are shown. */
    onStep: (up: number) => void
    /** Shows − and + beside the number, for a finger. */
    keys?: boolean
    /** How large the figures stand: a field among fields, a number of a tool, a reading. */
    figures?: 'plain' | 'tool' | 'reading'
}

/** A number as it is typed, in figures of one width: stepped without a mouse, never changed behind somebody's back. */
export function StepField({ name, onStep, keys = false, figures = 'plain', onKeyDown, ...rest }: Props) {
    const onKey = (event: KeyboardEvent<HTMLInputElement>) => {
        onKeyDown?.(event)
        if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return
        event.preventDefault()
        onStep((event.key === 'ArrowUp' ? 1 : -1) * (event.shiftKey ? 10 : 1))
    }
    const key = (up: number, sign: string, label: string) => (
        <UnstyledButton tabIndex={-1} className={look.key ?? ''} aria-label={label} onClick={() => onStep(up)}>
            {sign}
        </UnstyledButton>
    )
    return (
        <TextInput
            inputMode="decimal"
            autoComplete="off"
            onKeyDown={onKey}
            {...rest}
            classNames={{ input: cx(`num ${look[figures] ?? ''}`), section: look.keys ?? '' }}
            {...(keys
                ? {
                      rightSectionWidth: 89,
                      rightSectionPointerEvents: 'all' as const,
                      rightSection: (
                          <>
                              {key(-1, '−', t('common.less', { label: name }))}
                              {key(1, '+', t('common.more', { label: name }))}
                          </>
                      ),
                  }
                : {})}
        />
    )
}
