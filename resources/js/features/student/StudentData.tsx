import { Button, Menu, NativeSelect, TextInput } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { api, ask, type View } from '../../api/client'
import { useChange, useMe } from '../../api/queries'
import { t } from '../../text/words'
import { Sure } from '../../ui/Sure'

/** What belongs to the student: renamed, moved, taken along as a file, deleted. */
export function StudentData({ id, s }: { id: string; s: View['StudentView'] }) {
    const me = useMe().data
    const navigate = useNavigate()
    const [doing, setDoing] = useState<'rename' | 'move' | 'out' | 'delete' | null>(null)
    const [name, setName] = useState(s.name)
    const others = (me?.classes ?? []).filter((c) => c.id !== id)
    const [to, setTo] = useState(others[0]?.id ?? '')
    const path = { params: { path: { class: id, student: s.student } } }
    const done = () => setDoing(null)
    const goes = useQuery({
        queryKey: ['goes', s.student],
        queryFn: () => ask(api.GET('/api/classes/{class}/students/{student}/goes', path)),
        enabled: doing === 'delete',
    })
    const rename = useChange('people', async () => {
        await ask(api.PUT('/api/classes/{class}/students/{student}/name', { ...path, body: { name } }))
        done()
    })
    const move = useChange('people', async () => {
        await ask(api.POST('/api/classes/{class}/students/{student}/move', { ...path, body: { to } }))
        await navigate(`/class/${to}/student/${s.student}`)
    })
    const out = useChange('people', async () => {
        await ask(api.DELETE('/api/classes/{class}/students/{student}/seat', path))
        await navigate(`/class/${id}`)
    })
    const remove = useChange('people', async () => {
        await ask(api.DELETE('/api/classes/{class}/students/{student}', path))
        await navigate(`/class/${id}`)
    })
    const file = (as: string) => `/api/classes/${id}/students/${s.student}/data?as=${as}`
    return (
        <>
            <Menu position="bottom-end">
                <Menu.Target>
                    <Button variant="default">{t('student.data')} ▾</Button>
                </Menu.Target>
                <Menu.Dropdown>
                    <Menu.Item onClick={() => setDoing('rename')}>{t('common.anotherName')}</Menu.Item>
                    {others.length > 0 && <Menu.Item onClick={() => setDoing('move')}>{t('student.toAnotherClassWithHistory')}</Menu.Item>}
                    <Menu.Item onClick={() => setDoing('out')}>{t('student.takeOutOfThisClass')}</Menu.Item>
                    <Menu.Divider />
                    <Menu.Item component="a" href={file('pdf')}>
                        {t('student.everythingThatIsKeptTo')}
                    </Menu.Item>
                    <Menu.Item component="a" href={file('json')}>
                        {t('student.everythingThatIsKeptAs')}
                    </Menu.Item>
                    <Menu.Divider />
                    <Menu.Item onClick={() => setDoing('delete')}>{t('common.delete')}</Menu.Item>
                </Menu.Dropdown>
            </Menu>
            <Sure
                title={t('student.anotherNameFor', { name: s.name })}
                act={t('common.keepIt')}
                opened={doing === 'rename'}
                error={rename.error}
                pending={rename.isPending}
                disabled={name.trim() === ''}
                onClose={done}
                onAct={() => rename.mutate(undefined)}>
                <TextInput label={t('student.theNameTheyGoBy')} value={name} maxLength={60} onChange={(e) => setName(e.currentTarget.value)} />
            </Sure>
            <Sure
                title={t('student.changesClass', { name: s.name })}
                act={t('student.move')}
                opened={doing === 'move'}
                error={move.error}
                pending={move.isPending}
                onClose={done}
                onAct={() => move.mutate(undefined)}>
                <NativeSelect
                    label={t('common.to')}
                    value={to}
                    data={others.map((c) => ({ value: c.id, label: c.title }))}
                    onChange={(e) => setTo(e.currentTarget.value)}
                />
                <p>{t('student.allSamplesAndLevelsCome')}</p>
            </Sure>
            <Sure
                title={t('student.takeOutOfThisClass2', { name: s.name })}
                act={t('student.takeOut')}
                opened={doing === 'out'}
                error={out.error}
                pending={out.isPending}
                onClose={done}
                onAct={() => out.mutate(undefined)}>
                <p>{t('student.theHistoryStaysWhoeverComes')}</p>
            </Sure>
            <Sure
                title={t('student.delete2', { name: s.name })}
                act={t('student.delete')}
                opened={doing === 'delete'}
                error={remove.error}
                pending={remove.isPending}
                disabled={goes.data === undefined}
                onClose={done}
                onAct={() => remove.mutate(undefined)}>
                {goes.data !== undefined && (
                    <p>
                        {t('student.samplesAndPhotosNotesAnd', {
                            samples: t('count.samples', { n: goes.data.samples }),
                            photos: t('count.photos', { n: goes.data.photos }),
                            day: goes.data.until,
                        })}
                    </p>
                )}
            </Sure>
        </>
    )
}
