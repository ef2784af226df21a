import { Button } from '@mantine/core'
import { api, ask, type View } from '../api/client'
import { useChange } from '../api/queries'
import { forgetStudio } from '../keeping/seen'
import { day } from '../text/time'
import { t } from '../text/words'
import { Trouble } from '../ui/Trouble'
import { cx } from './dress'

/** A studio that was deleted can be brought back by its owner for thirty days. */
export function DeletedStudio({ me }: { me: View['MeView'] }) {
    const back = useChange('everything', () => ask(api.POST('/api/studio/reopen')))
    const out = useChange('everything', async () => {
        await ask(api.POST('/api/sign-out'))
        await forgetStudio()
    })
    return (
        <main className={cx('sign-in')}>
            <form onSubmit={(e) => e.preventDefault()}>
                <h1>{me.studio}</h1>
                <p>{t('shell.thisStudioWasDeletedOn', { day: day(me.studio_deleted_at ?? me.now, me.timezone) })}</p>
                <Trouble error={back.error ?? out.error} />
                {me.role === 'owner' && (
                    <Button loading={back.isPending} onClick={() => back.mutate(undefined)}>
                        {t('common.bringItBack')}
                    </Button>
                )}
                <Button variant="default" loading={out.isPending} onClick={() => out.mutate(undefined)}>
                    {t('shell.signOut')}
                </Button>
            </form>
        </main>
    )
}
