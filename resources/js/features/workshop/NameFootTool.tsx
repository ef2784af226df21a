import { Button, Checkbox } from '@mantine/core'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { api, ask } from '../../api/client'
import { Drawn } from '../../drawing/Drawn'
import { t } from '../../text/words'
import { Empty } from '../../ui/Empty'
import { Trouble, Waiting } from '../../ui/Trouble'
import { cx } from './dress'

/** A foot without a name: pick what is seen on it, and read which kind it may be, what it sews and what would strike it. */
export function NameFootTool() {
    const parts = useQuery({ queryKey: ['foot-parts'], queryFn: () => ask(api.GET('/api/feet/seen')), staleTime: Infinity })
    const [seen, setSeen] = useState<readonly string[]>([])
    const guesses = useQuery({
        queryKey: ['foot-name', seen],
        queryFn: () => ask(api.POST('/api/feet/name', { body: { seen: [...seen] } })),
        enabled: seen.length > 0,
        placeholderData: keepPreviousData,
    })
    if (parts.data === undefined) return parts.error === null ? <Waiting what={t('common.looking')} /> : <Trouble error={parts.error} />
    const toggle = (id: string) => setSeen(seen.includes(id) ? seen.filter((s) => s !== id) : [...seen, id])
    return (
        <div className={cx('foot-namer')}>
            <div>
                <p>{t('workshop.pickWhatIsSeenOnTheFoot')}</p>
                <ul className={cx('fault-looks foot-parts')}>
                    {parts.data.map((p) => (
                        <li key={p.id}>
                            <label className={cx(seen.includes(p.id) ? 'on' : '')}>
                                <Drawn picture={p.picture} />
                                <span>
                                    <Checkbox checked={seen.includes(p.id)} onChange={() => toggle(p.id)} />
                                    {p.title}
                                </span>
                            </label>
                        </li>
                    ))}
                </ul>
            </div>
            <div className={cx('tool-answer')} aria-live="polite">
                <Trouble error={guesses.error} />
                {seen.length === 0 && <Empty>{t('workshop.pickAtLeastOneThing')}</Empty>}
                {seen.length > 0 &&
                    guesses.data?.map((g) => (
                        <section key={g.kind} className={cx('foot-guess')}>
                            <div>
                                <Drawn picture={g.picture} name={g.title} />
                                <Drawn picture={g.side} />
                            </div>
                            <div>
                                <h2>
                                    {g.title} <small>{t('workshop.likely', { percent: Math.round(g.probability * 100) })}</small>
                                </h2>
                                <p>{g.about}</p>
                                <p className={cx('foot-strikes')}>
                                    {g.strikes} {g.caution}
                                </p>
                                {g.stitches.length > 0 && <p>{t('workshop.footSews', { what: g.stitches.join(', ') })}</p>}
                                <p>
                                    {g.machines.length === 0
                                        ? t('workshop.noMachineHereSwingsIt')
                                        : t('workshop.onMachines', { machines: g.machines.join(', ') })}
                                </p>
                                <p>{t('workshop.measureFirst', { what: g.measures.join('; ') })}</p>
                                <p>
                                    {g.have > 0 && <span>{t('workshop.here', { n: g.have })} </span>}
                                    <Button component={Link} variant="default" to={`/room?show=feet&foot=${g.kind}`}>
                                        {t('workshop.intoTheRoom')}
                                    </Button>
                                </p>
                            </div>
                        </section>
                    ))}
            </div>
        </div>
    )
}
