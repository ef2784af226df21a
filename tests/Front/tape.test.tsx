import { MantineProvider } from '@mantine/core'
import { cleanup, render, screen } from '@testing-library/react'
import { afterEach, describe, expect, it, vi } from 'vitest'
import type { View } from '../../resources/js/api/client'
import { theme } from '../../resources/js/app/theme'

const size = vi.hoisted(() => ({ width: 0 }))
vi.mock('@mantine/hooks', async (original) => ({
    ...(await original<object>()),
    useElementSize: () => ({ ref: () => undefined, width: size.width, height: 100 }),
}))

const { fits, tapeWords } = await import('../../resources/js/ui/tapeWords')
const { Tape } = await import('../../resources/js/ui/Tape')

const piece = (kind: View['TapePieceView']['kind'], title: string, from: number, to: number): View['TapePieceView'] => ({
    kind,
    title,
    from,
    to,
    round: from,
    lesson: null,
})
const TAPE = [
    piece('settle', 'Settle', 0, 5),
    piece('show', 'Show: Curve and corner', 5, 13),
    piece('show', 'Show: Guides', 13, 21),
    piece('sew', 'Sew, round 1', 21, 60),
    piece('free', 'Free', 60, 110),
    piece('clear', 'Clear up', 110, 120),
]

// Letters of one width, so that it can be worked out by hand.
const wide = (words: string) => words.length * 7

describe('words on the tape', () => {
    it('are whole or not there', () => {
        expect(fits('Settle', 'settle', 48, wide)).toBe(true)
        expect(fits('Settle', 'settle', 47, wide)).toBe(false)
        expect(fits('Clear up', 'clear', 73, wide)).toBe(true)
        expect(fits('Clear up', 'clear', 72, wide)).toBe(false)
        // Two lines of a demonstration, broken between words.
        expect(fits('Show: Guides', 'show', 54, wide)).toBe(true)
        expect(fits('Show: Guides', 'sew', 54, wide)).toBe(false)
        expect(fits('Show: Curve and corner', 'show', 80, wide)).toBe(false)
        expect(fits('Show: Curve and corner', 'show', 89, wide)).toBe(true)
    })

    it('become numbers, in their order, where they do not fit', () => {
        expect(tapeWords(TAPE, 120, 1100, wide)).toEqual([1, 2, null, null, null, null])
        expect(tapeWords(TAPE, 120, 600, wide)).toEqual([1, 2, 3, null, null, 4])
        expect(tapeWords(TAPE, 120, 3000, wide)).toEqual([null, null, null, null, null, null])
        expect(tapeWords(TAPE, 120, 0, wide)).toEqual([null, null, null, null, null, null])
    })
})

describe('the tape', () => {
    afterEach(cleanup)
    const session = { id: 's', minutes: 120, starts_at: '2026-05-14T18:30:00Z', tape: TAPE } as unknown as View['SessionView']
    const shown = (width: number) => {
        size.width = width
        render(
            <MantineProvider theme={theme()}>
                <Tape session={session} now="2026-05-14T19:00:00Z" zone="UTC" />
            </MantineProvider>,
        )
    }

    it('tells below what its smallest pieces are, and when', () => {
        shown(600)
        expect(screen.getAllByRole('listitem', { hidden: true }).map((l) => l.textContent.replace(/\s+/g, ' '))).toEqual([
            '1 6:30 Settle',
            '2 6:35 Show: Curve and corner',
            '3 6:43 Show: Guides',
            '4 8:20 Clear up',
        ])
        expect(screen.getByText('Sew, round 1')).toBeTruthy()
        // All of it is read out, however narrow it is.
        expect(screen.getByRole('group').getAttribute('aria-label')).toContain('Show: Curve and corner 5–13')
    })

    it('has nothing below it where everything can be read on it', () => {
        shown(3000)
        expect(screen.queryByRole('list', { hidden: true })).toBeNull()
        expect(screen.getByText('Show: Curve and corner')).toBeTruthy()
    })
})
