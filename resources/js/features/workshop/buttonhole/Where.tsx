import { Button } from '@mantine/core'
import type { Unit } from '../../../text/lengths'
import { t } from '../../../text/words'
import { Choice } from '../../../ui/Choice'
import { cx } from '../dress'
import { JobLength } from './fields'
import { Places } from './Places'
import type { Buttonhole } from './useButtonhole'

/** Where they sit on the band, and the strip to lay on it, true to size. */
export function Where({ hole, unit }: { hole: Buttonhole; unit: Unit }) {
    const { job } = hole.draft
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
            <Places hole={hole} unit={unit} />
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
                    <Button component="a" variant="default" size="lg" href={`/api/buttonholes/${hole.id}/svg`} target="_blank">
                        {t('workshop.stripSvg')}
                    </Button>
                </div>
            </section>
        </div>
    )
}
