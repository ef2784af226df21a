import { Button } from '@mantine/core'
import { t } from '../../../text/words'
import { Choice } from '../../../ui/Choice'
import { cx } from '../dress'
import { useButtonholes, type Buttonhole } from './useButtonhole'

/** The last jobs, to go on with one or to begin another. */
export function Jobs({ hole }: { hole: Buttonhole }) {
    const jobs = useButtonholes()
    const others = (jobs.data ?? []).filter((j) => j.id !== hole.id)
    return (
        <>
            {others.length > 0 && (
                <Choice
                    label={t('workshop.goOnWith')}
                    value=""
                    options={[
                        { id: '', title: t('workshop.thisJob') },
                        ...others.map((j) => ({ id: j.id, title: j.released_at === null ? j.title : t('workshop.withRecipe', { title: j.title }) })),
                    ]}
                    onChange={(id) => id !== '' && hole.open(id)}
                />
            )}
            <Button variant="default" className={cx('job-new')} onClick={() => hole.begin()}>
                {t('workshop.anotherButton')}
            </Button>
        </>
    )
}
