import { Button } from '@mantine/core'
import { Link } from 'react-router'
import { t } from '../app/text'
import { tellKept, useKept } from './kept'

/** Said at the foot of every place: what was kept last and who sews what next. */
export function KeptNotice({ classes }: { classes: string[] }) {
    const kept = useKept()
    if (kept === null || !classes.includes(kept.class)) return null
    return (
        <div className="kept" role="status">
            <span>
                {kept.waits
                    ? t('Kept on this device. {name}: it is sent when the line is back.', { name: kept.name })
                    : t('Kept. {name} sews next: {lesson}', { name: kept.name, lesson: kept.next })}
            </span>
            {!kept.waits && (
                <Link to={`/look/${kept.class}/${kept.student}?replaces=${kept.sample}`} onClick={() => tellKept(null)}>
                    {t('Correct it')}
                </Link>
            )}
            <Button variant="subtle" onClick={() => tellKept(null)}>
                {t('close')}
            </Button>
        </div>
    )
}
