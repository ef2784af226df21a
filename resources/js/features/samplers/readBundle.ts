import { Problem } from '../../api/client'
import { t } from '../../text/words'

/** As much as the server takes: a bundle of a whole course is about 150 kB. */
const LARGEST_BYTES = 2 * 1024 * 1024

/** The bundle in a file that was chosen. A file that went away meanwhile is not called a wrong one. */
export async function readBundle(file: File): Promise<Record<string, unknown>> {
    const refuse = (status: number, said: string) => new Problem(status, '(file)', said, t('samplers.nothingWasChanged'))
    if (file.size > LARGEST_BYTES) throw refuse(413, t('samplers.hasMbABundleCan', { name: file.name, mb: (file.size / 1024 / 1024).toFixed(1) }))
    const text = await file.text().catch(() => {
        throw refuse(422, t('samplers.couldNotBeRead', { name: file.name }))
    })
    const json = parsed(text)
    if (typeof json !== 'object' || json === null || Array.isArray(json)) throw refuse(422, t('samplers.isNoCourseBundleIt', { name: file.name }))
    return json as Record<string, unknown>
}

function parsed(text: string): unknown {
    try {
        return JSON.parse(text)
    } catch {
        return null
    }
}
