import { TextInput } from '@mantine/core'
import { useDebouncedValue } from '@mantine/hooks'
import { useState } from 'react'
import { Link } from 'react-router'
import { useMe, useSettingsLog } from '../../api/queries'
import { t } from '../../app/text'
import { day } from '../../app/time'
import { Trouble, Waiting } from '../../ui/Trouble'

/** What worked on which machine with which cloth: of good samples only, found again by a few words. */
export function WorkedTool() {
    const [typed, setTyped] = useState('')
    const [asked] = useDebouncedValue(typed.trim(), 200)
    const log = useSettingsLog(asked)
    const zone = useMe().data?.timezone ?? 'UTC'
    return (
        <div className="worked">
            <TextInput
                label={t('Machine, cloth, foot, lesson …')}
                className="worked-find"
                value={typed}
                maxLength={80}
                placeholder={t('Window 1 jersey')}
                onChange={(e) => setTyped(e.currentTarget.value)}
            />
            <p className="quiet">{t('Settings of samples that were met. They hold for that machine and that cloth; test on scrap first.')}</p>
            <Trouble error={log.error} />
            {log.data === undefined && log.error === null && <Waiting what={t('Looking')} />}
            {log.data?.length === 0 && (
                <p className="empty">
                    {asked === '' ? t('Nothing yet: fill in “Sewn with” when you look at a sample.') : t('Nothing good was kept with these words.')}
                </p>
            )}
            {log.data !== undefined && log.data.length > 0 && (
                <table className="checks">
                    <thead>
                        <tr>
                            <th>{t('Lesson')}</th>
                            <th>{t('Machine')}</th>
                            <th>{t('Cloth')}</th>
                            <th>{t('Foot')}</th>
                            <th>{t('Needle')}</th>
                            <th>{t('Length')}</th>
                            <th>{t('Width')}</th>
                            <th>{t('Tension')}</th>
                            <th>{t('Last')}</th>
                        </tr>
                    </thead>
                    <tbody>
                        {log.data.map((s) => (
                            <tr key={JSON.stringify(s)}>
                                <th scope="row">
                                    <Link to={`/samplers/${s.lesson}`}>{s.title}</Link>
                                    {s.note !== '' && <small>{s.note}</small>}
                                </th>
                                <td>{s.machine}</td>
                                <td>{s.cloth}</td>
                                <td>{s.foot}</td>
                                <td>{s.needle}</td>
                                <td>{s.length}</td>
                                <td>{s.width}</td>
                                <td>{s.tension}</td>
                                <td>
                                    {day(s.last_at, zone)}
                                    {s.times > 1 && <small>{t('{n} times', { n: s.times })}</small>}
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            )}
        </div>
    )
}
