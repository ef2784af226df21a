import { Button } from '@mantine/core'
import { api, ask, type View } from '../../../api/client'
import { useChange, useMe } from '../../../api/queries'
import { t } from '../../../app/text'
import { day } from '../../../app/time'
import { Trouble } from '../../../ui/Trouble'
import type { DraftLesson } from './lesson'

/** Every version of a lesson and what was sewn of it; an old one can be taken into the draft. */
export function Versions({ text, onTake }: { text: View['LessonTextView']; onTake: (lesson: DraftLesson) => void }) {
    const id = (text.lesson as unknown as DraftLesson).id
    const zone = useMe().data?.timezone ?? 'UTC'
    const take = useChange(async (version: number) => {
        const old = await ask(api.GET('/api/lessons/{lesson}/text', { params: { path: { lesson: id }, query: { version } } }))
        onTake(old.lesson as unknown as DraftLesson)
    })
    return (
        <>
            <p className="quiet">{t('Samples are always judged by the version they were sewn from. Keeping a draft makes a new version.')}</p>
            <Trouble error={take.error} />
            <table className="checks">
                <tbody>
                    {text.versions.map((v) => (
                        <tr key={v.version}>
                            <th scope="row">{t('Version {n}', { n: v.version })}</th>
                            <td>{v.kept_at === null ? t('came with the course') : t('kept {when}', { when: day(v.kept_at, zone) })}</td>
                            <td>{t('{n} samples', { n: v.samples })}</td>
                            <td>
                                {v.on_shelf ? (
                                    t('on the shelf')
                                ) : (
                                    <Button variant="default" onClick={() => take.mutate(v.version)}>
                                        {t('Take it into the draft')}
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
