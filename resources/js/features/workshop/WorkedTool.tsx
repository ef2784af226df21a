import { TextInput } from '@mantine/core'
import { useDebouncedValue } from '@mantine/hooks'
import { useState } from 'react'
import { Link } from 'react-router'
import { useMe, useSettingsLog } from '../../api/queries'
import { day } from '../../text/time'
import { t } from '../../text/words'
import { Empty } from '../../ui/Empty'
import { Trouble, Waiting } from '../../ui/Trouble'
import { cx } from './dress'

/** What worked on which machine with which cloth: of good samples only, found again by a few words. */
export function WorkedTool() {
    const [typed, setTyped] = useState('')
    const [asked] = useDebouncedValue(typed.trim(), 200)
    const log = useSettingsLog(asked)
    const zone = useMe().data?.timezone ?? 'UTC'
    return (
        <div className={cx('worked')}>
            <TextInput
                label={t('workshop.machineClothFootLesson')}
                className={cx('worked-find')}
                value={typed}
                maxLength={80}
                placeholder={t('workshop.window1Jersey')}
                onChange={(e) => setTyped(e.currentTarget.value)}
            />
            <p className={cx('quiet')}>{t('workshop.settingsOfSamplesThatWere')}</p>
            <Trouble error={log.error} />
            {log.data === undefined && log.error === null && <Waiting what={t('common.looking')} />}
            {log.data?.length === 0 && <Empty>{asked === '' ? t('workshop.nothingYetFillInSewn') : t('workshop.nothingGoodWasKeptWith')}</Empty>}
            {log.data !== undefined && log.data.length > 0 && (
                <div className={cx('wide-table')} role="region" aria-label={t('common.lesson')} tabIndex={0}>
                    <table className={cx('checks')}>
                        <thead>
                            <tr>
                                <th>{t('common.lesson')}</th>
                                <th>{t('common.machine')}</th>
                                <th>{t('common.cloth')}</th>
                                <th>{t('common.foot')}</th>
                                <th>{t('common.needle')}</th>
                                <th>{t('common.length')}</th>
                                <th>{t('common.width')}</th>
                                <th>{t('common.tension')}</th>
                                <th>{t('workshop.last')}</th>
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
                                        {s.times > 1 && <small>{t('workshop.times', { n: s.times })}</small>}
                                    </td>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                </div>
            )}
        </div>
    )
}
