import { Button, Checkbox, TextInput } from '@mantine/core'
import { t } from '../../../app/text'
import { Choice } from '../../workshop/fields'
import type { DraftLesson, DraftPiece } from './lesson'
import { Num } from './Num'

interface Props {
    lesson: DraftLesson
    onChange: (what: string, by: (lesson: DraftLesson) => DraftLesson) => void
}

const MATERIALS = [
    { id: 'cloth', title: t('cotton') },
    { id: 'knit', title: t('jersey') },
    { id: 'paper', title: t('paper') },
    { id: 'interfacing', title: t('interfacing') },
    { id: 'leather', title: t('leather or coated') },
]

/** Pieces of the sampler, and the colours of its two threads. */
export function ClothEditor({ lesson, onChange }: Props) {
    const pieces = (what: string, by: (pieces: DraftPiece[]) => DraftPiece[]) =>
        onChange(`piece ${what}`, (l) => ({ ...l, sampler: { ...l.sampler, pieces: by(l.sampler.pieces) } }))
    const change = (id: string, what: string, next: Partial<DraftPiece>) =>
        pieces(`${id} ${what}`, (list) => list.map((p) => (p.id === id ? { ...p, ...next } : p)))
    const used = new Set(lesson.sampler.rows.map((r) => r.piece))
    const thread = (name: 'top' | 'bobbin', label: string) => (
        <TextInput
            label={label}
            value={lesson.threads?.[name] ?? ''}
            placeholder={t('as the course has it')}
            maxLength={40}
            onChange={(e) => {
                const value = e.currentTarget.value
                onChange(`thread ${name}`, (l) => {
                    const rest = Object.entries(l.threads ?? {}).filter(([which]) => which !== name)
                    return { ...l, threads: Object.fromEntries(value === '' ? rest : [...rest, [name, value]]) }
                })
            }}
        />
    )
    return (
        <div className="row-editor">
            {lesson.sampler.pieces.map((p) => (
                <div key={p.id} className="draft-fields piece-fields">
                    <TextInput
                        label={t('Piece')}
                        className="wide"
                        value={p.label}
                        maxLength={80}
                        onChange={(e) => change(p.id, 'label', { label: e.currentTarget.value })}
                    />
                    <Num label={t('Width')} value={p.width_mm} step={5} onChange={(v) => change(p.id, 'width', { width_mm: v })} />
                    <Num label={t('Height')} value={p.height_mm} step={5} onChange={(v) => change(p.id, 'height', { height_mm: v })} />
                    <Num label={t('Layers')} unit="" step={1} value={p.layers} onChange={(v) => change(p.id, 'layers', { layers: v })} />
                    <Choice
                        label={t('Cloth')}
                        value={p.material ?? 'cloth'}
                        options={MATERIALS}
                        onChange={(material) => change(p.id, 'material', { material })}
                    />
                    <Checkbox
                        label={t('stabiliser behind')}
                        className="tick"
                        checked={p.interfaced ?? false}
                        onChange={(e) => change(p.id, 'interfaced', { interfaced: e.currentTarget.checked })}
                    />
                    {!used.has(p.id) && (
                        <Button variant="subtle" onClick={() => pieces(`away ${p.id}`, (list) => list.filter((x) => x.id !== p.id))}>
                            {t('Take the piece away')}
                        </Button>
                    )}
                </div>
            ))}
            <Button
                variant="default"
                onClick={() =>
                    pieces('new', (list) => {
                        let n = list.length + 1
                        while (list.some((p) => p.id === `piece-${n}`)) n++
                        return [...list, { id: `piece-${n}`, width_mm: 100, height_mm: 150, layers: 2, label: t('2 layers') }]
                    })
                }>
                {t('One piece more')}
            </Button>
            <div className="draft-fields">
                {thread('top', t('Top thread'))}
                {thread('bobbin', t('Bobbin thread'))}
            </div>
            <p className="quiet">{t('Two colours that contrast let both faces be read.')}</p>
        </div>
    )
}
