import { Button, Slider } from '@mantine/core'
import { useLocalStorage } from '@mantine/hooks'
import { useState } from 'react'
import { t } from '../../app/text'

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
        <div className="calibrate">
            <p>{t('Once for this screen: lay a bank card on the bar (85.60 mm) and slide until both are equally wide.')}</p>
            <svg width={px + 2} height={26} role="img" aria-label={t('a bar as wide as a bank card')}>
                <rect x={1} y={1} width={px} height={24} className="card-bar" />
            </svg>
            <div className="keep-acts">
                <Slider thumbLabel={t('Width of the bar')} label={null} min={200} max={760} step={1} value={px} onChange={setPx} />
                <Button variant="default" onClick={() => setScale(px / CARD_MM)}>
                    {t('They are equal')}
                </Button>
            </div>
        </div>
    )
}
