import { describe, expect, it } from 'vitest'
import type { View } from '../../resources/js/api/client'
import { columnsOf, faultsOf, isAnswer, sent } from '../../resources/js/features/round/paper'

const field = (key: string, kind: View['FieldView']['kind'], size: number, options: string[] = []) =>
    ({ key, kind, size, options, label: key, hint: '', values: [], seen: false }) as View['FieldView']

describe('a sheet as columns of a grid', () => {
    const lesson = {
        rows: [
            { id: 'a', fields: [field('a.marks', 'lengths', 3), field('a.pull', 'yes-no', 1)] },
            { id: 'b', fields: [field('b.step', 'choice', 1, ['x', 'y'])] },
        ],
    } as unknown as View['LessonView']
    it('has one for every value, in the order of the sheet', () => {
        expect(columnsOf(lesson).map((c) => `${c.field.key}${c.index}`)).toEqual(['a.marks0', 'a.marks1', 'a.marks2', 'a.pull0', 'b.step0'])
    })
    it('goes on by itself where a letter or a number is the whole answer', () => {
        expect([
            isAnswer(field('p', 'yes-no', 1), 'y'),
            isAnswer(field('p', 'yes-no', 1), 'yes'),
            isAnswer(field('s', 'choice', 1), '2'),
            isAnswer(field('l', 'lengths', 1), '1'),
        ]).toEqual([true, false, true, false])
    })
    it('sends yes and no, steps from 0, and lengths as they are typed', () => {
        expect([
            sent(field('p', 'yes-no', 1), 'Y'),
            sent(field('p', 'yes-no', 1), 'n'),
            sent(field('s', 'choice', 1, ['x', 'y']), '2'),
            sent(field('s', 'choice', 1, ['x']), '4'),
            sent(field('l', 'length', 1), ' 5/8 '),
        ]).toEqual(['1', '0', '1', '4', '5/8'])
    })
    it('takes faults by their numbers, and none for a number that is none', () => {
        const faults = [{ id: 'nest' }, { id: 'pucker' }]
        expect([faultsOf(faults, '2 1'), faultsOf(faults, ''), faultsOf(faults, '3'), faultsOf(faults, 'nest')]).toEqual([['pucker', 'nest'], [], null, null])
    })
})
