import { useQuery } from '@tanstack/react-query'
import { api, ask } from '../../api/client'
import { useChange } from '../../api/queries'
import { t } from '../../text/words'
import { Sure } from '../../ui/Sure'

/** Deletes a class after naming everybody and everything that goes with it. */
export function DeleteClass({ of, onClose }: { of: { id: string; name: string } | null; onClose: () => void }) {
    const goes = useQuery({
        queryKey: ['goes', of?.id],
        queryFn: () => ask(api.GET('/api/classes/{class}/goes', { params: { path: { class: of?.id ?? '' } } })),
        enabled: of !== null,
    })
    const remove = useChange('people', async () => {
        await ask(api.DELETE('/api/classes/{class}', { params: { path: { class: of?.id ?? '' } } }))
        onClose()
    })
    const g = goes.data
    return (
        <Sure
            title={t('studio.delete2', { name: of?.name ?? '' })}
            act={t('studio.deleteTheClass')}
            opened={of !== null}
            error={remove.error ?? (goes.error as never)}
            pending={remove.isPending}
            disabled={g === undefined}
            onClose={onClose}
            onAct={() => remove.mutate(undefined)}>
            {g !== undefined && (
                <>
                    <p>
                        {t('studio.itsPlanSeatsAndMaterials')}{' '}
                        {g.students.length > 0 &&
                            t('studio.withItGoWhoAre', {
                                names: g.students.join(', '),
                                samples: t('count.samples', { n: g.samples }),
                                photos: t('count.photos', { n: g.photos }),
                            })}
                    </p>
                    {g.staying.length > 0 && <p>{t('studio.stayInTheirOtherClasses', { names: g.staying.join(', ') })}</p>}
                    <p>{t('studio.itCanBeBroughtBack', { day: g.until })}</p>
                </>
            )}
        </Sure>
    )
}
