import type { View } from '../../api/client'
import { t } from '../../app/text'

const WORDS = { met: 'met', near: 'near', 'not-yet': 'not yet', unsure: 'too close to call' } as const

/** One check under its reading: what is allowed, and as soon as it can be judged, the verdict with its number. */
export function VerdictLine({ rule, check, named }: { rule: View['CheckRuleView']; check: View['CheckView'] | undefined; named: boolean }) {
    if (check?.verdict == null) return named ? <p className="verdict none">{rule.title}: {rule.allows}</p> : null
    if (!named && check.verdict === 'met') return null
    return (
        <p className={`verdict ${check.verdict}`}>
            {named && <b>{rule.title}</b>} <strong>{t(WORDS[check.verdict])}</strong>
            {named && check.text !== null && <>: {check.text}</>}
            {check.again !== null && <em> {check.again}</em>}
        </p>
    )
}
