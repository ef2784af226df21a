import { useDebouncedValue } from '@mantine/hooks'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { api, ask, type View } from '../../api/client'

/** A list of names as it is understood: for a class, or for one that is not there yet. */
export function useNames(text: string, id: string | null) {
    const [wanted] = useDebouncedValue(text.trim(), 150)
    const read = useQuery({
        queryKey: ['names', id ?? '', wanted],
        queryFn: (): Promise<View['NamesView']> =>
            id === null
                ? ask(api.POST('/api/students/read', { body: { text: wanted } }))
                : ask(api.POST('/api/classes/{class}/students/read', { params: { path: { class: id } }, body: { text: wanted } })),
        enabled: wanted !== '',
        placeholderData: keepPreviousData,
        gcTime: 60_000,
        retry: false,
    })
    const understood = text.trim() === '' ? undefined : read.data
    const people = understood?.people ?? []
    const fine = people.filter((p) => p.problem === null)
    return {
        understood,
        people,
        fine,
        error: read.error,
        /** All of what stands there was understood, and nothing is wrong with it. */
        ready: wanted === text.trim() && !read.isPlaceholderData && people.length > 0 && fine.length === people.length,
        /** As it is sent. */
        body: {
            students: people.map((p) => p.name),
            hands: Object.fromEntries(people.flatMap((p) => (p.hand === '' ? [] : [[p.name, p.hand] as const]))),
            own_machines: people.filter((p) => p.own_machine).map((p) => p.name),
        },
    }
}
