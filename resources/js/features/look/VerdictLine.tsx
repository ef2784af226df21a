import { Button, TextInput, UnstyledButton } from '@mantine/core'
import { useState } from 'react'
import type { View } from '../../api/client'
import type { Own } from '../../keeping/store'
import { VERDICT_WORDS } from '../../text/verdicts'
import { t } from '../../text/words'
import { cx } from './dress'

interface Props {
    rule: View['CheckRuleView']
    check: View['CheckView'] | undefined
    compared?: View['ComparedView'] | undefined
    named: boolean
    own?: Own | undefined
    /** Left out where nothing can be said any more. */
    onOwn?: (own: Own | null) => void
}

/** One check under its reading: what is allowed, and as soon as it can be judged, the verdict with its number; the teacher may say otherwise. */
export function VerdictLine({ rule, check, compared, named, own, onOwn }: Props) {
    const [asking, setAsking] = useState(false)
    if (check?.verdict == null)
        return named ? (
            <p className={cx('verdict none')}>
                {rule.title}: {rule.allows}
            </p>
        ) : null
    const open = asking || own !== undefined
    if (!named && check.verdict === 'met' && !open) return null
    return (
        <>
            <p className={cx(`verdict ${check.verdict}`)}>
                {named && <b>{rule.title}</b>} <strong>{t(VERDICT_WORDS[check.verdict])}</strong>
                {named && check.text !== null && <>: {check.text}</>}
                {compared !== undefined && compared.how !== 'same' && (
                    <span className={cx(`compared ${compared.how}`)}>
                        {' '}
                        · {compared.how === 'better' ? t('look.betterThanBefore') : t('look.worseThanBefore')} ({compared.before})
                    </span>
                )}
                {check.again !== null && <em> {check.again}</em>}
                {check.overruled !== null && (
                    <span className={cx('overruled')}>
                        {' '}
                        · {t('look.yourWordTheReadingsSay', { because: check.overruled.because, verdict: t(VERDICT_WORDS[check.overruled.read]) })}
                    </span>
                )}
                {!open && onOwn !== undefined && (
                    <Button variant="subtle" className={cx('overrule')} aria-label={t('look.overrule2', { check: rule.title })} onClick={() => setAsking(true)}>
                        {t('look.overrule')}
                    </Button>
                )}
            </p>
            {check.habit !== null && check.overruled === null && <p className={cx('habit')}>{check.habit}</p>}
            {open && onOwn !== undefined && (
                <div className={cx('own-verdict')}>
                    <span role="group" aria-label={t('look.yourVerdict')}>
                        {(['met', 'near', 'not-yet'] as const).map((v) => (
                            <UnstyledButton key={v} aria-pressed={own?.verdict === v} onClick={() => onOwn({ verdict: v, because: own?.because ?? '' })}>
                                {t(VERDICT_WORDS[v])}
                            </UnstyledButton>
                        ))}
                    </span>
                    {own !== undefined && (
                        <TextInput
                            aria-label={t('look.because')}
                            placeholder={t('look.because2')}
                            maxLength={200}
                            value={own.because}
                            onChange={(e) => onOwn({ ...own, because: e.currentTarget.value })}
                        />
                    )}
                    <Button
                        variant="subtle"
                        onClick={() => {
                            setAsking(false)
                            onOwn(null)
                        }}>
                        {t('look.asRead')}
                    </Button>
                </div>
            )}
        </>
    )
}
