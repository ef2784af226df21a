import { useQuery } from '@tanstack/react-query'
import { api, ask } from '../../api/client'
import { useChange } from '../../api/queries'
import { t } from '../../app/text'
import { Sure } from '../../ui/Sure'

/** Deletes a class after naming everybody and everything that goes with it. */
export function DeleteClass({ of, onClose }: { of: { id: string; name: string } | null; onClose: () => void }) {
    const goes = useQuery({
        queryKey: ['goes', of?.id],
        queryFn: () => ask(api.GET('/api/classes/{class}/goes', { params: { path: { class: of?.id ?? '' } } })),
        enabled: of !== null,
    })
    const remove = useChange(async () => {
        await ask(api.DELETE('/api/classes/{class}', { params: { path: { class: of?.id ?? '' } } }))
        onClose()
    })
    const g = goes.data
    return (
        <Sure
            title={t('Delete “{name}”?', { name: of?.name ?? '' })}
            act={t('Delete the class')}
            opened={of !== null}
            error={remove.error ?? (goes.error as never)}
            pending={remove.isPending}
            disabled={g === undefined}
            onClose={onClose}
            onAct={() => remove.mutate(undefined)}>
            {g !== undefined && (
                <>
                    <p>
                        {t('Its plan, seats and materials go.')}{' '}
                        {g.students.length > 0 &&
                            t('With it go {names}, who are in no other class: {samples} samples and {photos} photos.', {
                                names: g.students.join(', '),
                                samples: g.samples,
                                photos: g.photos,
                            })}
                    </p>
                    {g.staying.length > 0 && <p>{t('{names} stay in their other classes, with everything they sewed.', { names: g.staying.join(', ') })}</p>}
                    <p>{t('It can be brought back on the page of the studio until {day}; then it is gone for good.', { day: g.until })}</p>
                </>
            )}
        </Sure>
    )
}
