import { Autocomplete } from '@mantine/core'
import { useDebouncedValue } from '@mantine/hooks'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { api, ask } from '../../api/client'
import { useChange } from '../../api/queries'
import { t } from '../../text/words'
import { Trouble } from '../../ui/Trouble'

/** Somebody who was in a class of the studio before comes back with their history. */
export function Returning({ id }: { id: string }) {
    const [typed, setTyped] = useState('')
    const [q] = useDebouncedValue(typed.trim(), 200)
    const known = useQuery({ queryKey: ['known', q], queryFn: () => ask(api.GET('/api/students', { params: { query: { q } } })), enabled: q !== '' })
    const label = (k: { name: string; was: string }) => `${k.name} (${k.was})`
    const back = useChange('people', async (student: string) => {
        await ask(api.POST('/api/classes/{class}/students', { params: { path: { class: id } }, body: { students: [], returning: [student] } }))
        setTyped('')
    })
    return (
        <>
            <Autocomplete
                label={t('class.orSomebodyWhoWasHere')}
                value={typed}
                onChange={setTyped}
                data={[...new Set((known.data ?? []).map(label))]}
                filter={({ options }) => options}
                onOptionSubmit={(chosen) => {
                    const found = known.data?.find((k) => label(k) === chosen)
                    if (found !== undefined) back.mutate(found.id)
                }}
            />
            <Trouble error={back.error} />
        </>
    )
}
