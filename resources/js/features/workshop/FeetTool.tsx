import { Checkbox } from '@mantine/core'
import { useState } from 'react'
import { useCompute } from '../../api/compute'
import { Drawn } from '../../drawing/Drawn'
import { t } from '../../text/words'
import { Empty } from '../../ui/Empty'
import { Trouble } from '../../ui/Trouble'
import { cx } from './dress'
import { Keep } from './Keep'
import type { ToolProps } from './tool'

/** From what a person wants to sew: which feet they need, which to leave, what is there. */
export function FeetTool({ room }: ToolProps) {
    const [wants, setWants] = useState<string[]>(['seams', 'zips'])
    const have: Record<string, number> = {}
    for (const { facts } of room.feet) have[facts.kind] = (have[facts.kind] ?? 0) + facts.count
    const answer = useCompute('/api/compute/advise-feet', wants.length === 0 ? null : { wants: wants as ['zips'], have })
    const a = answer.error === null && wants.length > 0 ? answer.data : undefined
    const toggle = (id: string) => setWants(wants.includes(id) ? wants.filter((w) => w !== id) : [...wants, id])
    const drawn = (kind: string) => {
        const picture = room.kinds.find((k) => k.id === kind)?.picture
        return picture === undefined ? null : <Drawn picture={picture} />
    }
    const there = (n: number) => (n === 0 ? <strong className={cx('lacking')}>{t('workshop.notHere')}</strong> : t('workshop.here', { n }))
    return (
        <div className={cx('tool-cols')}>
            <div className={cx('tool-form')}>
                <fieldset className={cx('wants')}>
                    <legend>{t('workshop.whatDoTheyWantTo')}</legend>
                    {room.wants.map((w) => (
                        <Checkbox label={w.title} key={w.id} checked={wants.includes(w.id)} onChange={() => toggle(w.id)} />
                    ))}
                </fieldset>
            </div>
            <div className={cx('tool-answer')}>
                <Trouble error={answer.error} />
                {wants.length === 0 && <Empty>{t('workshop.tickWhatTheyWantTo')}</Empty>}
                {a !== undefined && (
                    <>
                        <h2>{t('common.needed')}</h2>
                        <ul className={cx('feet-list')}>
                            {a.need.map((f) => (
                                <li key={f.kind}>
                                    {drawn(f.kind)}
                                    <div>
                                        <strong>{f.title}</strong> · {there(f.have)}
                                        <small>{f.why}</small>
                                    </div>
                                </li>
                            ))}
                        </ul>
                        {a.helps.length > 0 && (
                            <>
                                <h2>{t('workshop.helpsLater')}</h2>
                                <ul className={cx('feet-list')}>
                                    {a.helps.map((f) => (
                                        <li key={f.kind}>
                                            {drawn(f.kind)}
                                            <div>
                                                <strong>{f.title}</strong> · {there(f.have)}
                                                <small>{room.kinds.find((k) => k.id === f.kind)?.about}</small>
                                            </div>
                                        </li>
                                    ))}
                                </ul>
                            </>
                        )}
                        {a.needles.length > 0 && <p>{t('workshop.moreThanAFootThe', { list: a.needles.join(', ') })}</p>}
                        <p className={cx('quiet')}>{t('workshop.leaveForNow', { list: a.leave.map((f) => f.title).join(', ') })}</p>
                    </>
                )}
                <Keep
                    tool="advise-feet"
                    text={
                        a === undefined
                            ? null
                            : t('workshop.feetNeeded', {
                                  need: a.need.map((f) => f.title).join(', '),
                                  lack: a.need.some((f) => f.have === 0)
                                      ? t('workshop.toGet', {
                                            list: a.need
                                                .filter((f) => f.have === 0)
                                                .map((f) => f.title)
                                                .join(', '),
                                        })
                                      : t('workshop.allAreHere'),
                              })
                    }
                />
            </div>
        </div>
    )
}
