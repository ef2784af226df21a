import { Anchor, Button } from '@mantine/core'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { api, ask } from '../../api/client'
import { useChange } from '../../api/queries'
import { mm, toNumber } from '../../text/numbers'
import { t } from '../../text/words'
import { NumberField } from '../../ui/NumberField'
import { Trouble } from '../../ui/Trouble'
import { cx } from './dress'

/** How large the printer made the card: without it lengths are good to half a percent. */
export function CardLine({ ten = true }: { ten?: boolean }) {
    const card = useQuery({ queryKey: ['photo-card'], queryFn: ({ signal }) => ask(api.GET('/api/photo-card', { signal })) })
    const client = useQueryClient()
    const [typed, setTyped] = useState<string | null>(null)
    const keep = useChange('nothing', async (line: number) => {
        client.setQueryData(['photo-card'], await ask(api.PUT('/api/photo-card', { body: { line_mm: line } })))
        setTyped(null)
    })
    const kept = card.data?.line_mm ?? null
    const line = typed === null ? null : toNumber(typed)
    if (card.data === undefined) return null
    if (typed === null)
        return (
            <p className={cx('quiet')}>
                {kept === null ? t('picture.nobodyChecked') : t('picture.theLineMeasures', { n: mm(kept, 1) })}{' '}
                <Button variant="subtle" onClick={() => setTyped(kept === null ? '100' : String(kept))}>
                    {kept === null ? t('picture.checkIt') : t('picture.checkAgain')}
                </Button>
                {ten && (
                    <Anchor component={Link} to="/camera" className={cx('ten')}>
                        {t('picture.tenByRuler')}
                    </Anchor>
                )}
            </p>
        )
    return (
        <div className={cx('card-line')}>
            <NumberField label={t('picture.theLineOf100')} value={typed} min={90} max={110} step={0.5} slider={false} onChange={setTyped} />
            <Button variant="default" disabled={line === null || keep.isPending} onClick={() => line !== null && keep.mutate(line)}>
                {t('picture.keepTheLine')}
            </Button>
            <Trouble error={keep.error} />
        </div>
    )
}
