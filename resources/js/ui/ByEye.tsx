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
    const seen = row.fields.filter((f) => (f.kind === 'lengths' && f.size >= 3) || f.kind === 'stitches')
    const looks = useRowLooks(lesson, classId, open)
    if (seen.length === 0) return null
    const here = looks.data?.filter((l) => seen.some((f) => f.key === l.key)) ?? []
    return (
        <>
            <Button variant="subtle" onClick={() => setOpen(true)}>
                {t('look.byEye')}
            </Button>
            <Modal opened={open} onClose={() => setOpen(false)} size="xl" title={t('look.tapTheOneThatLooks')}>
                <Trouble error={looks.error} />
                {looks.data === undefined && looks.error === null && <Waiting what={t('common.looking')} />}
                {looks.data !== undefined && here.length === 0 && <p>{t('look.nothingToTapHere')}</p>}
                <div className={cx('by-eye')}>
                    {here.map((l, i) => (
                        <UnstyledButton
                            key={i}
                            onClick={() => {
                                onTake(l.key, l.typed)
                                setOpen(false)
                            }}>
                            <Drawn picture={l.picture} />
                            <span>
                                {l.says} <small>{t(VERDICT_WORDS[l.verdict])}</small>
                            </span>
                        </UnstyledButton>
                    ))}
                </div>
                <p className={cx('quiet')}>{t('look.readByEye')}</p>
            </Modal>
        </>
    )
}
