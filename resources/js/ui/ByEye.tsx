import { Button, Modal, UnstyledButton } from '@mantine/core'
import { useState } from 'react'
import type { View } from '../api/client'
import { useRowLooks } from '../api/queries'
import { Drawn } from '../drawing/Drawn'
import { VERDICT_WORDS } from '../text/verdicts'
import { t } from '../text/words'
import { cx } from './dress'
import { Trouble, Waiting } from './Trouble'

interface Props {
    lesson: string
    classId: string
    row: View['RowView']
    /** What is typed for a reading of the row. */
    onTake: (key: string, typed: string[]) => void
}

/** Without a ruler: the picture that looks like the row is tapped, and taken as read by eye. Nothing where no reading can be seen so. */
export function ByEye({ lesson, classId, row, onTake }: Props) {
    const [open, setOpen] = useState(false)
    const [taken, setTaken] = useState<string[]>([])
    const seen = row.fields.filter((f) => f.seen)
    const looks = useRowLooks(lesson, classId, open)
    if (seen.length === 0) return null
    const begin = () => {
        setTaken([])
        setOpen(true)
    }
    // Whoever has tapped all there is goes back to the sheet.
    const take = (look: View['RowLookView']) => {
        onTake(look.key, look.typed)
        const now = [...taken, look.key]
        setTaken(now)
        if (new Set(here.map((l) => l.key)).size <= new Set(now).size) setOpen(false)
    }
    const here = looks.data?.filter((l) => seen.some((f) => f.key === l.key)) ?? []
    return (
        <>
            <Button variant="subtle" onClick={begin}>
                {t('look.byEye')}
            </Button>
            <Modal opened={open} onClose={() => setOpen(false)} size="min(1200px, 96vw)" title={t('look.tapTheOneThatLooks')}>
                <Trouble error={looks.error} />
                {looks.data === undefined && looks.error === null && <Waiting what={t('common.looking')} />}
                {looks.data !== undefined && here.length === 0 && <p>{t('look.nothingToTapHere')}</p>}
                {seen.map((field) => {
                    const looks = here.filter((l) => l.key === field.key)
                    return looks.length === 0 ? null : (
                        <section key={field.key} className={cx('by-eye')}>
                            <h3>
                                {field.label} {taken.includes(field.key) && <span className={cx('quiet')}>{t('look.taken')}</span>}
                            </h3>
                            {looks.map((l, i) => (
                                <UnstyledButton key={i} aria-label={`${field.label}: ${l.says}`} onClick={() => take(l)}>
                                    <Drawn picture={l.picture} />
                                    <span>
                                        {l.says} <small>{t(VERDICT_WORDS[l.verdict])}</small>
                                    </span>
                                </UnstyledButton>
                            ))}
                        </section>
                    )
                })}
                <p className={cx('quiet')}>{t('look.readByEye')}</p>
            </Modal>
        </>
    )
}
