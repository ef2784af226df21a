import { MantineProvider } from '@mantine/core'
import { fireEvent, render, screen } from '@testing-library/react'
import { useState, type ReactNode } from 'react'
import { beforeEach, describe, expect, it } from 'vitest'
import type { View } from '../../resources/js/api/client'
import { theme } from '../../resources/js/app/theme'
import { NumberField } from '../../resources/js/ui/NumberField'
import { ReadingField } from '../../resources/js/ui/ReadingField'

const shown = (what: ReactNode) => render(<MantineProvider theme={theme()}>{what}</MantineProvider>)
const LENGTH = { length: true, min: 0, max: 40, step: 0.5 }
const field = (kind: View['FieldView']['kind'], values: View['FieldValueView'][], options: string[] = []): View['FieldView'] => ({
    key: `row.${kind}`,
    label: `The ${kind}`,
    kind,
    size: values.length,
    seen: false,
    options,
    hint: '',
    values,
})
let kept: string[] = []

function Reading({ of, unit = 'mm', problem = null }: { of: View['FieldView']; unit?: 'mm' | 'in'; problem?: string | null }) {
    const [values, setValues] = useState<string[]>([])
    const change = (i: number, value: string) => {
        kept = Object.assign([...values], { [i]: value })
        setValues(kept)
    }
    return <ReadingField field={of} unit={unit} values={values} problem={problem} problemAt={null} onChange={change} onEye={() => undefined} />
}

beforeEach(() => {
    kept = []
    localStorage.clear()
})

describe('a reading', () => {
    it('is stepped by its own resolution, and within what it may be', () => {
        shown(<Reading of={field('length', [LENGTH])} />)
        const input = screen.getByRole('textbox')
        fireEvent.keyDown(input, { key: 'ArrowUp' })
        expect(kept).toEqual(['0.5'])
        fireEvent.change(input, { target: { value: '39.8' } })
        fireEvent.keyDown(input, { key: 'ArrowUp' })
        expect(kept).toEqual(['40.0'])
        fireEvent.change(input, { target: { value: '12,5' } })
        fireEvent.keyDown(input, { key: 'ArrowDown' })
        expect(kept).toEqual(['12.0'])
    })

    it('is stepped by sixteenths for who measures in inches', () => {
        shown(<Reading of={field('length', [LENGTH])} unit="in" />)
        const input = screen.getByRole('textbox')
        fireEvent.change(input, { target: { value: '5/8' } })
        fireEvent.keyDown(input, { key: 'ArrowUp' })
        expect(kept).toEqual(['11/16'])
    })

    it('that a picture said shows how sure it is beneath, and is whole in hand', () => {
        shown(<Reading of={field('length', [LENGTH])} />)
        const input = screen.getByRole<HTMLInputElement>('textbox')
        fireEvent.change(input, { target: { value: '15.26 ±0.21' } })
        expect(input.value).toBe('15.3')
        expect(screen.getByText(/^±0\.21/)).toBeTruthy()
        fireEvent.focus(input)
        expect(input.value).toBe('15.26 ±0.21')
        fireEvent.change(input, { target: { value: '12' } })
        fireEvent.blur(input)
        expect(input.value).toBe('12')
        expect(screen.queryByText(/^±/)).toBeNull()
        expect(kept).toEqual(['12'])
    })

    it('has a field for each mark, named by its number', () => {
        shown(<Reading of={field('lengths', [LENGTH, LENGTH, LENGTH])} />)
        expect(screen.getAllByRole('textbox')).toHaveLength(3)
        fireEvent.change(screen.getByLabelText('mark 2'), { target: { value: '9.5' } })
        expect(kept[1]).toBe('9.5')
    })

    it('yes or no goes by one key, and says which is taken', () => {
        shown(<Reading of={field('yes-no', [{ length: false, min: 0, max: 1, step: 1 }])} />)
        const group = screen.getByRole('radiogroup', { name: /The yes-no/ })
        fireEvent.keyDown(group, { key: 'n' })
        expect(kept).toEqual(['0'])
        expect(screen.getByRole('radio', { name: 'no' }).getAttribute('aria-checked')).toBe('true')
        fireEvent.keyDown(group, { key: 'y' })
        expect(kept).toEqual(['1'])
        // The focus is on the answer itself, and Tab stops once in the group.
        const yes = screen.getByRole('radio', { name: 'yes' })
        yes.focus()
        expect([yes.tabIndex, screen.getByRole('radio', { name: 'no' }).tabIndex]).toEqual([0, -1])
        fireEvent.keyDown(yes, { key: 'ArrowRight' })
        expect(document.activeElement).toBe(screen.getByRole('radio', { name: 'no' }))
    })

    it('says beside itself what is wrong with it', () => {
        shown(<Reading of={field('length', [LENGTH])} problem="0 to 40 mm" />)
        expect(screen.getByRole('alert').textContent).toBe('0 to 40 mm')
    })
})

describe('a number of a tool', () => {
    function Number() {
        const [value, setValue] = useState('2')
        const change = (v: string) => {
            kept = [v]
            setValue(v)
        }
        return <NumberField label="Width" value={value} min={0} max={7} step={0.5} onChange={change} />
    }

    it('is stepped by keys and by its two buttons, and stops at its ends', () => {
        shown(<Number />)
        const input = screen.getByRole('textbox')
        fireEvent.keyDown(input, { key: 'ArrowUp' })
        expect(kept).toEqual(['2.5'])
        fireEvent.keyDown(input, { key: 'ArrowUp', shiftKey: true })
        expect(kept).toEqual(['7'])
        fireEvent.change(input, { target: { value: 'about three' } })
        expect(kept).toEqual(['about three'])
        fireEvent.keyDown(input, { key: 'ArrowUp' })
        expect(kept).toEqual(['0.5'])
    })
})
