import { describe, expect, it } from 'vitest'
import { dress } from '../../resources/js/dress/dress'
import { scopedName } from '../../vite.names'

describe('how a place puts on its classes', () => {
    const cx = dress({ wish: 'plan-wish' }, { needle: 'drawing-needle', wish: 'drawing-wish' })

    it('gives each name the one its sheet gave it, the first sheet that knows it', () => {
        expect(cx('wish needle')).toBe('plan-wish drawing-needle')
    })

    it('leaves alone what no sheet knows, and what a control was handed already dressed', () => {
        expect(cx('plan-wish nowhere')).toBe('plan-wish nowhere')
    })

    it('takes what a condition leaves over', () => {
        expect(cx(false)).toBe('')
        expect(cx(undefined)).toBe('')
        expect(cx('  wish ')).toBe('plan-wish')
    })
})

describe('the name of a class in the page', () => {
    it('is its sheet and its own name', () => {
        expect(scopedName('wish-sheet', '/x/resources/js/features/plan/plan.module.css')).toBe('plan-wish-sheet')
    })

    it('is that of the sheet below where a place says more of its class', () => {
        expect(scopedName('refused', '/x/resources/js/features/look/look.module.css?used')).toBe('common-refused')
        expect(scopedName('cloth', '/x/resources/js/features/student/student.module.css')).toBe('drawing-cloth')
    })

    it('is never another sheet’s for a control that stands alone', () => {
        expect(scopedName('reading', '/x/resources/js/ui/StepField.module.css')).toBe('StepField-reading')
    })
})
