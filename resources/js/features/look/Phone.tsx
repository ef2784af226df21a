import { Button } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useEffect, useRef, useState } from 'react'
import { api, ask, noLine, Problem, type View } from '../../api/client'
import { useChange } from '../../api/queries'
import { t } from '../../text/words'
import { Square } from '../../ui/Square'
import { Trouble } from '../../ui/Trouble'
import { cx } from './dress'
import { asItIs, type Shot } from './picture'

const ASK_MS = 1_200

/** The phone stays paired while the tab is open: one code for a whole evening. */
const KEPT = 'open-seam-lens'

function paired(): View['LensView'] | null {
    try {
        return JSON.parse(sessionStorage.getItem(KEPT) ?? 'null') as View['LensView'] | null
    } catch {
        return null
    }
}

/** A phone that was paired by the code on this screen: what it takes comes here. */
export function Phone({ onShot }: { onShot: (shot: Shot) => void }) {
    const [lens, setLens] = useState(paired)
    const keep = (next: View['LensView'] | null) => {
        if (next === null) sessionStorage.removeItem(KEPT)
        else sessionStorage.setItem(KEPT, JSON.stringify(next))
        setLens(next)
    }
    const open = useChange('nothing', async () => keep(await ask(api.POST('/api/lenses'))))
    const close = useChange('nothing', async () => {
        if (lens !== null) await ask(api.DELETE('/api/lenses/{lens}', { params: { path: { lens: lens.lens } } })).catch(() => undefined)
        keep(null)
    })
    if (lens === null)
        return (
            <>
                <Button variant="default" disabled={open.isPending} onClick={() => open.mutate(undefined)}>
                    {t('picture.fromAPhone')}
                </Button>
                <Trouble error={open.error} />
            </>
        )
    return (
        <div className={cx('phone')}>
            <Square rows={lens.code} name={t('picture.theCodeForThePhone')} />
            <div>
                <p>{t('picture.pointThePhone')}</p>
                <p className={cx('quiet')}>{lens.reached ? <a href={lens.address}>{lens.address}</a> : t('picture.onlyThisComputer')}</p>
                <Button variant="subtle" disabled={close.isPending} onClick={() => close.mutate(undefined)}>
                    {t('picture.endTheLink')}
                </Button>
            </div>
            <Arriving lens={lens.lens} onShot={onShot} onGone={() => keep(null)} />
        </div>
    )
}

const notThere = (problem: unknown) => {
    if (problem instanceof Problem && problem.status === 404) return null
    throw problem
}

/** Fetches each picture once, in the order it was taken. */
function Arriving({ lens, onShot, onGone }: { lens: string; onShot: (shot: Shot) => void; onGone: () => void }) {
    const last = useRef(0)
    const told = useRef({ onShot, onGone })
    useEffect(() => {
        told.current = { onShot, onGone }
    })
    const arrived = useQuery({
        queryKey: ['lens', lens],
        queryFn: async () => {
            for (const number of await ask(api.GET('/api/lenses/{lens}', { params: { path: { lens }, query: { after: last.current } } }))) {
                const path = { lens, number: String(number) }
                // Another tab may have fetched it meanwhile.
                const image = await ask(api.GET('/api/lenses/{lens}/pictures/{number}', { params: { path }, parseAs: 'blob' })).catch(notThere)
                last.current = number
                if (image !== null) told.current.onShot(await asItIs(image))
            }
            return last.current
        },
        refetchInterval: ASK_MS,
        retry: false,
        staleTime: 0,
        gcTime: 0,
    })
    const over = arrived.error instanceof Problem && arrived.error.status === 404
    useEffect(() => {
        if (over) told.current.onGone()
    }, [over])
    return noLine(arrived.error) ? <p className={cx('quiet')}>{t('picture.thePhoneWaits')}</p> : null
}
