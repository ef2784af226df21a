import { api, Problem, type View } from '../../api/client'
import { t } from '../../text/words'

/** As fine as is needed to see a stitch, and no finer: pixels of the longer side. */
const LONGEST = 2400

/** A picture made smaller and upright on this device, before it is sent anywhere. */
export interface Shot {
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
    return { image, width: canvas.width, height: canvas.height, scale }
}

export interface Asked {
    lesson: View['LessonView']
    piece: string
    /** Of a flat scan; null: a photograph on the card. */
    dpi: number | null
}

/** The picture as it is: nothing of it is kept there. */
export async function sendShot(shot: Shot, of: Asked): Promise<{ data?: View['ScannedSamplerView']; error?: unknown; response: Response }> {
    return api.POST('/api/scans/sampler', {
        params: {
            query: {
                lesson: of.lesson.id,
                version: of.lesson.version,
                way: JSON.stringify(of.lesson.way),
                piece: of.piece,
                ...(of.dpi === null ? {} : { dpi: of.dpi * shot.scale }),
            },
        },
        body: shot.image as never,
        bodySerializer: (body) => body as unknown as BodyInit,
        headers: { 'Content-Type': 'application/octet-stream' },
    })
}

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
        'off-piece': t('picture.offPiece'),
    }
    return said[why] ?? t('picture.noRow')
}
