import { Checkbox, NativeSelect } from '@mantine/core'
import { t } from '../../text/words'
import { cx } from './dress'
import type { Plan, Wishes } from './usePlanning'

type Bounds = Record<string, number>

/** One line a lesson: where it may stand, with which others, and whether it is sewn at home. */
export function LessonWishes({ p, wishes, onChange }: { p: Plan; wishes: Wishes; onChange: (change: Partial<Wishes>) => void }) {
    const numbers = Array.from({ length: wishes.sessions }, (_, i) => i + 1)
    const bound = (of: Bounds, lesson: string, value: string): Bounds =>
        Object.fromEntries([...Object.entries(of).filter(([l]) => l !== lesson), ...(value === '' ? [] : [[lesson, Number(value)] as const])])
    const groupOf = (lesson: string) => wishes.together.findIndex((g) => g.includes(lesson))
    const group = (lesson: string, to: number) => {
        const groups = wishes.together.map((g) => g.filter((x) => x !== lesson))
        if (to >= 0) groups[to] = [...(groups[to] ?? []), lesson]
        onChange({ together: groups.filter((g) => g.length > 1) })
    }
    const choice = (of: Bounds, lesson: string, label: string, set: (next: Bounds) => void) => (
        <NativeSelect aria-label={label} value={of[lesson] ?? ''} onChange={(e) => set(bound(of, lesson, e.currentTarget.value))}>
            <option value="">{t('common.any')}</option>
            {numbers.map((n) => (
                <option key={n} value={n}>
                    {n}
                </option>
            ))}
        </NativeSelect>
    )
    return (
        <div className={cx('lesson-wishes')}>
            <p className={cx('quiet')}>{t('plan.whyLessonWishes')}</p>
            <table className={cx('checks')}>
                <thead>
                    <tr>
                        <th>{t('common.lesson')}</th>
                        <th>{t('plan.onlyInSession')}</th>
                        <th>{t('plan.notBefore')}</th>
                        <th>{t('plan.notAfter')}</th>
                        <th>{t('plan.togetherWith')}</th>
                        <th>{t('plan.atHome2')}</th>
                    </tr>
                </thead>
                <tbody>
                    {p.lessons.map((l) => {
                        const at = groupOf(l.id)
                        const others = at < 0 ? [] : (wishes.together[at] ?? []).filter((x) => x !== l.id)
                        return (
                            <tr key={l.id}>
                                <th scope="row">{l.title}</th>
                                <td>{choice(wishes.pins, l.id, t('plan.onlyInSession2', { lesson: l.title }), (pins) => onChange({ pins }))}</td>
                                <td>
                                    {choice(wishes.not_before, l.id, t('plan.notBeforeSession', { lesson: l.title }), (not_before) => onChange({ not_before }))}
                                </td>
                                <td>
                                    {choice(wishes.not_after, l.id, t('plan.notAfterSession', { lesson: l.title }), (not_after) => onChange({ not_after }))}
                                </td>
                                <td>
                                    <NativeSelect
                                        aria-label={t('plan.togetherWith2', { lesson: l.title })}
                                        value={others[0] ?? ''}
                                        onChange={(e) => {
                                            const other = e.currentTarget.value
                                            if (other === '') return group(l.id, -1)
                                            const theirs = groupOf(other)
                                            if (theirs >= 0) return group(l.id, theirs)
                                            onChange({
                                                together: [
                                                    ...wishes.together.map((g) => g.filter((x) => x !== l.id)).filter((g) => g.length > 1),
                                                    [other, l.id],
                                                ],
                                            })
                                        }}>
                                        <option value="">{t('common.none')}</option>
                                        {p.lessons
                                            .filter((x) => x.id !== l.id)
                                            .map((x) => (
                                                <option key={x.id} value={x.id}>
                                                    {x.title}
                                                </option>
                                            ))}
                                    </NativeSelect>
                                    {others.length > 1 && <small>{t('plan.andMore', { n: others.length - 1 })}</small>}
                                </td>
                                <td>
                                    <Checkbox
                                        aria-label={t('plan.sewnAtHome', { lesson: l.title })}
                                        checked={wishes.home.includes(l.id)}
                                        onChange={(e) =>
                                            onChange({ home: e.currentTarget.checked ? [...wishes.home, l.id] : wishes.home.filter((x) => x !== l.id) })
                                        }
                                    />
                                </td>
                            </tr>
                        )
                    })}
                </tbody>
            </table>
        </div>
    )
}
