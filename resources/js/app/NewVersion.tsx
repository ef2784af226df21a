import { Button } from '@mantine/core'
import { useState, useSyncExternalStore } from 'react'
import { useLocation } from 'react-router'
import { version } from '../keeping/version'
import { t } from '../text/words'
import { cx } from './dress'

/** Where hands are busy nobody is asked. */
const BUSY = /^\/(look|round|catch-up|run|start|workshop\/buttonhole)(\/|$)/

/** A new version is there: asked at a quiet moment, and nothing typed is lost by it. */
export function NewVersion() {
    const waiting = useSyncExternalStore(version.subscribe, version.waits)
    const [later, setLater] = useState(false)
    const { pathname } = useLocation()
    if (!waiting || later || BUSY.test(pathname)) return null
    return (
        <p className={cx('new-version')} role="status">
            {t('shell.aNewVersion')} <Button onClick={() => version.take()}>{t('shell.takeItNow')}</Button>
            <Button variant="subtle" onClick={() => setLater(true)}>
                {t('common.later')}
            </Button>
        </p>
    )
}
