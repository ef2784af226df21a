import { Button, Slider } from '@mantine/core'
import { useLocalStorage } from '@mantine/hooks'
import { useState } from 'react'
import { DrawingFrame } from '../../drawing/DrawingFrame'
import { t } from '../../text/words'
import { cx } from './dress'

/** Width of a bank card, mm: ISO/IEC 7810, size ID-1. */
const CARD_MM = 85.6

/** px for each mm that most screens have: 96 px an inch. */
const USUAL = 96 / 25.4

export function useTrueScale() {
    const [scale, setScale] = useLocalStorage<number>({ key: 'seam-px-per-mm', defaultValue: 0 })
    return { scale: scale > 0 ? scale : USUAL, known: scale > 0, setScale }
}

/** Once for each screen: make the bar as long as a bank card, or 100 mm by the ruler. */
export function Calibrate() {
    const { scale, setScale } = useTrueScale()
    const [px, setPx] = useState(Math.round(scale * CARD_MM))
    return (
        <div className={cx('calibrate')}>
            <p>{t('workshop.onceForThisScreenLay')}</p>
            <DrawingFrame width={px + 2} height={26} name={t('workshop.aBarAsWideAs')}>
                <rect x={1} y={1} width={px} height={24} className={cx('card-bar')} />
            </DrawingFrame>
            <div className={cx('keep-acts')}>
                <Slider thumbLabel={t('workshop.widthOfTheBar')} label={null} min={200} max={760} step={1} value={px} onChange={setPx} />
                <Button variant="default" onClick={() => setScale(px / CARD_MM)}>
                    {t('workshop.theyAreEqual')}
                </Button>
            </div>
        </div>
    )
}
