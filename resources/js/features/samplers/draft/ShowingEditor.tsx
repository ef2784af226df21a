import { ActionIcon, Button, Textarea, TextInput } from '@mantine/core'
import { t } from '../../../text/words'
import { cx } from '../dress'
import type { DraftAct, DraftLesson, DraftMistake } from './lesson'

interface Props {
    lesson: DraftLesson
    onChange: (what: string, by: (lesson: DraftLesson) => DraftLesson) => void
}

const MOST_ACTS = 8
const MOST_MISTAKES = 6

/** How it is shown to a room, act by act, and what usually goes wrong and how that looks. */
export function ShowingEditor({ lesson, onChange }: Props) {
    const { setup, acts } = lesson.demonstration ?? { setup: '', acts: [] }
    const mistakes = lesson.mistakes ?? []
    const show = (what: string, next: { setup: string; acts: DraftAct[] }) => onChange(`showing ${what}`, (l) => ({ ...l, demonstration: next }))
    const act = (i: number, name: keyof DraftAct, value: string) =>
        show(`${i} ${name}`, { setup, acts: acts.map((a, k) => (k === i ? { ...a, [name]: value } : a)) })
    const wrong = (what: string, next: DraftMistake[]) => onChange(`mistakes ${what}`, (l) => ({ ...l, mistakes: next }))
    return (
        <>
            <h2>{t('samplers.showIt')}</h2>
            <TextInput
                label={t('samplers.whatTheLastRowOf')}
                value={setup}
                maxLength={300}
                onChange={(e) => show('setup', { setup: e.currentTarget.value, acts })}
            />
            {acts.map((a, i) => (
                <div key={i} className={cx('draft-act')}>
                    <Textarea
                        autosize
                        minRows={1}
                        aria-label={t('samplers.actShown', { n: i + 1 })}
                        placeholder={t('samplers.shown')}
                        value={a.show}
                        maxLength={200}
                        onChange={(e) => act(i, 'show', e.currentTarget.value)}
                    />
                    <Textarea
                        autosize
                        minRows={1}
                        aria-label={t('samplers.actSaid', { n: i + 1 })}
                        placeholder={t('samplers.said')}
                        value={a.say}
                        maxLength={200}
                        onChange={(e) => act(i, 'say', e.currentTarget.value)}
                    />
                    <Textarea
                        autosize
                        minRows={1}
                        aria-label={t('samplers.actWatchedFor', { n: i + 1 })}
                        placeholder={t('samplers.watchedFor')}
                        value={a.watch}
                        maxLength={200}
                        onChange={(e) => act(i, 'watch', e.currentTarget.value)}
                    />
                    <ActionIcon
                        variant="subtle"
                        aria-label={t('samplers.takeActAway', { n: i + 1 })}
                        onClick={() => show(`away ${i}`, { setup, acts: acts.filter((_, k) => k !== i) })}>
                        ×
                    </ActionIcon>
                </div>
            ))}
            {acts.length < MOST_ACTS && (
                <Button variant="subtle" onClick={() => show('new', { setup, acts: [...acts, { show: '', say: '', watch: '' }] })}>
                    {t('samplers.oneActMore')}
                </Button>
            )}
            <h2>{t('samplers.usualMistakes')}</h2>
            {mistakes.map((m, i) => (
                <div key={i} className={cx('draft-act two')}>
                    <Textarea
                        autosize
                        minRows={1}
                        aria-label={t('samplers.mistake2', { n: i + 1 })}
                        placeholder={t('samplers.mistake')}
                        value={m.mistake}
                        maxLength={120}
                        onChange={(e) => {
                            const mistake = e.currentTarget.value
                            wrong(
                                `${i} mistake`,
                                mistakes.map((x, k) => (k === i ? { ...x, mistake } : x)),
                            )
                        }}
                    />
                    <Textarea
                        autosize
                        minRows={1}
                        aria-label={t('samplers.mistakeHowItLooks', { n: i + 1 })}
                        placeholder={t('samplers.howItLooks')}
                        value={m.looks}
                        maxLength={160}
                        onChange={(e) => {
                            const looks = e.currentTarget.value
                            wrong(
                                `${i} looks`,
                                mistakes.map((x, k) => (k === i ? { ...x, looks } : x)),
                            )
                        }}
                    />
                    <ActionIcon
                        variant="subtle"
                        aria-label={t('samplers.takeMistakeAway', { n: i + 1 })}
                        onClick={() =>
                            wrong(
                                `away ${i}`,
                                mistakes.filter((_, k) => k !== i),
                            )
                        }>
                        ×
                    </ActionIcon>
                </div>
            ))}
            {mistakes.length < MOST_MISTAKES && (
                <Button variant="subtle" onClick={() => wrong('new', [...mistakes, { mistake: '', looks: '' }])}>
                    {t('samplers.oneMistakeMore')}
                </Button>
            )}
        </>
    )
}
