import { useQuery, type UseQueryResult } from '@tanstack/react-query'
import { ulid } from 'ulid'
import { api, ask, asBytes, noLine, Problem, type View } from '../../api/client'
import { t } from '../../text/words'
import type { Slip } from './slip'

/** As fine as is needed to see a stitch, and no finer: pixels of the longer side. */
const LONGEST = 2400

/** A picture made smaller and upright on this device, before it is sent anywhere. */
export interface Shot {
    id: string
    image: Blob
    width: number
    height: number
    /** So much smaller it was made. */
    scale: number
}

/** Drawn anew: what the camera wrote into the file, the place above all, stays behind. */
export async function shrink(file: Blob): Promise<Shot> {
    const unreadable = new Problem(422, 'picture', t('kept.thisPictureCannotBeRead'), '')
    const bitmap = await createImageBitmap(file).catch(() => {
        throw unreadable
    })
    return drawn(bitmap, bitmap.width, bitmap.height)
}

/** One that was made smaller elsewhere. */
export async function asItIs(image: Blob): Promise<Shot> {
    const bitmap = await createImageBitmap(image)
    return { id: ulid().toLowerCase(), image, width: bitmap.width, height: bitmap.height, scale: 1 }
}

/** What a camera shows now. */
export const still = (video: HTMLVideoElement): Promise<Shot> => drawn(video, video.videoWidth, video.videoHeight)

async function drawn(from: CanvasImageSource, wide: number, high: number): Promise<Shot> {
    const scale = Math.min(1, LONGEST / Math.max(wide, high))
    const canvas = document.createElement('canvas')
    canvas.width = Math.max(1, Math.round(wide * scale))
    canvas.height = Math.max(1, Math.round(high * scale))
    canvas.getContext('2d')?.drawImage(from, 0, 0, canvas.width, canvas.height)
    const image = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', 0.92))
    if (image === null) throw new Problem(422, 'picture', t('kept.thisPictureCannotBeRead'), '')
    return { id: ulid().toLowerCase(), image, width: canvas.width, height: canvas.height, scale }
}

/** Has a picture of one piece read; of a flat scan by its pixels an inch, else by the card. */
export type SendShot = (shot: Pick<Shot, 'image' | 'scale'>, piece: string, dpi: number | null) => Promise<View['ScannedSamplerView']>

/** As the lesson was sewn. Nothing of the picture is kept there. */
export const sendFor =
    (lesson: Pick<View['LessonView'], 'id' | 'version' | 'way'>, bare = false): SendShot =>
    (shot, piece, dpi) =>
        ask(
            api.POST('/api/scans/sampler', {
                params: {
                    query: {
                        lesson: lesson.id,
                        version: lesson.version,
                        way: JSON.stringify(lesson.way),
                        piece,
                        ...(bare ? { bare: 'yes' as const } : {}),
                        ...(dpi === null ? {} : { dpi: dpi * shot.scale }),
                    },
                },
                body: shot.image as never,
                ...asBytes,
            }),
        )

const AGAIN_MS = 3_000

/** A server that breaks on one picture is not asked for it for ever. */
const MOST_BROKEN = 2

/** Two of one teacher's are read at a time: the others are asked for again; so is what met no line. */
const again = (times: number, problem: Error) =>
    problem instanceof Problem && (problem.status === 500 ? times < MOST_BROKEN : noLine(problem) || problem.status === 429)

export interface Read {
    found: View['ScannedSamplerView']
    /** The slip that lies on the card; null: none can be read. */
    slip: Slip | null
}

/** What is asked of one picture: read once, and without a line as soon as there is one. */
export const readOf = (shot: Pick<Shot, 'id' | 'image' | 'scale'>, piece: string, dpi: number | null, send: SendShot) => ({
    queryKey: ['picture', shot.id, piece, dpi],
    queryFn: async (): Promise<Read> => {
        const found = await send(shot, piece, dpi)
        return { found, slip: found.slip.length === 0 ? null : await import('./slip').then(({ readSlip }) => readSlip(shot.image, found.slip)) }
    },
    staleTime: 'static' as const,
    retry: again,
    retryDelay: AGAIN_MS,
})

/** The picture in hand; none: nothing is asked. */
export const useShot = (shot: Shot | null, piece: string, dpi: number | null, send: SendShot): UseQueryResult<Read> =>
    useQuery({ ...readOf(shot ?? { id: '', image: new Blob(), scale: 1 }, piece, dpi, send), enabled: shot !== null })

/** Everything that was read, by reading. */
export const readingsOf = (found: View['ScannedSamplerView'] | undefined): Record<string, string[]> =>
    Object.assign({}, ...(found?.rows ?? []).map((r) => r.readings)) as Record<string, string[]>

/** Why a picture, or a row in it, cannot be read, and what to do. */
export function cannotSay(why: string): string {
    const said: Record<string, string> = {
        'no-card': t('picture.noCard'),
        'several-cards': t('picture.severalCards'),
        mirrored: t('picture.mirrored'),
        'too-steep': t('picture.tooSteep'),
        'not-flat': t('picture.notFlat'),
        shadow: t('picture.shadow'),
        'no-piece': t('picture.noPiece'),
        'cut-off': t('picture.cutOff'),
        'several-pieces': t('picture.severalPieces'),
        'too-small': t('picture.tooSmall'),
        blurred: t('picture.blurred'),
        'other-piece': t('picture.otherPiece'),
        'upside-down': t('picture.upsideDown'),
        'no-row': t('picture.noRow'),
        'which-line': t('picture.whichLine'),
        'no-stitches': t('picture.noStitches'),
        'no-fold': t('picture.noFold'),
        'off-piece': t('picture.offPiece'),
    }
    return said[why] ?? t('picture.noRow')
}
