import { Button, Menu, TextInput } from '@mantine/core'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { api, ask } from '../../api/client'
import { useChange } from '../../api/queries'
import { t } from '../../app/text'
import { Sure } from '../../ui/Sure'
import { DeleteClass } from '../studio/DeleteClass'

/** The class itself: another name, put away, deleted. */
export function ClassData({ id, name }: { id: string; name: string }) {
    const navigate = useNavigate()
    const [doing, setDoing] = useState<'rename' | 'away' | 'delete' | null>(null)
    const [typed, setTyped] = useState(name)
    const path = { params: { path: { class: id } } }
    const rename = useChange(async () => {
        await ask(api.PATCH('/api/classes/{class}', { ...path, body: { name: typed } }))
        setDoing(null)
    })
    const away = useChange(async () => {
        await ask(api.POST('/api/classes/{class}/archive', path))
        await navigate('/studio')
    })
    return (
        <>
            <Menu position="bottom-start">
                <Menu.Target>
                    <Button variant="default">{t('Class')} ▾</Button>
                </Menu.Target>
                <Menu.Dropdown>
                    <Menu.Item onClick={() => setDoing('rename')}>{t('Another name')}</Menu.Item>
                    <Menu.Item onClick={() => setDoing('away')}>{t('Put away')}</Menu.Item>
                    <Menu.Divider />
                    <Menu.Item onClick={() => setDoing('delete')}>{t('Delete …')}</Menu.Item>
                </Menu.Dropdown>
            </Menu>
            <Sure
                title={t('Another name for the class')}
                act={t('Keep it')}
                opened={doing === 'rename'}
                error={rename.error}
                pending={rename.isPending}
                disabled={typed.trim() === ''}
                onClose={() => setDoing(null)}
                onAct={() => rename.mutate(undefined)}>
                <TextInput label={t('Name of the class')} value={typed} maxLength={80} onChange={(e) => setTyped(e.currentTarget.value)} />
            </Sure>
            <Sure
                title={t('Put “{name}” away?', { name })}
                act={t('Put away')}
                opened={doing === 'away'}
                error={away.error}
                pending={away.isPending}
                onClose={() => setDoing(null)}
                onAct={() => away.mutate(undefined)}>
                <p>{t('Nothing goes: it is not listed any more, and stands on the page of the studio.')}</p>
            </Sure>
            <DeleteClass of={doing === 'delete' ? { id, name } : null} onClose={() => setDoing(null)} />
        </>
    )
}
