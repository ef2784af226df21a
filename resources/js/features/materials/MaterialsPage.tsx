import { Button, Checkbox, NativeSelect, TextInput } from '@mantine/core'
import { useState } from 'react'
import { useParams, useSearchParams } from 'react-router'
import { api, ask, type View } from '../../api/client'
import { useChange, useMaterials, useMe, useUnit } from '../../api/queries'
import { cloth, clothBy } from '../../text/lengths'
import { CURRENCIES, currencyName, price } from '../../text/money'
import { mm, toNumber } from '../../text/numbers'
import { day } from '../../text/time'
import { t } from '../../text/words'
import { Choice } from '../../ui/Choice'
import { Trouble, Waiting } from '../../ui/Trouble'
import { ClassPack } from './ClassPack'
import { CuttingPlan } from './CuttingPlan'
import { cx } from './dress'

/** What a class needs: the list with its arithmetic, what is there, what it costs, and how the cloth is cut. */
export default function MaterialsPage() {
    const id = useParams().classId ?? ''
    const [session, setSession] = useState(useSearchParams()[0].get('session') ?? '')
    const [each, setEach] = useState('')
    const typed = toNumber(each)
    const zone = useMe().data?.timezone ?? 'UTC'
    const read = useMaterials(id, session === '' ? null : Number(session), typed)
    const unit = useUnit()
    const note = useChange('cupboard', (body: View['CupboardBody']) =>
        ask(api.PUT('/api/classes/{class}/materials', { params: { path: { class: id } }, body })),
    )
    if (read.data === undefined) return read.error === null ? <Waiting what={t('materials.counting')} /> : <Trouble error={read.error} />
    const m = read.data
    const by = clothBy(unit)
    // Cloth is bought by the metre or the yard; everything else by the piece.
    const off = (l: View['MaterialLineView']) => (l.unit === 'm' ? by.metres : 1)
    const amount = (l: View['MaterialLineView'], n: number) => (l.unit === 'm' ? cloth(n, unit) : `${mm(n, 1)} ${l.unit}`)
    const money = (n: number) => price(n, m.shop.currency)
    const print = `/api/classes/${id}/print`
    return (
        <div className="materials">
            <div className={cx('samplers-head')}>
                <h1>
                    {t('common.materials')} <small>{t('materials.students', { class: m.class.title, n: m.students })}</small>
                </h1>
                <Choice
                    label={t('common.for')}
                    value={session}
                    options={[
                        { id: '', title: t('materials.theWholeCourse') },
                        ...Array.from({ length: m.sessions }, (_, i) => ({ id: String(i + 1), title: t('common.session', { n: i + 1 }) })),
                    ]}
                    onChange={setSession}
                />
                <TextInput
                    label={t('materials.samplesEach')}
                    className={cx('choice')}
                    classNames={{ input: cx('num') }}
                    value={each}
                    placeholder={mm(m.samples_each, 1)}
                    maxLength={5}
                    onChange={(e) => setEach(e.currentTarget.value)}
                />
            </div>
            <div className={cx('print-acts')}>
                <Button component="a" variant="default" href={`${print}?what=materials`} target="_blank" rel="noreferrer">
                    {t('materials.printListAndPlans')}
                </Button>
                <ClassPack id={id} />
            </div>
            <Trouble error={read.error ?? note.error} />
            <p className={cx('quiet')}>
                {each === '' ? t('materials.aBeginnerIsExpectedTo', { n: mm(m.samples_each, 1) }) : t('materials.asYouSaySamplesOf', { n: each })}
            </p>
            <Shop shop={m.shop} />
            <div className={cx('wide-table')} role="region" aria-label={t('common.materials')} tabIndex={0}>
                <table className={cx('rows material-rows')}>
                    <thead>
                        <tr>
                            <th>{t('materials.there')}</th>
                            <th>{t('materials.what')}</th>
                            <th>{t('common.needed')}</th>
                            <th>{t('materials.inTheCupboard')}</th>
                            <th>{t('materials.toBuy')}</th>
                            <th>{t('materials.shortFrom')}</th>
                            <th>{t('materials.priceOfOne')}</th>
                            <th>{t('materials.cost')}</th>
                        </tr>
                    </thead>
                    <tbody>
                        {m.lines.map((l) => (
                            <tr key={l.item} className={cx(l.ticked ? 'done' : '')}>
                                <td>
                                    <Checkbox
                                        checked={l.ticked}
                                        aria-label={t('materials.isThere', { what: l.title })}
                                        onChange={(e) => note.mutate({ item: l.item, ticked: e.currentTarget.checked })}
                                    />
                                </td>
                                <td>
                                    <strong>{l.title}</strong>
                                    <small>{l.how}</small>
                                </td>
                                <td className={cx('num')}>{amount(l, l.amount)}</td>
                                <td>
                                    <Amount
                                        value={Math.round((l.have / off(l)) * 100) / 100}
                                        label={t('materials.inTheCupboard2', { what: l.title })}
                                        onKeep={(have) => note.mutate({ item: l.item, have: have * off(l) })}
                                    />
                                </td>
                                <td className={cx('num')}>
                                    <strong>{amount(l, l.buy)}</strong>
                                </td>
                                <td>{l.short_on !== null && <span className={cx('due')}>{day(l.short_on, zone)}</span>}</td>
                                <td>
                                    <Amount
                                        value={Math.round(l.price * off(l) * 100) / 100}
                                        label={t('materials.priceOf', { what: l.title })}
                                        onKeep={(of) => note.mutate({ item: l.item, price: of / off(l) })}
                                    />
                                </td>
                                <td className={cx('num')}>{l.cost === 0 ? '' : money(l.cost)}</td>
                            </tr>
                        ))}
                    </tbody>
                    {m.cost > 0 && (
                        <tfoot>
                            <tr>
                                <td />
                                <td colSpan={6}>{t('materials.togetherForEachStudent', { each: money(m.cost_each) })}</td>
                                <td className={cx('num')}>
                                    <strong>{money(m.cost)}</strong>
                                </td>
                            </tr>
                        </tfoot>
                    )}
                </table>
            </div>
            {m.cutting.map((c) => (
                <CuttingPlan key={c.material} plan={c} title={m.lines.find((l) => l.item === c.material)?.title ?? c.material} />
            ))}
        </div>
    )
}

/** How things come from the shop: what the list is counted in. */
function Shop({ shop }: { shop: View['ShopView'] }) {
    const unit = useUnit()
    const keep = useChange('cupboard', (next: Partial<View['ShopView']>) => ask(api.PUT('/api/shop', { body: { ...shop, ...next } })))
    const of = (value: number, each: number) => Math.round((value / each) * 10) / 10
    const [wideBy, edgeBy, longBy] = unit === 'in' ? [25.4, 25.4, 0.9144] : [10, 1, 1]
    return (
        <div className={cx('shop')}>
            <span>
                {t('common.cloth')}{' '}
                <Amount
                    value={of(shop.cloth_width_mm, wideBy)}
                    label={t('materials.widthOfTheCloth')}
                    onKeep={(wide) => keep.mutate({ cloth_width_mm: wide * wideBy })}
                />{' '}
                {unit === 'in' ? t('materials.inWideSelvedge') : t('materials.cmWideSelvedge')}{' '}
                <Amount value={of(shop.selvedge_mm, edgeBy)} label={t('materials.selvedge')} onKeep={(edge) => keep.mutate({ selvedge_mm: edge * edgeBy })} />{' '}
                {unit === 'in' ? t('materials.inEachSideThreadOn') : t('materials.mmEachSideThreadOn')}{' '}
                <Amount value={of(shop.spool_m, longBy)} label={t('materials.threadOnASpool')} onKeep={(long) => keep.mutate({ spool_m: long * longBy })} />{' '}
                {clothBy(unit).name}
            </span>
            <NativeSelect
                label={t('materials.pricesIn')}
                className={cx('choice')}
                value={shop.currency}
                onChange={(e) => keep.mutate({ currency: e.currentTarget.value })}
                data={[{ value: '', label: t('materials.notSaid') }, ...CURRENCIES.map((code) => ({ value: code, label: `${code} · ${currencyName(code)}` }))]}
            />
            <Trouble error={keep.error} />
        </div>
    )
}

/** A number that keeps itself when the field is left or Enter pressed. */
function Amount({ value, label, onKeep }: { value: number; label: string; onKeep: (value: number) => void }) {
    const [typed, setTyped] = useState<string | null>(null)
    const keep = () => {
        const number = typed === null ? null : toNumber(typed)
        if (number !== null && number !== value) onKeep(number)
        if (typed === null || number !== null) setTyped(null)
    }
    return (
        <TextInput
            classNames={{ input: cx('num amount') }}
            aria-label={label}
            aria-invalid={typed !== null && toNumber(typed) === null}
            inputMode="decimal"
            value={typed ?? (value === 0 ? '' : String(value))}
            onChange={(e) => setTyped(e.currentTarget.value)}
            onBlur={keep}
            onKeyDown={(e) => {
                if (e.key === 'Enter') keep()
            }}
        />
    )
}
