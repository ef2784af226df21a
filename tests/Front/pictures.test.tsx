import { render, screen } from '@testing-library/react'
import { MantineProvider } from '@mantine/core'
import { act } from 'react'
import { describe, expect, it, vi } from 'vitest'
import type { View } from '../../resources/js/api/client'
import { whole } from '../../resources/js/api/pictures'
import { Drawn } from '../../resources/js/drawing/Drawn'
import { FoldPicture } from '../../resources/js/drawing/FoldPicture'
import { Minutes } from '../../resources/js/features/front/Minutes'
import { withLines, type DraftLesson } from '../../resources/js/features/samplers/draft/lesson'

const picture = (role: string, text = ''): View['PictureView'] => ({
    box: { left: 0, top: 0, width: 90, height: 60 },
    word: 5,
    to_scale: false,
    shapes: [{ role, d: 'M0 0L10 10' }],
    labels: text === '' ? [] : [{ text, x: 5, y: 5, anchor: 'middle' }],
})

describe('a picture of the core', () => {
    it('is drawn as it was sent, its strokes so many hundredths of it', () => {
        const { container } = render(<Drawn picture={picture('lit', 'plug')} name="Plug out" />)
        const svg = screen.getByRole('img', { name: 'Plug out' })
        expect(svg.getAttribute('viewBox')).toBe('0 0 90 60')
        expect(svg.style.getPropertyValue('--u')).toBe('0.9')
        expect(container.querySelector('path')?.getAttribute('d')).toBe('M0 0L10 10')
        expect(container.querySelector('text')?.textContent).toBe('plug')
    })
    it('adorns what is said beside it where it has no name', () => {
        const { container } = render(<Drawn picture={picture('ink')} />)
        expect(container.querySelector('svg')?.getAttribute('aria-hidden')).toBe('true')
    })
})

describe('what was sent once', () => {
    const drawn = (uses: number[]): View['DrawnView'] => ({ box: { left: 0, top: 0, width: 1, height: 1 }, word: 1, to_scale: true, uses, labels: [] })
    it('is put into each picture in its order', () => {
        const sent: View['LessonPicturesView'] = {
            parts: [
                { role: 'body', d: 'a' },
                { role: 'lit', d: 'b' },
            ],
            acts: [drawn([0, 1])],
            steps: [drawn([1]), drawn([0, 0])],
            stories: [{ id: 's', title: 'S', steps: [{ say: 'one', picture: drawn([1, 0]) }] }],
        }
        const found = whole(sent)
        expect(found.acts[0]?.shapes.map((s) => s.d)).toEqual(['a', 'b'])
        expect(found.steps.map((p) => p.shapes.map((s) => s.d))).toEqual([['b'], ['a', 'a']])
        expect(found.stories[0]?.steps[0]).toMatchObject({ say: 'one', moves: [] })
        expect(found.stories[0]?.steps[0]?.picture.shapes.map((s) => s.d)).toEqual(['b', 'a'])
    })
})

describe('a fold', () => {
    const fold: View['FoldView'] = {
        id: 'f',
        title: 'The fold',
        steps: [
            { say: 'Flat.', moves: [], picture: picture('cloth-face') },
            { say: 'Folded.', moves: [picture('sewn'), picture('sewn')], picture: picture('right-side') },
        ],
    }
    it('moves from step to step, and stays where it ends', () => {
        vi.useFakeTimers()
        const { container } = render(
            <MantineProvider>
                <FoldPicture fold={fold} />
            </MantineProvider>,
        )
        const role = () => container.querySelector('path')?.getAttribute('class') ?? ''
        const next = screen.getByRole('button', { name: /Next step/ })
        act(() => next.click())
        expect(role()).toContain('pic-sewn')
        act(() => void vi.advanceTimersByTime(150))
        act(() => void vi.advanceTimersByTime(150))
        expect(role()).toContain('pic-right-side')
        expect(screen.getByText('2 / 2')).toBeTruthy()
        act(() => next.click())
        expect(screen.getByText('2 / 2')).toBeTruthy()
        act(() => screen.getByRole('button', { name: /Back/ }).click())
        expect(role()).toContain('pic-cloth-face')
        vi.useRealTimers()
    })
})

describe('the minutes of a demonstration', () => {
    it('say what was planned, run, and say when they are over', () => {
        vi.useFakeTimers({ now: Date.parse('2026-05-14T19:10:05Z') })
        const { rerender, container } = render(<Minutes begun={null} planned={8} />)
        expect(container.textContent).toBe('8 min')
        rerender(<Minutes begun="2026-05-14T19:07:00Z" planned={8} />)
        expect(container.textContent).toBe('3:05 of 8 min')
        expect(container.querySelector('span')?.className).not.toContain('over')
        rerender(<Minutes begun="2026-05-14T19:01:00Z" planned={8} />)
        expect(container.querySelector('span')?.className).toContain('over')
        vi.useRealTimers()
    })
})

describe('steps that are written anew', () => {
    const lesson = { steps: ['one', 'two'], step_pictures: [{ kind: 'discs' }, { kind: 'needle' }], cautions: [] } as unknown as DraftLesson
    it('keep their pictures where they come, go or change places', () => {
        expect(withLines(lesson, 'steps', ['two', 'one']).step_pictures).toEqual([{ kind: 'needle' }, { kind: 'discs' }])
        expect(withLines(lesson, 'steps', ['one', 'new', 'two']).step_pictures).toEqual([{ kind: 'discs' }, null, { kind: 'needle' }])
        expect(withLines(lesson, 'steps', ['two']).step_pictures).toEqual([{ kind: 'needle' }])
        // A letter that is typed into a step is no other step.
        expect(withLines(lesson, 'steps', ['one!', 'two']).step_pictures).toEqual([{ kind: 'discs' }, { kind: 'needle' }])
    })
    it('leave other lines and lessons without pictures alone', () => {
        expect(withLines(lesson, 'cautions', ['mind']).step_pictures).toBe(lesson.step_pictures)
        expect(withLines({ ...lesson, step_pictures: [] }, 'steps', ['x'])).toMatchObject({ steps: ['x'], step_pictures: [] })
    })
})
