import { Button, Modal, SegmentedControl, UnstyledButton } from '@mantine/core'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { api, ask } from '../../../api/client'
import type { Pictures } from '../../../api/pictures'
import { Drawn } from '../../../drawing/Drawn'
import { t } from '../../../text/words'
import { Trouble, Waiting } from '../../../ui/Trouble'
import { cx } from '../dress'
import type { DraftLesson } from './lesson'

interface Props {
    lesson: DraftLesson
    /** As the core draws it now. */
    drawn: Pictures | null
    onChange: (what: string, by: (lesson: DraftLesson) => DraftLesson) => void
}

type Keeps = NonNullable<NonNullable<DraftLesson['step_pictures']>[number]>
/** Which picture is being chosen. */
interface Place {
    of: 'acts' | 'steps'
    at: number
    says: string
}

const GROUPS = ['lesson', 'hands', 'machine', 'feet', 'needle', 'stitches', 'seams', 'buttonholes', 'tools'] as const
const TITLES = {
    lesson: t('samplers.picturesOfLesson'),
    hands: t('samplers.picturesOfHands'),
    machine: t('common.machine'),
    feet: t('samplers.picturesOfFeet'),
    needle: t('samplers.picturesOfNeedle'),
    stitches: t('samplers.picturesOfStitches'),
    seams: t('samplers.picturesOfSeams'),
    buttonholes: t('samplers.picturesOfButtonholes'),
    tools: t('samplers.picturesOfTools'),
} satisfies Record<(typeof GROUPS)[number], string>

/** The picture of each act and each step, chosen from templates, drawn as the lesson is now. */
export function PicturesEditor({ lesson, drawn, onChange }: Props) {
    const [place, setPlace] = useState<Place | null>(null)
    const take = (keeps: Keeps) => {
        if (place === null) return
        onChange(`picture ${place.of} ${place.at}`, (l) => withPicture(l, place, keeps))
        setPlace(null)
    }
    const list = (of: Place['of'], says: readonly string[], chosen: (at: number) => boolean) => (
        <ul className={cx('draft-pictures')}>
            {says.map((said, at) => {
                const picture = drawn?.[of][at]
                return (
                    <li key={at}>
                        <div>{picture !== undefined && <Drawn picture={picture} />}</div>
                        <span>
                            {at + 1}. {said} {!chosen(at) && <small>{t('samplers.noneChosenYet')}</small>}
                        </span>
                        <Button variant="default" aria-label={t('samplers.choosePictureOf', { what: said })} onClick={() => setPlace({ of, at, says: said })}>
                            {t('samplers.choosePicture')}
                        </Button>
                    </li>
                )
            })}
        </ul>
    )
    const acts = lesson.demonstration?.acts ?? []
    return (
        <div className={cx('row-editor')}>
            <h2>{t('samplers.showIt')}</h2>
            {list(
                'acts',
                acts.map((a) => a.show),
                (at) => acts[at]?.picture !== undefined,
            )}
            <h2>{t('samplers.steps')}</h2>
            {list('steps', lesson.steps, (at) => (lesson.step_pictures ?? [])[at] != null)}
            <Modal opened={place !== null} onClose={() => setPlace(null)} size="xl" title={place?.says ?? ''}>
                {place !== null && <Templates lesson={lesson} onTake={take} />}
            </Modal>
        </div>
    )
}

function Templates({ lesson, onTake }: { lesson: DraftLesson; onTake: (keeps: Keeps) => void }) {
    const [group, setGroup] = useState<(typeof GROUPS)[number]>('lesson')
    const found = useQuery({
        queryKey: ['draft', 'templates', group, group === 'lesson' ? lesson : lesson.id],
        queryFn: () => ask(api.POST('/api/drafts/templates', { body: { lesson, group } })),
        placeholderData: keepPreviousData,
    })
    return (
        <>
            <SegmentedControl
                fullWidth
                aria-label={t('samplers.picturesOf')}
                value={group}
                onChange={(v) => setGroup(GROUPS.find((g) => g === v) ?? 'lesson')}
                data={GROUPS.map((g) => ({ value: g, label: TITLES[g] }))}
            />
            <Trouble error={found.error} />
            {found.data === undefined && found.error === null && <Waiting what={t('common.looking')} />}
            <div className={cx('picture-choice')}>
                {found.data?.map((f, i) => (
                    <UnstyledButton key={i} aria-label={nameOf(f.keeps)} onClick={() => onTake(f.keeps as Keeps)}>
                        <Drawn picture={f.picture} />
                    </UnstyledButton>
                ))}
            </div>
        </>
    )
}

/** What it keeps, in the words of the data: for those who do not see it. */
function nameOf(keeps: Record<string, unknown>): string {
    const words = (v: unknown): string =>
        typeof v === 'string' || typeof v === 'number'
            ? String(v)
            : Array.isArray(v)
              ? v.map(words).join(' ')
              : v !== null && typeof v === 'object'
                ? Object.values(v).map(words).join(' ')
                : ''
    return words(keeps).replaceAll('-', ' ')
}

function withPicture(lesson: DraftLesson, place: Place, keeps: Keeps): DraftLesson {
    if (place.of === 'acts') {
        const shown = lesson.demonstration
        return shown === undefined
            ? lesson
            : { ...lesson, demonstration: { ...shown, acts: shown.acts.map((a, i) => (i === place.at ? { ...a, picture: keeps } : a)) } }
    }
    const was = lesson.step_pictures ?? []
    return { ...lesson, step_pictures: lesson.steps.map((_, i) => (i === place.at ? keeps : (was[i] ?? null))) }
}
