import { noLine, type View } from '../../api/client'
import { lookAt, useLessons, useLook, type LookOf } from '../../api/queries'
import { seen } from '../../keeping/seen'

interface Sheet {
    look: View['LookView'] | undefined
    error: unknown
    /** Samples of this lesson that the server knew; null: nobody could ask it. */
    known: number | null
}

/**
 * The sheet of one student's sample. Without a line any lesson of the shelf can be looked at: its sheet is laid
 * together of the student's last one and the lesson; of a sample that is put right, of what was typed then.
 */
export function useSheet(id: string, student: string, of: LookOf): Sheet {
    const read = useLook(id, student, of)
    const lessons = useLessons(id)
    const look = read.data
    if (look !== undefined) return { look, error: read.error, known: look.number - 1 }
    const corrected = of.replaces == null ? undefined : (seen.of(['sample', of.replaces]) as View['SampleView'] | undefined)
    const last = seen.of(lookAt(id, student).queryKey) as View['LookView'] | undefined
    const lesson = corrected?.sheet ?? lessons.data?.find((l) => l.id === (corrected?.lesson ?? of.lesson))
    const unknown = of.replaces != null && corrected === undefined
    if (!noLine(read.error) || unknown || last === undefined || lesson === undefined) return { look, error: read.error, known: null }
    return { look: { ...last, lesson, drill: null, earlier: [], dials: [], cannot: null, replaced: corrected?.typed ?? null }, error: null, known: null }
}
