import { Button, Menu, TextInput } from '@mantine/core'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { api, ask } from '../../api/client'
import { useChange } from '../../api/queries'
import { t } from '../../text/words'
import { Sure } from '../../ui/Sure'
import { DeleteClass } from '../studio/DeleteClass'

/** The class itself: another name, put away, deleted. */
export function ClassData({ id, name }: { id: string; name: string }) {
    const navigate = useNavigate()
    const [doing, setDoing] = useState<'rename' | 'away' | 'delete' | null>(null)
    const [typed, setTyped] = useState(name)
    const path = { params: { path: { class: id } } }
    const rename = useChange('people', async () => {
        await ask(api.PATCH('/api/classes/{class}', { ...path, body: { name: typed } }))
        setDoing(null)
    })
    const away = useChange('people', async () => {
        await ask(api.POST('/api/classes/{class}/archive', path))
        await navigate('/studio')
    })
    return (
        <>
            <Menu position="bottom-start">
                <Menu.Target>
                    <Button variant="default">{t('common.class')} ▾</Button>
                </Menu.Target>
                <Menu.Dropdown>
                    <Menu.Item onClick={() => setDoing('rename')}>{t('common.anotherName')}</Menu.Item>
                    <Menu.Item component={Link} to={`/class/${id}/end`}>
                        {t('class.theEndOfTheCourse')}
                    </Menu.Item>
                    <Menu.Item onClick={() => setDoing('away')}>{t('common.putAway')}</Menu.Item>
                    <Menu.Divider />
                    <Menu.Item onClick={() => setDoing('delete')}>{t('common.delete')}</Menu.Item>
                </Menu.Dropdown>
            </Menu>
            <Sure
                title={t('class.anotherNameForTheClass')}
                act={t('common.keepIt')}
                opened={doing === 'rename'}
                error={rename.error}
                pending={rename.isPending}
                disabled={typed.trim() === ''}
                onClose={() => setDoing(null)}
                onAct={() => rename.mutate(undefined)}>
                <TextInput label={t('common.nameOfTheClass')} value={typed} maxLength={80} onChange={(e) => setTyped(e.currentTarget.value)} />
            </Sure>
            <Sure
                title={t('class.putAway', { name })}
                act={t('common.putAway')}
                opened={doing === 'away'}
                error={away.error}
                pending={away.isPending}
                onClose={() => setDoing(null)}
                onAct={() => away.mutate(undefined)}>
                <p>{t('class.nothingGoesItIsNot')}</p>
            </Sure>
            <DeleteClass of={doing === 'delete' ? { id, name } : null} onClose={() => setDoing(null)} />
        </>
    )
}
