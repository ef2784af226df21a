import { Button } from '@mantine/core'
import { useState } from 'react'
import type { View } from '../../../api/client'
import type { Unit } from '../../../text/lengths'
import { t } from '../../../text/words'
import { Choice } from '../../../ui/Choice'
import { Calibrate, useTrueScale } from '../Calibrate'
import { cx } from '../dress'
import { JobLength } from './fields'
import { Places } from './Places'
import type { Buttonhole } from './useButtonhole'

/** Where they sit on the band, and the strip to lay on it, true to size. */
export function Where({ hole, plan, unit }: { hole: Buttonhole; plan: View['ButtonholePlanView']; unit: Unit }) {
    const { job } = hole.draft
    const svg = `/api/buttonholes/${hole.id}/svg`
    const [onScreen, setOnScreen] = useState(false)
    const { scale, known } = useTrueScale()
    const strip = `/api/buttonholes/${hole.id}/print?what=strip`
    return (
        <div className={cx('job-panel')}>
            <div className={cx('job-row')}>
                <JobLength label={t('workshop.bandWide')} unit={unit} step={1} mm={job.band_mm} onChange={(band_mm) => hole.set({ band_mm })} />
                <Choice
                    label={t('workshop.overOf')}
                    value={job.over ?? 'right'}
                    options={[
                        { id: 'right', title: t('workshop.rightOver') },
                        { id: 'left', title: t('workshop.leftOver') },
                    ]}
                    onChange={(over) => hole.set({ over })}
                />
            </div>
            <Places hole={hole} plan={plan} unit={unit} />
            <section className={cx('places')}>
                <h2>{t('workshop.theStrip')}</h2>
                <p>{t('workshop.theStripIs')}</p>
                <div className={cx('acts')}>
                    <Button component="a" variant="default" size="lg" href={`${strip}&format=A4`} target="_blank">
                        {t('workshop.stripA4')}
                    </Button>
                    <Button component="a" variant="default" size="lg" href={`${strip}&format=Letter`} target="_blank">
                        {t('workshop.stripLetter')}
                    </Button>
                    <Button component="a" variant="default" size="lg" href={svg} target="_blank">
                        {t('workshop.stripSvg')}
                    </Button>
                    <Button variant="default" size="lg" aria-expanded={onScreen} onClick={() => setOnScreen(!onScreen)}>
                        {t('workshop.stripHere')}
                    </Button>
                </div>
                {onScreen && !known && <Calibrate />}
                {onScreen && known && plan.strip !== null && (
                    <div className={cx('strip-here')}>
                        <img
                            src={`${svg}?${(job.positions_mm ?? []).join('-')}-${plan.finished_mm}-${plan.direction}-${job.over ?? ''}`}
                            alt={t('workshop.theStrip')}
                            width={plan.strip.width_mm * scale}
                            height={plan.strip.length_mm * scale}
                        />
                    </div>
                )}
            </section>
        </div>
    )
}
