import { Button } from '@mantine/core'
import { api, ask, type View } from '../../../api/client'
import { useChange, useMe } from '../../../api/queries'
import { day } from '../../../text/time'
import { t } from '../../../text/words'
import { Trouble } from '../../../ui/Trouble'
import { cx } from '../dress'
import type { DraftLesson } from './lesson'

/** Every version of a lesson and what was sewn of it; an old one can be taken into the draft. */
export function Versions({ text, onTake }: { text: View['LessonTextView']; onTake: (lesson: DraftLesson) => void }) {
    const id = text.lesson.id
    const zone = useMe().data?.timezone ?? 'UTC'
    const take = useChange('nothing', async (version: number) => {
        const old = await ask(api.GET('/api/lessons/{lesson}/text', { params: { path: { lesson: id }, query: { version } } }))
        onTake(old.lesson)
    })
    return (
        <>
            <p className={cx('quiet')}>{t('samplers.samplesAreAlwaysJudgedBy')}</p>
            <Trouble error={take.error} />
            <table className={cx('checks')}>
                <tbody>
                    {text.versions.map((v) => (
                        <tr key={v.version}>
                            <th scope="row">{t('samplers.version2', { n: v.version })}</th>
                            <td>{v.kept_at === null ? t('samplers.cameWithTheCourse') : t('samplers.kept', { when: day(v.kept_at, zone) })}</td>
                            <td>{t('common.samples', { n: v.samples })}</td>
                            <td>
                                {v.on_shelf ? (
                                    t('samplers.onTheShelf')
                                ) : (
                                    <Button variant="default" onClick={() => take.mutate(v.version)}>
                                        {t('samplers.takeItIntoTheDraft')}
                                    </Button>
                                )}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </>
    )
}
