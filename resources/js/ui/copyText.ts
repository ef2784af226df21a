/** Puts a text where it can be pasted from, also in a network without HTTPS, where the browser's own way is closed; whether it went. */
export async function copyText(text: string): Promise<boolean> {
    const clipboard = (navigator as Partial<Navigator>).clipboard
    if (clipboard !== undefined) {
        return clipboard.writeText(text).then(
            () => true,
            () => false,
        )
    }
    const field = document.createElement('textarea')
    field.value = text
    field.style.position = 'fixed'
    field.style.opacity = '0'
    document.body.append(field)
    const before = document.activeElement
    field.select()
    // The old way is the only one there.
    // eslint-disable-next-line @typescript-eslint/no-deprecated
    const went = document.execCommand('copy')
    field.remove()
    if (before instanceof HTMLElement) before.focus()
    return went
}
