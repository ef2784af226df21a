import { Popover, UnstyledButton } from '@mantine/core'
import { TERMS, type Term } from '../text/glossary'
import { t } from '../text/words'
import { cx } from './dress'

/** A word with its meaning one touch or one key away, where it stands first in a place. */
export function Word({ of }: { of: Term }) {
    return (
        <Popover width={300} position="bottom-start" withArrow>
            <Popover.Target>
                <UnstyledButton className={cx('word-key')} aria-label={t('glossary.whatIs', { word: t(TERMS[of][0]) })}>
                    {t('glossary.key')}
                </UnstyledButton>
            </Popover.Target>
            <Popover.Dropdown>
                <strong>{t(TERMS[of][0])}</strong>
                <p className={cx('word-is')}>{t(TERMS[of][1])}</p>
            </Popover.Dropdown>
        </Popover>
    )
}
