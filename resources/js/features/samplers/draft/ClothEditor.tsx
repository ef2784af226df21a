import { Button, Checkbox, TextInput } from '@mantine/core'
import { t } from '../../../text/words'
import { Choice } from '../../../ui/Choice'
import { cx } from '../dress'
import type { DraftLesson, DraftPiece } from './lesson'
import { Num } from './Num'

interface Props {
    lesson: DraftLesson
    onChange: (what: string, by: (lesson: DraftLesson) => DraftLesson) => void
}

const MATERIALS = [
    { id: 'cloth', title: t('samplers.cotton') },
    { id: 'knit', title: t('samplers.jersey') },
    { id: 'paper', title: t('samplers.paper') },
    { id: 'interfacing', title: t('samplers.interfacing') },
    { id: 'leather', title: t('samplers.leatherOrCoated') },
] as const

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
            placeholder={t('samplers.asTheCourseHasIt')}
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
        <div className={cx('row-editor')}>
            {lesson.sampler.pieces.map((p) => (
                <div key={p.id} className={cx('draft-fields piece-fields')}>
                    <TextInput
                        label={t('samplers.piece')}
                        className={cx('wide')}
                        value={p.label}
                        maxLength={80}
                        onChange={(e) => change(p.id, 'label', { label: e.currentTarget.value })}
                    />
                    <Num label={t('common.width')} value={p.width_mm} step={5} onChange={(v) => change(p.id, 'width', { width_mm: v })} />
                    <Num label={t('samplers.height')} value={p.height_mm} step={5} onChange={(v) => change(p.id, 'height', { height_mm: v })} />
                    <Num label={t('samplers.layers')} unit="" step={1} value={p.layers} onChange={(v) => change(p.id, 'layers', { layers: v })} />
                    <Choice
                        label={t('common.cloth')}
                        value={p.material ?? 'cloth'}
                        options={MATERIALS}
                        onChange={(material) => change(p.id, 'material', { material })}
                    />
                    <Checkbox
                        label={t('samplers.stabiliserBehind')}

                        checked={p.interfaced ?? false}
                        onChange={(e) => change(p.id, 'interfaced', { interfaced: e.currentTarget.checked })}
                    />
                    {!used.has(p.id) && (
                        <Button variant="subtle" onClick={() => pieces(`away ${p.id}`, (list) => list.filter((x) => x.id !== p.id))}>
                            {t('samplers.takeThePieceAway')}
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
                        return [...list, { id: `piece-${n}`, width_mm: 100, height_mm: 150, layers: 2, label: t('samplers.n2Layers') }]
                    })
                }>
                {t('samplers.onePieceMore')}
            </Button>
            <div className={cx('draft-fields')}>
                {thread('top', t('samplers.topThread'))}
                {thread('bobbin', t('samplers.bobbinThread'))}
            </div>
            <p className={cx('quiet')}>{t('samplers.twoColoursThatContrastLet')}</p>
        </div>
    )
}
