import { MantineProvider } from '@mantine/core'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { render } from '@testing-library/react'
import i18next from 'i18next'
import { type ReactNode } from 'react'
import { MemoryRouter } from 'react-router'
import { afterEach, describe, expect, it } from 'vitest'
import { theme } from '../../resources/js/app/theme'
import { DateWishes } from '../../resources/js/features/plan/DateWishes'
import { StateKeys } from '../../resources/js/features/session/SeatPanel'
import { SignInPage } from '../../resources/js/features/signin/SignInPage'
import { Calibrate } from '../../resources/js/features/workshop/Calibrate'
import { NeedleTool } from '../../resources/js/features/workshop/NeedleTool'
import { PictureTool } from '../../resources/js/features/workshop/PictureTool'
import en from '../../resources/js/text/en.json'
import { PRODUCT, t, type Key } from '../../resources/js/text/words'
import { LEVEL_WORDS } from '../../resources/js/ui/ThreadLine'

const sources = import.meta.glob<string>('../../resources/js/**/*.{ts,tsx}', { query: '?raw', import: 'default', eager: true })
const catalogue = Object.entries(en).flatMap(([place, words]) => Object.entries(words).map(([key, text]) => [`${place}.${key}`, text] as [string, string]))
const holes = (text: string) => [...text.matchAll(/\{(\w+)\}/g)].map((m) => m[1] ?? '')

describe('the catalogue', () => {
    it('has no sentence that nothing says', () => {
        const code = Object.values(sources).join('\n')
        const keys = [...new Set(catalogue.map(([key]) => key.replace(/_(one|other)$/, '')))]
        expect(keys.length).toBeGreaterThan(1000)
        expect(keys.filter((key) => !code.includes(`'${key}'`))).toEqual([])
    })

    it('has every form of a sentence that counts, and all forms speak of the same things', () => {
        const all = new Map(catalogue)
        for (const [key, text] of catalogue.filter(([k]) => k.endsWith('_one'))) {
            const other = all.get(key.replace(/_one$/, '_other'))
            expect(other, key).toBeDefined()
            // One need not be said ("weekly"); nothing else may be missing.
            expect(new Set([...holes(text), 'n']), key).toEqual(new Set([...holes(other ?? ''), 'n']))
        }
    })

    it('counts as the language does', () => {
        expect(t('count.students', { n: 1 })).toBe('1 student')
        expect(t('count.students', { n: 2 })).toBe('2 students')
        expect(t('count.students', { n: 0 })).toBe('0 students')
        expect(t('workshop.stitchesAnInch', { n: '12.7' })).toBe('12.7 stitches an inch')
        expect(t('workshop.stitchesAnInch', { n: '1' })).toBe('1 stitch an inch')
        expect(t('workshop.stitchesAnInch', { n: '8–10' })).toBe('8–10 stitches an inch')
    })

    it('puts in what belongs into a sentence, as it is', () => {
        expect(t('session.isFreeAgain', { name: 'Pim & <b>' })).toBe('Pim & <b> is free again')
    })
})

describe('in another language nothing is left in English', () => {
    const before = i18next.language
    afterEach(async () => void (await i18next.changeLanguage(before)))

    const shown = async (page: ReactNode): Promise<string[]> => {
        const strange = Object.fromEntries(
            Object.entries(en).map(([place, words]) => [place, Object.fromEntries(Object.entries(words).map(([key, text]) => [key, `⟦${text}⟧`]))]),
        )
        i18next.addResourceBundle('xx', 'translation', strange)
        await i18next.changeLanguage('xx')
        const { container } = render(
            <MantineProvider theme={theme()}>
                <QueryClientProvider client={new QueryClient()}>
                    <MemoryRouter>{page}</MemoryRouter>
                </QueryClientProvider>
            </MantineProvider>,
        )
        const said = [...container.querySelectorAll('*:not(style)')].flatMap((element) => [
            ...[...element.childNodes].filter((n) => n.nodeType === Node.TEXT_NODE).map((n) => n.textContent ?? ''),
            ...['aria-label', 'title', 'placeholder', 'alt'].map((name) => element.getAttribute(name) ?? ''),
        ])
        expect(said.some((text) => text.includes('⟦'))).toBe(true)
        // What stands outside the brackets: digits, signs, units and names may.
        return said.map((text) => text.replace(/⟦[^⟧]*⟧/g, '').replace(PRODUCT, '')).filter((text) => /[A-Za-z]{3,}/.test(text))
    }

    const dates = { starts_on: '2030-01-07', time: '18:30', sessions: 6, minutes: 120, closed: [], weekdays: [], every_weeks: 1, made_up: {}, lengths: {} }

    it.each<[string, ReactNode, string[]]>([
        ['the sign-in', <SignInPage key="a" />, []],
        ['who is there', <StateKeys key="b" seat={{ name: '', state: 'here' }} busy={false} onState={() => undefined} />, []],
        ['the scale of a screen', <Calibrate key="c" />, []],
        ['the picture ruler', <PictureTool key="d" />, []],
        // Weekdays are the browser's, of the reader's locale.
        ['dates of a class', <DateWishes key="e" wishes={dates} wrong={{}} onChange={() => undefined} />, ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']],
    ])('%s', async (_, page, own) => {
        expect((await shown(page)).filter((text) => !own.includes(text))).toEqual([])
    })

    it('a level has its words in it', () => {
        for (const key of Object.values<Key>(LEVEL_WORDS)) expect(i18next.exists(key)).toBe(true)
        expect(NeedleTool).toBeTypeOf('function')
    })
})
