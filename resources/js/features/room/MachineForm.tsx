import { Button, Checkbox, TextInput } from '@mantine/core'
import { useEffect, useState, type SubmitEvent } from 'react'
import { api, ask, Problem, type View } from '../../api/client'
import { useChange, useUnit } from '../../api/queries'
import { useTyped } from '../../keeping/useTyped'
import type { Unit } from '../../text/lengths'
import { ALSO } from '../../text/machineParts'
import { toNumber } from '../../text/numbers'
import { t, type Key } from '../../text/words'
import { Choice } from '../../ui/Choice'
import { NumberField } from '../../ui/NumberField'
import { StitchNames } from '../../ui/StitchNames'
import { Trouble } from '../../ui/Trouble'
import { cx } from './dress'
import { HoleQuestions } from './HoleQuestions'
import { lengthsText, listText, readFixed, readLengths, readList } from './lists'
import { MachineDrawing } from './MachineDrawing'

type Facts = View['MachineFacts']
const named = (words: Record<string, Key>) => Object.entries(words).map(([id, key]) => ({ id, title: t(key) }))

/** What is typed as text, of a machine's facts. */
const typedOf = (of: Facts, unit: Unit) => ({
    widest_swing_mm: String(of.widest_swing_mm),
    shortest_stitch_mm: String(of.shortest_stitch_mm),
    longest_stitch_mm: String(of.longest_stitch_mm),
    slot_mm: String(of.slot_mm),
    longest_buttonhole_mm: String(of.longest_buttonhole_mm),
    buttonhole_step_mm: String(of.buttonhole_step_mm),
    strokes_per_minute: String(of.strokes_per_minute),
    bobbin_metres: String(of.bobbin_metres),
    needle_positions_mm: listText(of.needle_positions_mm),
    plate_lines_mm: lengthsText(of.plate_lines_mm, unit),
    fixed_zigzags: of.fixed_zigzags.map((z) => `${z.width_mm} × ${z.length_mm} ${z.name}`).join('; '),
})

/** What most machines of this drive can do, to start from. */
const usual = (room: View['RoomView'], drive: Facts['drive']): Facts => room.usual[drive] ?? ({} as Facts)

interface Props {
    room: View['RoomView']
    machine: View['MachineView'] | null
    onDone: () => void
}

/** A machine's facts, with its plate and needle drawn as they are typed. */
export function MachineForm({ room, machine, onDone }: Props) {
    const unit = useUnit()
    const start = machine === null ? { ...usual(room, 'mechanical'), name: t('room.machine2', { n: room.machines.length + 1 }) } : machine.facts
    // Of a machine that was changed meanwhile, what was typed before is not taken up again.
    const of = JSON.stringify([start, unit])
    const [begun, setBegun, forget] = useTyped<{ of: string; facts: Facts; typed: ReturnType<typeof typedOf> } | null>(`machine:${machine?.id ?? 'new'}`, null)
    const left = begun?.of === of ? begun : null
    const [facts, setFacts] = useState<Facts>(left?.facts ?? start)
    const [typed, setTyped] = useState(() => left?.typed ?? typedOf(start, unit))
    const changed = JSON.stringify([facts, typed]) !== JSON.stringify([start, typedOf(start, unit)])
    useEffect(() => {
        if (changed) setBegun({ of, facts, typed })
        else forget()
        // What is typed is kept, not how the keeping is done.
        // eslint-disable-next-line react-hooks/exhaustive-deps
    }, [facts, typed])
    const [sure, setSure] = useState(false)
    const write = (name: keyof typeof typed) => (value: string) => setTyped({ ...typed, [name]: value })
    /** A measure of it as it is typed. */
    const size = (name: Parameters<typeof write>[0], label: string, min: number, max: number, step: number, unit = 'mm') => (
        <NumberField label={label} unit={unit} value={typed[name]} min={min} max={max} step={step} onChange={write(name)} slider={false} />
    )
    // What cannot be read stays as it was typed, and the server names the field.
    const number = (name: keyof typeof typed) => toNumber(typed[name]) ?? (typed[name] as unknown as number)
    const whole: Facts = {
        ...facts,
        widest_swing_mm: number('widest_swing_mm'),
        shortest_stitch_mm: number('shortest_stitch_mm'),
        longest_stitch_mm: number('longest_stitch_mm'),
        slot_mm: number('slot_mm'),
        longest_buttonhole_mm: number('longest_buttonhole_mm'),
        buttonhole_step_mm: number('buttonhole_step_mm'),
        buttonhole_marks: facts.buttonhole_marks.map((mark) => mark.trim()).filter((mark) => mark !== ''),
        strokes_per_minute: number('strokes_per_minute'),
        bobbin_metres: number('bobbin_metres'),
        needle_positions_mm: readList(typed.needle_positions_mm),
        // Lines that nobody typed anew stay to the hundredth, whatever ruler they are read by.
        plate_lines_mm: typed.plate_lines_mm === lengthsText(facts.plate_lines_mm, unit) ? facts.plate_lines_mm : readLengths(typed.plate_lines_mm, unit),
        fixed_zigzags: readFixed(typed.fixed_zigzags),
    }
    const save = useChange('machines', async () => {
        const body = {
            name: whole.name,
            drive: whole.drive,
            tension_mark: whole.tension_mark,
            usable: machine?.usable ?? true,
            note: machine?.note ?? '',
            facts: whole,
        }
        await ask(
            machine === null ? api.POST('/api/machines', { body }) : api.PUT('/api/machines/{machine}', { params: { path: { machine: machine.id } }, body }),
        )
        forget()
        onDone()
    })
    const retire = useChange('machines', async () => {
        if (machine === null) return
        await ask(api.DELETE('/api/machines/{machine}', { params: { path: { machine: machine.id }, query: sure ? { sure: 1 } : {} } }))
        onDone()
    })
    const straight = facts.drive === 'straight-only'
    const submit = (event: SubmitEvent) => {
        event.preventDefault()
        save.mutate(undefined)
    }
    const drive = (id: string) => {
        // A machine that is new starts from what its drive usually has; of one that is known only what cannot be any more goes.
        const to = id as Facts['drive']
        const next =
            machine === null
                ? { ...usual(room, to), name: facts.name }
                : {
                      ...facts,
                      drive: to,
                      ...(to === 'straight-only'
                          ? {
                                stitch_names: Object.fromEntries(
                                    Object.entries(facts.stitch_names).filter(([s]) => room.stitches.find((x) => x.id === s)?.swings === false),
                                ),
                            }
                          : {}),
                  }
        setFacts(next)
        if (machine === null) setTyped(typedOf(next, unit))
        else if (to === 'straight-only') setTyped({ ...typed, widest_swing_mm: '0', fixed_zigzags: '' })
    }
    return (
        <form className={cx('edit-form')} onSubmit={submit}>
            {changed && left !== null && (
                <p className={cx('quiet')} role="status">
                    {t('common.asItWasLeft')}{' '}
                    <Button
                        variant="subtle"
                        onClick={() => {
                            setFacts(start)
                            setTyped(typedOf(start, unit))
                        }}>
                        {t('common.asItIsKept')}
                    </Button>
                </p>
            )}
            <MachineDrawing facts={whole} />
            <div className={cx('edit-grid')}>
                <TextInput
                    label={t('room.name')}
                    className={cx('choice')}
                    value={facts.name}
                    maxLength={60}
                    required
                    onChange={(e) => setFacts({ ...facts, name: e.currentTarget.value })}
                />
                <Choice
                    label={t('room.drive')}
                    value={facts.drive}
                    options={named({ mechanical: 'room.driveMechanical', computerised: 'room.driveComputerised', 'straight-only': 'room.driveStraightOnly' })}
                    onChange={drive}
                />
                <Choice
                    label={t('room.feetAre')}
                    value={facts.mount}
                    options={room.mounts}
                    onChange={(mount) => setFacts({ ...facts, mount: mount as Facts['mount'] })}
                />
                {!straight && size('widest_swing_mm', t('room.widestSwing'), 0, 12, 0.5)}
                {size('shortest_stitch_mm', t('room.shortestStitch'), 0, 2, 0.1)}
                {size('longest_stitch_mm', t('room.longestStitch'), 1, 12, 0.5)}
                {size('slot_mm', t('room.slotOfThePlate'), 1, 16, 0.5)}
                <TextInput
                    label={
                        <>
                            {t('room.needlePositions')} <small>{t('room.mmLeft')}</small>
                        </>
                    }
                    className={cx('choice')}
                    classNames={{ input: cx('num') }}
                    value={typed.needle_positions_mm}
                    onChange={(e) => write('needle_positions_mm')(e.currentTarget.value)}
                />
                <TextInput
                    label={
                        <>
                            {t('room.linesOnThePlate')} <small>{unit === 'in' ? t('room.inFromTheNeedle') : t('room.mmFromTheNeedle')}</small>
                        </>
                    }
                    className={cx('choice')}
                    classNames={{ input: cx('num') }}
                    value={typed.plate_lines_mm}
                    onChange={(e) => write('plate_lines_mm')(e.currentTarget.value)}
                />
                <TextInput
                    label={t('room.tensionMark')}
                    className={cx('choice')}
                    classNames={{ input: cx('num') }}
                    value={facts.tension_mark}
                    maxLength={10}
                    required
                    onChange={(e) => setFacts({ ...facts, tension_mark: e.currentTarget.value })}
                />
                {!straight && (
                    <TextInput
                        label={
                            <>
                                {t('room.onlyTheseZigzags')} <small>{t('room.whereWidthIsNotFree')}</small>
                            </>
                        }
                        className={cx('choice wide')}
                        classNames={{ input: cx('num') }}
                        value={typed.fixed_zigzags}
                        onChange={(e) => write('fixed_zigzags')(e.currentTarget.value)}
                    />
                )}
                {!straight && (
                    <Choice
                        label={t('room.aZigzagsLengthIs')}
                        value={facts.zigzag_length}
                        options={[
                            { id: 'per-stroke', title: t('room.forEachStroke') },
                            { id: 'per-cycle', title: t('room.forTheWholeZigzag') },
                        ]}
                        onChange={(z) => setFacts({ ...facts, zigzag_length: z })}
                    />
                )}
                <Choice
                    label={t('room.feed')}
                    value={facts.feed_drop}
                    options={[
                        { id: 'drops', title: t('room.drops') },
                        { id: 'cover', title: t('room.hasACover') },
                        { id: 'none', title: t('room.alwaysOn') },
                    ]}
                    onChange={(d) => setFacts({ ...facts, feed_drop: d })}
                />
                <NumberField
                    label={t('room.fullSpeed')}
                    value={typed.strokes_per_minute}
                    min={50}
                    max={6000}
                    step={50}
                    unit={t('room.strokesAMinute')}
                    onChange={write('strokes_per_minute')}
                    slider={false}
                />
                <TextInput
                    label={t('room.bobbin')}
                    className={cx('choice')}
                    value={facts.bobbin}
                    maxLength={30}
                    onChange={(e) => setFacts({ ...facts, bobbin: e.currentTarget.value })}
                />
                {size('bobbin_metres', t('room.onAFullBobbin'), 1, 500, 1, 'm')}
                <Checkbox
                    label={t('room.itsManualAllowsMagnetsNear')}
                    className={cx('wide')}
                    checked={facts.magnets_allowed}
                    onChange={(e) => setFacts({ ...facts, magnets_allowed: e.currentTarget.checked })}
                />
                {(Object.keys(ALSO) as (keyof typeof ALSO)[]).map((one) => (
                    <Checkbox
                        key={one}
                        className={cx('wide')}
                        color="var(--chalk)"
                        checked={facts.also.includes(one)}
                        label={ALSO[one][0]}
                        description={ALSO[one][1]}
                        onChange={(e) => setFacts({ ...facts, also: e.currentTarget.checked ? [...facts.also, one] : facts.also.filter((x) => x !== one) })}
                    />
                ))}
            </div>
            {!straight && (
                <HoleQuestions
                    facts={facts}
                    asks={room.buttonhole_asks[facts.buttonhole] ?? []}
                    longest={typed.longest_buttonhole_mm}
                    step={typed.buttonhole_step_mm}
                    onChange={setFacts}
                    onLongest={write('longest_buttonhole_mm')}
                    onStep={write('buttonhole_step_mm')}
                />
            )}
            <fieldset className={cx('stitch-names')}>
                <legend>{t('room.stitchesItHasWithIts')}</legend>
                <StitchNames
                    stitches={room.stitches.filter((s) => s.made_of === null && (!straight || !s.swings))}
                    names={facts.stitch_names}
                    onChange={(stitch_names) => setFacts({ ...facts, stitch_names })}
                />
            </fieldset>
            <Trouble error={save.error ?? (retire.error instanceof Problem && retire.error.status === 409 ? null : retire.error)} />
            <div className={cx('keep-acts')}>
                <Button type="submit" size="lg" disabled={save.isPending}>
                    {machine === null ? t('room.addTheMachine') : t('room.keepTheChanges')}
                </Button>
                {machine !== null && (
                    <Button
                        variant="default"
                        onClick={() => {
                            retire.mutate(undefined, { onError: () => setSure(true) })
                        }}>
                        {sure ? t('room.yesTakeItOutOf') : t('room.takeItOutOfThe')}
                    </Button>
                )}
            </div>
            {sure && retire.error !== null && (
                <p className={cx('refused mild')} role="alert">
                    {retire.error.message}
                </p>
            )}
        </form>
    )
}
