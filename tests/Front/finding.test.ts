import { beforeEach, describe, expect, it } from 'vitest'
import { finderOf, recent, remember, type Findable } from '../../resources/js/app/finding'

const of = (kind: Findable['kind'], title: string, detail = ''): Findable => ({ kind, title, detail, address: `/${kind}/${title}` })
const find = finderOf([
    of('student', 'Tobiah', 'Beginners one, seat 2'),
    of('student', 'Zoë', 'Beginners two, seat 1'),
    of('lesson', 'First seam', 'A straight seam with secured ends.'),
    of('lesson', 'Zigzag ladder', 'Width and length.'),
    of('lesson', 'Buttonhole on this machine', 'Three holes.'),
    of('lesson', 'Wind and thread', 'Bobbin and top thread.'),
    of('fault', 'Needle breaks'),
    of('tool', 'Needle and thread', 'Workshop'),
    of('action', 'Print seat cards'),
    of('machine', 'Window 3'),
])
const first = (typed: string) => find(typed)[0]?.title
const all = (typed: string) => find(typed).map((f) => f.title)

describe('what is typed into the finder', () => {
    beforeEach(() => localStorage.clear())

    it.each([
        ['tobaih', 'Tobiah'],
        ['bobin', 'Wind and thread'],
        ['buttnhole', 'Buttonhole on this machine'],
        ['seam first', 'First seam'],
        ['zig zag', 'Zigzag ladder'],
        ['zigzag', 'Zigzag ladder'],
        ['button hole', 'Buttonhole on this machine'],
        ['hole', 'Buttonhole on this machine'],
        ['adder', 'Zigzag ladder'],
        ['zoe', 'Zoë'],
        ['cards seat', 'Print seat cards'],
        ['win 3', 'Window 3'],
        ['tob', 'Tobiah'],
    ])('“%s” finds %s', (typed, title) => expect(first(typed)).toBe(title))

    it('takes a needle for a needle with two letters wrong, and nothing for nonsense', () => {
        expect(all('nedle')).toEqual(expect.arrayContaining(['Needle breaks', 'Needle and thread']))
        expect(all('xqzzk')).toEqual([])
        expect(all('%')).toEqual([])
        expect(all('   ')).toEqual([])
    })

    it('does not look for what may be meant while it is there as typed', () => {
        expect(all('needle')).toEqual(expect.arrayContaining(['Needle breaks', 'Needle and thread']))
        expect(all('first seam')).toEqual(['First seam'])
    })

    it('puts what was found lately first', () => {
        remember('/tool/Needle and thread')
        expect(first('needle')).toBe('Needle and thread')
        localStorage.clear()
        remember('/fault/Needle breaks')
        expect(first('needle')).toBe('Needle breaks')
    })

    it('remembers the last eight, each once', () => {
        for (let n = 0; n < 12; n++) remember(`/a/${n % 10}`)
        expect(recent()).toEqual(['/a/1', '/a/0', '/a/9', '/a/8', '/a/7', '/a/6', '/a/5', '/a/4'])
        localStorage.setItem('open-seam-found', 'not a list')
        expect(recent()).toEqual([])
    })
})
