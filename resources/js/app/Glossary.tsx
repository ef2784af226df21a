import { Modal, TextInput } from '@mantine/core'
import { useState } from 'react'
import { glossary } from '../text/glossary'
import { t } from '../text/words'
import { cx } from './dress'

/** Every word of the program that is not everybody's. */
export function Glossary({ opened, onClose }: { opened: boolean; onClose: () => void }) {
    const [typed, setTyped] = useState('')
    const wanted = typed.trim().toLowerCase()
    const found = glossary().filter(({ word, is }) => `${word} ${is}`.toLowerCase().includes(wanted))
    return (
        <Modal opened={opened} onClose={onClose} title={t('glossary.title')} size="lg">
            <TextInput data-autofocus label={t('glossary.find')} value={typed} onChange={(e) => setTyped(e.currentTarget.value)} />
            <dl className={cx('glossary')}>
                {found.map(({ term, word, is }) => (
                    <div key={term}>
                        <dt>{word}</dt>
                        <dd>{is}</dd>
                    </div>
                ))}
            </dl>
            {found.length === 0 && <p role="status">{t('glossary.none')}</p>}
        </Modal>
    )
}
