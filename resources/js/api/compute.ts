import { useDebouncedValue } from '@mantine/hooks'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { api, ask } from './client'
import type { paths } from './schema'

export type Calculation = Extract<keyof paths, `/api/compute/${string}`>
export type Asked<N extends Calculation> = paths[N] extends { post: { requestBody: { content: { 'application/json': infer Body } } } } ? Body : never
export type Answered<N extends Calculation> = paths[N] extends { post: { responses: { 200: { content: { 'application/json': infer Body } } } } } ? Body : never

/** One calculation of the core, asked again a moment after its input changes. */
export function useCompute<N extends Calculation>(name: N, input: Asked<N> | null) {
    const [asked] = useDebouncedValue(input, 120)
    return useQuery({
        queryKey: ['compute', name, asked],
        // The client's types are one for each path; here the path is a parameter.
        queryFn: ({ signal }) =>
            ask<Answered<N>>(
                (api.POST as (path: N, init: object) => Promise<{ data?: Answered<N>; error?: unknown; response: Response }>)(name, { body: asked, signal }),
            ),
        enabled: asked !== null,
        placeholderData: keepPreviousData,
        staleTime: Infinity,
        gcTime: 3_600_000,
        retry: false,
    })
}
