import { Anchor, Button, Checkbox, NativeSelect, Radio, Textarea, TextInput } from '@mantine/core'
import { useState } from 'react'
import { Problem, type View } from '../api/client'
import { DrawingFrame, ScaleLine } from '../drawing/DrawingFrame'
import { StitchRow } from '../drawing/StitchRow'
import { t } from '../text/words'
import { Choice } from './Choice'
import { Empty } from './Empty'
import { HowFar } from './HowFar'
import { Notice } from './Notice'
import { NumberField } from './NumberField'
import { ReadingField } from './ReadingField'
import { Saved } from './Saved'
import { StepField } from './StepField'
import { Tape } from './Tape'
import { LEVEL_WORDS, ThreadLine, type Level } from './ThreadLine'
import { Trouble, Waiting } from './Trouble'

/* eslint-disable no-restricted-syntax -- a page for those who build it: names of components, in no language of its readers */

const LENGTH = { length: true, min: 0, max: 40, step: 0.5 }
const field = (kind: View['FieldView']['kind'], values: View['FieldValueView'][], options: string[] = []): View['FieldView'] => ({
    key: `x.${kind}`,
    label: kind,
    kind,
    size: values.length,
    seen: false,
    options,
    hint: '',
    values,
})
const FIELDS = [
    field('length', [LENGTH]),
    field('lengths', [LENGTH, LENGTH, LENGTH]),
    field('stitches', [
        { length: false, min: 1, max: 60, step: 0.5 },
        { ...LENGTH, max: 300, step: 1 },
    ]),
    field('yes-no', [{ length: false, min: 0, max: 1, step: 1 }]),
    field('choice', [{ length: false, min: 0, max: 2, step: 1 }], ['flat', 'slightly raised', 'stands up']),
]

const piece = (kind: View['TapePieceView']['kind'], from: number, to: number): View['TapePieceView'] => ({
    kind,
    from,
    to,
    round: 1,
    lesson: null,
    title: kind,
})
const SESSION: View['SessionView'] = {
    id: 'x',
    number: 1,
    of: 6,
    starts_at: '2030-03-01T18:30:00Z',
    ends_at: '2030-03-01T19:30:00Z',
    beginning: null,
    begun_at: null,
    ended: false,
    minutes: 60,
    state: 'running',
    tape: [piece('settle', 0, 8), piece('show', 8, 16), piece('sew', 16, 46), piece('look', 30, 50), piece('clear', 50, 60)],
    begun: true,
    bench_version: 1,
}

/** Every component of our own and every control as it is themed, in both schemes: what a change to one of them changes. */
export default function Gallery() {
    return (
        <div style={{ display: 'grid', gridTemplateColumns: '1fr 1fr' }}>
            {(['light', 'dark'] as const).map((scheme) => (
                <div
                    key={scheme}
                    data-mantine-color-scheme={scheme}
                    style={{ background: 'var(--ground)', color: 'var(--ink)', padding: 20, display: 'grid', gap: 14, alignContent: 'start' }}>
                    <Shown />
                </div>
            ))}
        </div>
    )
}

function Shown() {
    const [typed, setTyped] = useState<Record<string, string[]>>({})
    const [number, setNumber] = useState('5')
    const [choice, setChoice] = useState<'a' | 'b'>('a')
    return (
        <>
            <div>
                <Button>filled</Button> <Button variant="default">default</Button> <Button variant="subtle">subtle</Button> <Button disabled>disabled</Button>{' '}
                <Button size="lg">large</Button> <Anchor href="#x">anchor</Anchor>
            </div>
            <TextInput label="TextInput" defaultValue="typed" />
            <TextInput label="with an error" defaultValue="abc" error="A number is needed." />
            <NativeSelect label="NativeSelect" data={['one', 'two']} />
            <Choice
                label="Choice"
                value={choice}
                options={[
                    { id: 'a', title: 'the one' },
                    { id: 'b', title: 'the other' },
                ]}
                onChange={setChoice}
            />
            <Textarea label="Textarea" />
            <Checkbox label="Checkbox" defaultChecked />
            <Radio label="Radio" defaultChecked />
            <StepField name="StepField" label="StepField" keys onStep={() => undefined} defaultValue="2.5" />
            <NumberField label="NumberField" value={number} min={0} max={9} step={0.5} onChange={setNumber} />
            {FIELDS.map((f) => (
                <ReadingField
                    key={f.key}
                    field={f}
                    unit="mm"
                    values={typed[f.key] ?? []}
                    problem={null}
                    problemAt={null}
                    onEye={() => undefined}
                    onChange={(i, value) => setTyped({ ...typed, [f.key]: Object.assign([...(typed[f.key] ?? [])], { [i]: value }) })}
                />
            ))}
            <Tape session={SESSION} zone="UTC" now="2030-03-01T18:50:00Z" />
            <DrawingFrame width={240} height={20} name={t('common.mm', { n: 50 })}>
                <ScaleLine mm={50} scale={3} x={1} y={4} />
            </DrawingFrame>
            <div>
                {(Object.keys(LEVEL_WORDS) as Level[]).map((level) => (
                    <span key={level}>
                        <ThreadLine level={level} /> {level}{' '}
                    </span>
                ))}
            </div>
            <StitchRow points={[0, 1, 2, 3, 4, 5].map((i) => [i * 2.5, i % 2 === 0 ? -2 : 2])} scale={8} rowMm={12.5} halfMm={3} label="StitchRow" />
            <Trouble error={new Problem(422, 'width', 'Width is from 0 to 7 mm.', 'What you typed is kept.')} />
            <Notice onClose={() => undefined}>Notice</Notice>
            <HowFar done={3} of={8} what="HowFar">
                3 of 8
            </HowFar>
            <Saved saving={false} saved />
            <Waiting what="Waiting" />
            <Empty>Empty</Empty>
        </>
    )
}
