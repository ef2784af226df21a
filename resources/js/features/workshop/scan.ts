import { api, asBytes, type View } from '../../api/client'

export interface Shades {
    width: number
    height: number
    bytes: Uint8Array<ArrayBuffer>
}

/** What a picture's colours are as shades of grey (ITU-R BT.601 weights), one byte a pixel. */
export function shades(image: HTMLImageElement): Shades {
    const canvas = document.createElement('canvas')
    canvas.width = image.naturalWidth
    canvas.height = image.naturalHeight
    const paper = canvas.getContext('2d', { willReadFrequently: true })
    const bytes = new Uint8Array(canvas.width * canvas.height)
    if (paper !== null) {
        paper.drawImage(image, 0, 0)
        const { data } = paper.getImageData(0, 0, canvas.width, canvas.height)
        for (let i = 0; i < bytes.length; i++)
            bytes[i] = Math.round(0.299 * (data[4 * i] ?? 0) + 0.587 * (data[4 * i + 1] ?? 0) + 0.114 * (data[4 * i + 2] ?? 0))
    }
    return { width: canvas.width, height: canvas.height, bytes }
}

/** The shades as they are: the one call that does not send JSON. */
export async function sendScan(of: Shades, dpi: number): Promise<{ data?: View['ScanView']; error?: unknown; response: Response }> {
    return api.POST('/api/scans/read', { params: { query: { width: of.width, height: of.height, dpi } }, body: of.bytes as never, ...asBytes })
}
