import { BinaryBitmap, DecodeHintType, HybridBinarizer, QRCodeReader, RGBLuminanceSource } from '@zxing/library'

/** As large as is needed for its squares to be told apart, pixels. */
const SIDE = 640

const SLIP = /^SLIP:([0-9A-Z]{26})(?::([0-9A-Z-]+))?$/

export interface Slip {
    student: string
    /** That it is for; null: for any. */
    lesson: string | null
}

/** The slip that lies in that part of the picture; null: there is none, or it cannot be read. */
export async function readSlip(image: Blob, corners: readonly number[][]): Promise<Slip | null> {
    const bitmap = await createImageBitmap(image)
    const [xs, ys] = [corners.map((c) => c[0] ?? 0), corners.map((c) => c[1] ?? 0)]
    const [left, top] = [Math.max(0, Math.min(...xs)), Math.max(0, Math.min(...ys))]
    const [wide, high] = [Math.min(bitmap.width, Math.max(...xs)) - left, Math.min(bitmap.height, Math.max(...ys)) - top]
    if (wide < 20 || high < 20) return null
    const scale = Math.max(1, SIDE / Math.max(wide, high))
    const canvas = document.createElement('canvas')
    canvas.width = Math.round(wide * scale)
    canvas.height = Math.round(high * scale)
    const context = canvas.getContext('2d', { willReadFrequently: true })
    if (context === null) return null
    context.drawImage(bitmap, left, top, wide, high, 0, 0, canvas.width, canvas.height)
    const { data } = context.getImageData(0, 0, canvas.width, canvas.height)
    const light = new Uint8ClampedArray(canvas.width * canvas.height)
    for (let i = 0; i < light.length; i++) light[i] = ((data[4 * i] ?? 0) + 2 * (data[4 * i + 1] ?? 0) + (data[4 * i + 2] ?? 0)) / 4
    try {
        const source = new RGBLuminanceSource(light, canvas.width, canvas.height)
        const said = new QRCodeReader().decode(new BinaryBitmap(new HybridBinarizer(source)), new Map([[DecodeHintType.TRY_HARDER, true]])).getText()
        const [, student, lesson] = SLIP.exec(said) ?? []
        return student === undefined ? null : { student: student.toLowerCase(), lesson: lesson?.toLowerCase() ?? null }
    } catch {
        // The library tells by throwing that there is none.
        return null
    }
}
