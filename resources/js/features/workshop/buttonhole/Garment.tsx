import { Checkbox, TextInput, UnstyledButton } from '@mantine/core'
import type { ReactNode } from 'react'
import type { Unit } from '../../../text/lengths'
import { t } from '../../../text/words'
import { Choice } from '../../../ui/Choice'
import { cx } from '../dress'
import { JobCheck, JobCount, JobLength, titled } from './fields'
import type { Buttonhole } from './useButtonhole'
import { PARTS, SHAPES, STRETCH, WEIGHTS } from './words'

/** The button as it is measured, and what it is sewn to. */
export function Garment({ hole, unit }: { hole: Buttonhole; unit: Unit }) {
    const { job } = hole.draft
    const ball = job.shape === 'ball'
    return (
        <div className={cx('job-cols')}>
            <Part title={t('workshop.theButton')}>
                <div className={cx('shapes')} role="group" aria-label={t('workshop.theButtonIs')}>
                    {titled(SHAPES).map((shape) => (
                        <UnstyledButton
                            key={shape.id}
                            className={cx(job.shape === shape.id ? 'shape on' : 'shape')}
                            aria-pressed={job.shape === shape.id}
                            onClick={() => hole.set({ shape: shape.id })}>
                            <svg viewBox="0 0 60 34" aria-hidden="true">
                                {shape.id === 'flat' && <rect x={6} y={14} width={48} height={9} rx={4} />}
                                {shape.id === 'flat' && <rect x={3} y={11} width={54} height={15} rx={7} className={cx('strip-round')} />}
                                {shape.id === 'domed' && <path d="M6 24A28 28 0 0 1 54 24Z" />}
                                {shape.id === 'domed' && <path d="M2 27A31 31 0 0 1 58 27Z" className={cx('strip-round')} />}
                                {shape.id === 'ball' && <circle cx={30} cy={17} r={12} />}
                                {shape.id === 'ball' && <circle cx={30} cy={17} r={15} className={cx('strip-round')} />}
                            </svg>
                            {shape.title}
                        </UnstyledButton>
                    ))}
                </div>
                <JobLength label={t('workshop.across')} unit={unit} mm={job.diameter_mm} onChange={(diameter_mm) => hole.set({ diameter_mm })} />
                {!ball && <JobLength label={t('workshop.through')} unit={unit} mm={job.thickness_mm} onChange={(thickness_mm) => hole.set({ thickness_mm })} />}
                <JobLength
                    label={t('workshop.wrap')}
                    hint={t('workshop.wrapHint')}
                    unit={unit}
                    mm={job.wrap_mm}
                    onChange={(wrap_mm) => hole.set({ wrap_mm })}
                />
                <JobCount label={t('workshop.howMany')} value={job.count} min={1} max={40} onChange={(count) => hole.set({ count })} />
                <JobCheck label={t('workshop.onAShank')} value={job.shank} onChange={(shank) => hole.set({ shank })} />
            </Part>
            <Part title={t('workshop.theGarment')}>
                <Choice label={t('workshop.part')} value={job.part ?? 'front'} options={titled(PARTS)} onChange={(part) => hole.set({ part })} />
                <Choice label={t('workshop.cloth')} value={job.weight ?? 'medium'} options={titled(WEIGHTS)} onChange={(weight) => hole.set({ weight })} />
                <Choice
                    label={t('workshop.itStretches')}
                    value={job.stretch ?? 'none'}
                    options={titled(STRETCH)}
                    onChange={(stretch) => hole.set({ stretch })}
                />
                <JobCount label={t('workshop.layers')} value={job.layers} min={1} max={20} onChange={(layers) => hole.set({ layers })} />
                <JobCount label={t('workshop.interfacing')} value={job.interfacing} min={0} max={10} onChange={(interfacing) => hole.set({ interfacing })} />
                <JobCheck label={t('workshop.delicate')} value={job.delicate} onChange={(delicate) => hole.set({ delicate })} />
                <JobCheck label={t('workshop.frays')} value={job.fraying} onChange={(fraying) => hole.set({ fraying })} />
                <JobCheck label={t('workshop.hardWear')} value={job.hard_wear} onChange={(hard_wear) => hole.set({ hard_wear })} />
            </Part>
            <Part title={t('workshop.whatIsOnTheMachine')}>
                <Choice
                    label={t('workshop.thePatternSays')}
                    value={job.pattern_says ?? ''}
                    options={[
                        { id: '', title: t('workshop.nothing') },
                        { id: 'horizontal', title: t('workshop.across2') },
                        { id: 'vertical', title: t('workshop.along2') },
                    ]}
                    onChange={(says) => hole.set({ pattern_says: says === '' ? null : says })}
                />
                {(
                    [
                        ['thread', 'workshop.threadOf', 60],
                        ['needle', 'workshop.needleOf', 30],
                        ['density', 'workshop.density', 30],
                    ] as const
                ).map(([field, key, most]) => (
                    <TextInput
                        key={field}
                        label={t(key)}
                        maxLength={most}
                        value={job[field] ?? ''}
                        onChange={(e) => hole.set({ [field]: e.currentTarget.value === '' ? null : e.currentTarget.value })}
                    />
                ))}
                <Checkbox
                    label={t('workshop.beginner')}
                    description={t('workshop.beginnerWhy')}
                    checked={job.beginner !== false}
                    onChange={(e) => hole.set({ beginner: e.currentTarget.checked })}
                />
            </Part>
        </div>
    )
}

function Part({ title, children }: { title: string; children: ReactNode }) {
    return (
        <fieldset className={cx('job-part')}>
            <legend>{title}</legend>
            {children}
        </fieldset>
    )
}
