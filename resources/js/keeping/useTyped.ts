import { useLocalStorage } from '@mantine/hooks'

/**
 * What is typed in a form, kept on this device until it is sent: closing the dialog, the tab or the device loses nothing.
 * With everything else of a studio it goes at sign-out.
 */
export function useTyped<T>(key: string, empty: T): [T, (value: T) => void, () => void] {
    const [value, set, forget] = useLocalStorage<T>({ key: `seam-typed:${key}`, defaultValue: empty, getInitialValueInEffect: false })
    return [value, set, forget]
}
