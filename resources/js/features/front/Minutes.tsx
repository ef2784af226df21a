import { useEffect, useState } from 'react'
import { t } from '../../text/words'
import { cx } from './dress'

/** Minutes of a demonstration as they run, beside those it was planned with. */
export function Minutes({ begun, planned }: { begun: string | null; planned: number }) {
    const [now, setNow] = useState(() => Date.now())
    useEffect(() => {
        const tick = setInterval(() => setNow(Date.now()), 1_000)
        return () => clearInterval(tick)
    }, [])
    if (begun === null) return <span className={cx('minutes')}>{t('front.minutesPlanned', { planned })}</span>
    const seconds = Math.max(0, Math.floor((now - Date.parse(begun)) / 1_000))
    const ran = `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
    return <span className={cx(seconds > planned * 60 ? 'minutes over' : 'minutes')}>{t('front.minutesRun', { ran, planned })}</span>
}
