import { Link } from 'react-router'
import { t } from '../../text/words'
import { Empty } from '../../ui/Empty'
import { Trouble, Waiting } from '../../ui/Trouble'
import type { useFront } from './useFront'

/** While there is nothing to show: it is being read, cannot be read, or no demonstration is planned. */
export function Nothing({ front, classId }: { front: ReturnType<typeof useFront>; classId: string }) {
    if (front.error !== null) return <Trouble error={front.error} />
    if (!front.ready) return <Waiting what={t('common.opening')} />
    return (
        <Empty>
            {t('front.nothingToShow')} <Link to={`/today/${classId}`}>{t('front.toToday')}</Link>
        </Empty>
    )
}
