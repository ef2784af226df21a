import { Checkbox } from '@mantine/core'
import { useDebouncedValue } from '@mantine/hooks'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { api, ask } from '../../api/client'
import { Drawn } from '../../drawing/Drawn'
import { toNumber } from '../../text/numbers'
import { t } from '../../text/words'
import { Choice } from '../../ui/Choice'
import { Empty } from '../../ui/Empty'
import { NumberField } from '../../ui/NumberField'
import { Trouble } from '../../ui/Trouble'
import { cx } from './dress'
import { machineOptions } from './fields'
import { Keep } from './Keep'
import { useMachineChoice, type ToolProps } from './tool'

const SEEN = ['none', 'picks', 'misses', 'split'] as const

/** Width, needle position and blade of a blind hem: how deep it bites, drawn, and after a test the one move. */
export function BlindHemTool({ room }: ToolProps) {
    const { id, setId, machine } = useMachineChoice(room)
    const foot = room.feet.find((f) => f.facts.kind === 'blind-hem')?.facts
    const [typed, setTyped] = useState({ width: '3', position: '0', blade: '-1', pick: '', widthStep: '0.5', bladeStep: String(foot?.guide?.step_mm ?? 0.5) })
    const [seen, setSeen] = useState<(typeof SEEN)[number]>('none')
    const [stretch, setStretch] = useState(false)
    const [mirrored, setMirrored] = useState(false)
    const set = (name: keyof typeof typed) => (value: string) => setTyped({ ...typed, [name]: value })
    const n = {
        width: toNumber(typed.width),
        position: toNumber(typed.position),
        blade: toNumber(typed.blade),
        widthStep: toNumber(typed.widthStep),
        bladeStep: toNumber(typed.bladeStep),
    }
    const body =
        n.width === null || n.position === null || n.blade === null || n.widthStep === null || n.bladeStep === null
            ? null
            : {
                  width_mm: n.width,
                  position_mm: n.position,
                  blade_mm: n.blade,
                  width_step_mm: n.widthStep,
                  position_step_mm: machine?.position_step_mm ?? 0,
                  blade_step_mm: n.bladeStep,
                  mirrored,
                  stretch,
                  pick_mm: seen === 'picks' ? toNumber(typed.pick) : null,
                  seen: seen === 'misses' || seen === 'split' ? seen : null,
              }
    const [asked] = useDebouncedValue(body, 150)
    const answer = useQuery({
        queryKey: ['blind-hem', asked],
        queryFn: () => ask(api.POST('/api/blind-hem', { body: asked as NonNullable<typeof asked> })),
        enabled: asked !== null,
        placeholderData: keepPreviousData,
        retry: false,
    })
    const a = answer.error === null && body !== null ? answer.data : undefined
    return (
        <div className={cx('tool-cols')}>
            <div className={cx('tool-form')}>
                <Choice label={t('common.machine')} value={id} options={machineOptions(room)} onChange={setId} />
                <NumberField label={t('workshop.bhWidth')} min={0.5} max={12} step={0.1} value={typed.width} onChange={set('width')} />
                <NumberField label={t('workshop.bhPosition')} min={-4.5} max={4.5} step={0.5} value={typed.position} onChange={set('position')} />
                <NumberField label={t('workshop.bhBlade')} min={-12} max={12} step={0.5} value={typed.blade} onChange={set('blade')} />
                <NumberField label={t('workshop.bhWidthStep')} min={0} max={5} step={0.1} value={typed.widthStep} onChange={set('widthStep')} />
                <NumberField label={t('workshop.bhBladeStep')} min={0} max={5} step={0.1} value={typed.bladeStep} onChange={set('bladeStep')} />
                <Checkbox label={t('workshop.bhStretch')} checked={stretch} onChange={(e) => setStretch(e.currentTarget.checked)} />
                <Checkbox label={t('workshop.bhMirrored')} checked={mirrored} onChange={(e) => setMirrored(e.currentTarget.checked)} />
                <Choice
                    label={t('workshop.bhTest')}
                    value={seen}
                    options={[
                        { id: 'none', title: t('workshop.bhNoTest') },
                        { id: 'picks', title: t('workshop.bhPicks') },
                        { id: 'misses', title: t('workshop.bhMisses') },
                        { id: 'split', title: t('workshop.bhSplit') },
                    ]}
                    onChange={(v) => setSeen(SEEN.find((s) => s === v) ?? 'none')}
                />
                {seen === 'picks' && <NumberField label={t('workshop.bhPickSeen')} min={0} max={10} step={0.1} value={typed.pick} onChange={set('pick')} />}
            </div>
            <div className={cx('tool-answer')} aria-live="polite">
                <Trouble error={answer.error} />
                {body === null && <Empty>{t('workshop.bhFill')}</Empty>}
                {a !== undefined && (
                    <div className={cx('blind-hem')}>
                        <Drawn picture={a.picture} name={a.says} />
                        <div>
                            <h2 className={cx(a.verdict === 'on-blade' ? 'lacking' : '')}>{a.says}</h2>
                            {a.move !== null && <p className={cx('bh-move')}>{a.move}</p>}
                            {a.move === null && a.verdict !== 'good' && <p>{t('workshop.bhNothingHelps')}</p>}
                            {a.finest !== null && <p className={cx('quiet')}>{a.finest}</p>}
                            <p className={cx('quiet')}>{t('workshop.bhHandWheel')}</p>
                        </div>
                    </div>
                )}
                <Keep tool="blind-hem" text={a === undefined ? null : [machine?.name, a.says, a.move].filter((x) => x !== null && x !== undefined).join(' ')} />
            </div>
        </div>
    )
}
