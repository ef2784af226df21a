import { Button, Checkbox, TextInput } from '@mantine/core'
import { useState, type SubmitEvent } from 'react'
import { api, ask, type View } from '../../api/client'
import { useChange } from '../../api/queries'
import { FootOpening, ScaleBar } from '../../drawing/FootOpening'
import { toNumber } from '../../text/numbers'
import { t, type Key } from '../../text/words'
import { Choice } from '../../ui/Choice'
import { NumberField } from '../../ui/NumberField'
import { Trouble } from '../../ui/Trouble'
import { cx } from './dress'
import { Asked } from './HoleQuestions'
import type { Shown } from './HoleSketch'

type Facts = View['FootFacts']
const NUMBERS = ['opening_left_mm', 'opening_right_mm', 'edge_left_mm', 'edge_right_mm', 'largest_swing_mm', 'smallest_swing_mm', 'count'] as const
/** What a foot may have for buttonholes. */
const HAS = [
    ['hole_holder', 'holder', 'room.holeHolder'],
    ['hole_thread', 'thread', 'room.holeThread'],
    ['hole_spur', 'spur', 'room.holeSpur'],
] as const satisfies readonly (readonly [keyof Facts, Shown, Key])[]
type Typed = Record<
    (typeof NUMBERS)[number] | 'edge_inner_mm' | 'tape_mm' | 'hole_line_mm' | 'hole_longest_mm' | 'price' | 'min_mm' | 'max_mm' | 'step_mm',
    string
>

const typedOf = (f: Facts): Typed => ({
    ...(Object.fromEntries(NUMBERS.map((n) => [n, String(f[n])])) as Record<(typeof NUMBERS)[number], string>),
    edge_inner_mm: f.edge_inner_mm === null ? '' : String(f.edge_inner_mm),
    tape_mm: f.tape_mm === null ? '' : String(f.tape_mm),
    hole_line_mm: f.hole_line_mm === null ? '' : String(f.hole_line_mm),
    hole_longest_mm: f.hole_longest_mm === null ? '' : String(f.hole_longest_mm),
    price: f.price === null ? '' : String(f.price),
    min_mm: String(f.guide?.min_mm ?? ''),
    max_mm: String(f.guide?.max_mm ?? ''),
    step_mm: String(f.guide?.step_mm ?? ''),
})

interface Props {
    room: View['RoomView']
    foot: View['FootView'] | null
    /** What a new one is, where that is known. */
    kind?: string | undefined
    onDone: () => void
}

/** A foot's measures, with its opening drawn as they are typed. */
export function FootForm({ room, foot, kind: named, onDone }: Props) {
    const usual = (kind: string): Facts => room.kinds.find((k) => k.id === kind)?.usual ?? foot?.facts ?? ({} as Facts)
    const start = foot?.facts ?? usual(named ?? 'standard')
    const [facts, setFacts] = useState<Facts>(start)
    const [typed, setTyped] = useState<Typed>(() => typedOf(start))
    const [cloths, setCloths] = useState(start.materials.join(', '))
    const kind = room.kinds.find((k) => k.id === facts.kind)
    const write = (name: keyof Typed) => (value: string) => setTyped({ ...typed, [name]: value })
    /** A measure of it as it is typed. */
    const size = (name: Parameters<typeof write>[0], label: string, min: number, max: number, step: number, unit = 'mm') => (
        <NumberField label={label} unit={unit} value={typed[name]} min={min} max={max} step={step} onChange={write(name)} slider={false} />
    )
    const number = (name: keyof Typed) => toNumber(typed[name]) ?? (typed[name] as unknown as number)
    const whole: Facts = {
        ...facts,
        opening_left_mm: number('opening_left_mm'),
        opening_right_mm: number('opening_right_mm'),
        edge_left_mm: number('edge_left_mm'),
        edge_right_mm: number('edge_right_mm'),
        largest_swing_mm: number('largest_swing_mm'),
        smallest_swing_mm: number('smallest_swing_mm'),
        count: number('count'),
        materials: cloths
            .split(',')
            .map((c) => c.trim())
            .filter((c) => c !== ''),
        edge_inner_mm: typed.edge_inner_mm.trim() === '' ? null : number('edge_inner_mm'),
        tape_mm: typed.tape_mm.trim() === '' ? null : number('tape_mm'),
        hole_line_mm: typed.hole_line_mm.trim() === '' ? null : number('hole_line_mm'),
        hole_longest_mm: typed.hole_longest_mm.trim() === '' ? null : number('hole_longest_mm'),
        price: typed.price.trim() === '' ? null : number('price'),
        guide:
            typed.min_mm.trim() === '' && typed.max_mm.trim() === ''
                ? null
                : { min_mm: number('min_mm'), max_mm: number('max_mm'), step_mm: number('step_mm') },
    }
    const save = useChange('machines', async () => {
        await ask(
            foot === null
                ? api.POST('/api/feet', { body: { facts: whole } })
                : api.PUT('/api/feet/{foot}', { params: { path: { foot: foot.id } }, body: { facts: whole } }),
        )
        onDone()
    })
    const retire = useChange('machines', async () => {
        if (foot !== null) await ask(api.DELETE('/api/feet/{foot}', { params: { path: { foot: foot.id } } }))
        onDone()
    })
    const choose = (id: string) => {
        const next = { ...usual(id), mount: facts.mount, count: facts.count, price: facts.price }
        setFacts(next)
        setCloths(next.materials.join(', '))
        setTyped({ ...typedOf(next), count: typed.count, price: typed.price })
    }
    const submit = (event: SubmitEvent) => {
        event.preventDefault()
        save.mutate(undefined)
    }
    const drawn = (n: number, or: number) => (Number.isFinite(n) ? n : or)
    return (
        <form className={cx('edit-form')} onSubmit={submit}>
            <div className={cx('foot-live')}>
                <FootOpening
                    left={drawn(whole.opening_left_mm, 3)}
                    right={drawn(whole.opening_right_mm, 3)}
                    position={0}
                    width={drawn(whole.largest_swing_mm, 0)}
                    needle={0.8}
                    verdict={
                        drawn(whole.largest_swing_mm, 0) / 2 + 0.4 > Math.min(drawn(whole.opening_left_mm, 3), drawn(whole.opening_right_mm, 3))
                            ? 'strike'
                            : 'clear'
                    }
                    scale={22}
                    reach={8}
                    height={120}
                    label={t('room.theOpeningAsTypedWith')}
                />
                <ScaleBar mm={5} scale={22} />
            </div>
            {kind !== undefined && <p className={cx('quiet')}>{kind.about}</p>}
            {kind !== undefined && kind.caution !== '' && <p className={cx('caution')}>{kind.caution}</p>}
            <div className={cx('edit-grid')}>
                <Choice label={t('room.kind')} value={facts.kind} options={room.kinds} onChange={choose} />
                <TextInput
                    label={t('room.name')}
                    className={cx('choice')}
                    value={facts.name}
                    maxLength={60}
                    required
                    onChange={(e) => setFacts({ ...facts, name: e.currentTarget.value })}
                />
                {size('count', t('room.howMany2'), 0, 200, 1, '')}
                {size('price', t('room.priceOfOne'), 0, 100_000, 1, '')}
                <Choice label={t('room.itIs')} value={facts.mount} options={room.mounts} onChange={(m) => setFacts({ ...facts, mount: m as Facts['mount'] })} />
                {size('opening_left_mm', t('room.openingLeft'), 0.3, 15, 0.1)}
                {size('opening_right_mm', t('room.openingRight'), 0.3, 15, 0.1)}
                {size('largest_swing_mm', t('room.largestSwing'), 0, 12, 0.5)}
                {size('smallest_swing_mm', t('room.leastSwing0Any'), 0, 12, 0.5)}
                <Choice
                    label={t('room.openSide')}
                    value={facts.open_side ?? ''}
                    options={[
                        { id: '', title: t('common.none') },
                        { id: 'left', title: t('common.left') },
                        { id: 'right', title: t('common.right') },
                        { id: 'either', title: t('room.eitherAsItIsClipped') },
                    ]}
                    onChange={(o) => setFacts({ ...facts, open_side: o === '' ? null : o })}
                />
                <Choice
                    label={t('room.sole')}
                    value={facts.sole}
                    options={[
                        { id: 'flat', title: t('room.flat') },
                        { id: 'grooved', title: t('room.grooved') },
                    ]}
                    onChange={(s) => setFacts({ ...facts, sole: s })}
                />
                <Choice
                    label={t('room.needlePositions')}
                    value={facts.positions}
                    options={[
                        { id: 'all', title: t('room.all') },
                        { id: 'centre', title: t('room.centreOnly') },
                    ]}
                    onChange={(p) => setFacts({ ...facts, positions: p })}
                />
                {size('edge_left_mm', t('room.leftEdge'), 0, 60, 0.5)}
                {size('edge_right_mm', t('room.rightEdge'), 0, 60, 0.5)}
                {size('edge_inner_mm', t('room.insideOfTheToe'), 0, 60, 0.5)}
                {size('min_mm', t('room.guideFrom'), 0, 200, 1)}
                {size('max_mm', t('room.guideTo'), 0, 200, 1)}
                {size('step_mm', t('room.inStepsOf'), 0.1, 50, 0.5)}
                {usual(facts.kind).tape_mm !== null && size('tape_mm', t('room.tapeItTakesUnfolded'), 6, 80, 1)}
                <TextInput
                    label={
                        <>
                            {t('common.for')} <small>{t('room.withCommasBetween')}</small>
                        </>
                    }
                    className={cx('choice wide')}
                    value={cloths}
                    maxLength={300}
                    onChange={(e) => setCloths(e.currentTarget.value)}
                />
            </div>
            {usual(facts.kind).hole_thread && (
                <fieldset className={cx('hole-questions')}>
                    <legend>{t('room.buttonhole')}</legend>
                    <Asked shown="lines">
                        {size('hole_line_mm', t('room.holeLines'), 0.5, 20, 0.5)}
                        <p className={cx('quiet')}>{t('room.holeLinesEmpty')}</p>
                    </Asked>
                    <Asked shown="stops">{size('hole_longest_mm', t('room.longestButtonhole'), 5, 100, 1)}</Asked>
                    {HAS.map(([fact, shown, key]) => (
                        <Asked key={fact} shown={shown}>
                            <Checkbox label={t(key)} checked={facts[fact]} onChange={(e) => setFacts({ ...facts, [fact]: e.currentTarget.checked })} />
                        </Asked>
                    ))}
                </fieldset>
            )}
            <p className={cx('quiet')}>{t('room.measureFromTheCentreNeedle')}</p>
            <Trouble error={save.error ?? retire.error} />
            <div className={cx('keep-acts')}>
                <Button type="submit" size="lg" disabled={save.isPending}>
                    {foot === null ? t('room.addTheFoot') : t('room.keepTheChanges')}
                </Button>
                {foot !== null && (
                    <Button variant="default" onClick={() => retire.mutate(undefined)}>
                        {t('room.takeOutOfTheRoom', { foot: foot.facts.name })}
                    </Button>
                )}
            </div>
        </form>
    )
}
