/** The library's own mark of the scheme that is shown. */
const SCHEME = 'data-mantine-color-scheme'

/** Paper is light: whoever prints from the dark gets dark ink on a white page, and the dark back afterwards. */
export function printLight(): void {
    const paper = window.matchMedia('print')
    const root = document.documentElement
    let shown: string | null = null
    const turn = () => {
        if (paper.matches) {
            shown = root.getAttribute(SCHEME)
            root.setAttribute(SCHEME, 'light')
        } else if (shown !== null) {
            root.setAttribute(SCHEME, shown)
            shown = null
        }
    }
    paper.addEventListener('change', turn)
}
