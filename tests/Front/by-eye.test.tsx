import { MantineProvider } from '@mantine/core'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { cleanup, fireEvent, render, screen } from '@testing-library/react'
import { afterEach, describe, expect, it, vi } from 'vitest'
import type { View } from '../../resources/js/api/client'
import { theme } from '../../resources/js/app/theme'
import { ByEye } from '../../resources/js/ui/ByEye'

const picture: View['PictureView'] = { box: { left: 0, top: 0, width: 10, height: 5 }, shapes: [], labels: [], word: 1, to_scale: true }
const look = (key: string, of: string, says: string, verdict: View['RowLookView']['verdict'], typed: string[]): View['RowLookView'] => ({
    key,
    of,
    says,
    verdict,
    typed,
    picture,
})
const field = (key: string, label: string, seen: boolean) =>
    ({ key, label, seen, kind: 'length', size: 1, options: [], hint: '', values: [] }) as View['FieldView']
const row = {
    id: 'seam',
    fields: [field('seam.a', 'Start from the edge', true), field('seam.b', 'Both ends hold', true), field('seam.c', 'In trials', false)],
} as unknown as View['RowView']

function shown(looks: View['RowLookView'][], of = row) {
    const client = new QueryClient({ defaultOptions: { queries: { retry: false } } })
    client.setQueryData(['pictures', 'looks', 'first-seam', 'c1'], looks)
    const taken = vi.fn()
    render(
        <QueryClientProvider client={client}>
            <MantineProvider theme={theme()} env="test">
                <ByEye lesson="first-seam" classId="c1" row={of} onTake={taken} />
            </MantineProvider>
        </QueryClientProvider>,
    )
    return taken
}

describe('a row read by eye', () => {
    afterEach(cleanup)
    const looks = [
        look('seam.a', 'Start from the edge', 'right', 'met', ['4.0 ±1.5']),
        look('seam.a', 'Start from the edge', 'too much', 'not-yet', ['12.0 ±1.5']),
        look('seam.b', 'Both ends hold', 'as it should be', 'met', ['1']),
        look('other.a', 'Of another row', 'right', 'met', ['9']),
    ]

    it('offers the looks of its own readings, each under its name', () => {
        shown(looks)
        fireEvent.click(screen.getByRole('button', { name: /tap what it looks like/ }))
        expect(screen.getAllByRole('heading', { level: 3 }).map((h) => h.textContent.trim())).toEqual(['Start from the edge', 'Both ends hold'])
        expect(screen.queryByText('Of another row')).toBeNull()
    })

    it('types what is tapped, says so, and closes when everything was', () => {
        const taken = shown(looks)
        fireEvent.click(screen.getByRole('button', { name: /tap what it looks like/ }))
        fireEvent.click(screen.getByRole('button', { name: 'Start from the edge: too much' }))
        expect(taken).toHaveBeenLastCalledWith('seam.a', ['12.0 ±1.5'])
        expect(screen.getByText('typed in')).toBeTruthy()
        // Once more changes it and does not end it.
        fireEvent.click(screen.getByRole('button', { name: 'Start from the edge: right' }))
        expect(taken).toHaveBeenLastCalledWith('seam.a', ['4.0 ±1.5'])
        fireEvent.click(screen.getByRole('button', { name: 'Both ends hold: as it should be' }))
        expect(taken).toHaveBeenCalledTimes(3)
        expect(screen.queryByRole('dialog')).toBeNull()
    })

    it('is not there where nothing can be seen so', () => {
        shown(looks, { id: 'seam', fields: [field('seam.c', 'In trials', false)] } as unknown as View['RowView'])
        expect(screen.queryByRole('button')).toBeNull()
    })
})
