import { ulid } from 'ulid'
import { api, asBytes, ask, Problem } from '../api/client'
import { t } from '../text/words'

/** A photo taken on this device, pinned to a row; it goes where its sample goes. */
export interface Photo {
    id: string
    row: string | null
    image: Blob
}

/** As many as the server keeps of one sample. */
export const MOST_PHOTOS = 6

const LONGEST = 1600

/** Drawn anew and small before it lies anywhere: what the camera wrote into the file, the place above all, stays behind. */
export async function takePhoto(file: Blob, row: string | null): Promise<Photo> {
    const unreadable = new Problem(422, 'photo', t('kept.thisPictureCannotBeRead'), '')
    const bitmap = await createImageBitmap(file).catch(() => {
        throw unreadable
    })
    const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height))
    const canvas = document.createElement('canvas')
    canvas.width = Math.max(1, Math.round(bitmap.width * scale))
    canvas.height = Math.max(1, Math.round(bitmap.height * scale))
    canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
    const image = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', 0.85))
    if (image === null) throw unreadable
    return { id: ulid().toLowerCase(), row, image }
}

/** Sent again it is still one photo: it has its id from here. */
export async function sendPhoto(sample: string, photo: Photo): Promise<void> {
    await ask(
        api.POST('/api/samples/{sample}/photos', {
            params: { path: { sample }, query: photo.row === null ? { id: photo.id } : { id: photo.id, row: photo.row } },
            body: photo.image as never,
            ...asBytes,
        }),
    )
}
