import { Button } from '@mantine/core'
import type { View } from '../../api/client'
import { t } from '../../text/words'
import { LEVEL_WORDS, ThreadLine } from '../../ui/ThreadLine'
import { cx } from './dress'

/** Skills in thread lines, by strand. */
export function Threads({ skills, onOpen }: { skills: View['StudentSkillView'][]; onOpen?: (skill: string) => void }) {
    const strands = [...new Set(skills.map((s) => s.strand))]
    return (
        <div className={cx('threads')}>
            {strands.map((strand) => (
                <section key={strand}>
                    <h3>{strand}</h3>
                    <ul className={cx('plain')}>
                        {skills
                            .filter((s) => s.strand === strand)
                            .map((s) => (
                                <li key={s.id}>
                                    {onOpen === undefined ? (
                                        <span>{s.title}</span>
                                    ) : (
                                        <Button variant="subtle" onClick={() => onOpen(s.id)}>
                                            {s.title}
                                        </Button>
                                    )}
                                    <ThreadLine level={s.level} width={72} label="" />
                                    <small>{t(LEVEL_WORDS[s.level])}</small>
                                </li>
                            ))}
                    </ul>
                </section>
            ))}
        </div>
    )
}
