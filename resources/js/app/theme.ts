import {
    Anchor,
    Button,
    Checkbox,
    createTheme,
    Input,
    Menu,
    Progress,
    Radio,
    SegmentedControl,
    Slider,
    UnstyledButton,
    type CSSVariablesResolver,
    type MantineColorsTuple,
} from '@mantine/core'
import { t } from '../text/words'
import look from './controls.module.css'

const madder: MantineColorsTuple = ['#fbeeec', '#f3d9d5', '#e6b0a9', '#d9857a', '#ce6152', '#c74b39', '#A63A2B', '#8f3024', '#7a281d', '#631f16']
const indigo: MantineColorsTuple = ['#eef0f5', '#d9dde6', '#b0b8ca', '#8490ad', '#606f95', '#4a5a86', '#22304A', '#1e2a41', '#182236', '#11192a']
/** Denim by night: the library's own dark surfaces (4: edges, 6: fields, 7: ground) from the same cloth. */
const dark: MantineColorsTuple = ['#EFE8D8', '#D5D6D3', '#B9C0CF', '#8A96AE', '#3E4C66', '#344059', '#1B2536', '#1B2536', '#162030', '#101826']

/** Made when the program starts: what the library itself says has to be in the reader's words. */
export const theme = () =>
    createTheme({
        fontFamily: '"Atkinson Hyperlegible Next Variable", sans-serif',
        fontFamilyMonospace: '"Atkinson Hyperlegible Mono Variable", monospace',
        headings: { fontFamily: '"Atkinson Hyperlegible Next Variable", sans-serif', fontWeight: '650' },
        fontSizes: { xs: '0.9375rem', sm: '1rem', md: '1.0625rem', lg: '1.1875rem', xl: '1.375rem' },
        colors: { madder, indigo, dark },
        primaryColor: 'indigo',
        primaryShade: { light: 6, dark: 4 },
        defaultRadius: 4,
        cursorType: 'pointer',
        // Whoever asked their system for less motion gets none.
        respectReducedMotion: true,
        components: {
            // Locking the scroll would write a style sheet of its own, which the content policy refuses.
            // The head of a dialog is no banner of the page.
            Modal: {
                defaultProps: { attributes: { header: { role: 'presentation' } }, lockScroll: false, closeButtonProps: { 'aria-label': t('common.close') } },
            },
            Drawer: {
                defaultProps: { attributes: { header: { role: 'presentation' } }, lockScroll: false, closeButtonProps: { 'aria-label': t('common.close') } },
            },
            PasswordInput: { defaultProps: { visibilityToggleButtonProps: { 'aria-label': t('common.showWhatIsTyped') } } },
            // Where it was opened, and nothing in it but what can be chosen.
            Menu: Menu.extend({ defaultProps: { withinPortal: false, withInitialFocusPlaceholder: false }, classNames: { item: look.choice } }),
            Anchor: Anchor.extend({ classNames: { root: look.anchor } }),
            Slider: Slider.extend({ defaultProps: { size: 'sm' }, classNames: { bar: look.bar, thumb: look.thumb, track: look.track } }),
            Button: Button.extend({ defaultProps: { variant: 'filled' }, classNames: { root: look.button, inner: look.inner, label: look.words } }),
            UnstyledButton: UnstyledButton.extend({ classNames: { root: look.press } }),
            Input: Input.extend({ classNames: { wrapper: look.field, input: look.input } }),
            InputWrapper: Input.Wrapper.extend({ classNames: { label: look.label, error: look.error } }),
            Progress: Progress.extend({ classNames: { root: look.gauge } }),
            SegmentedControl: SegmentedControl.extend({ classNames: { root: look.segments, label: look['segments-label'] } }),
            Checkbox: Checkbox.extend({
                defaultProps: { size: 'md', color: 'var(--ink)', iconColor: 'var(--ground)' },
                classNames: { root: look.tick, label: look['tick-label'], body: look['tick-body'] },
            }),
            Radio: Radio.extend({
                defaultProps: { size: 'md', color: 'var(--ink)', iconColor: 'var(--ground)' },
                classNames: { root: look.tick, label: look['tick-label'], body: look['tick-body'] },
            }),
        },
    })

/** The library's own surfaces take the workroom's colours, set in app.css for both schemes. */
const surfaces = {
    '--mantine-color-body': 'var(--ground)',
    '--mantine-color-text': 'var(--ink)',
    '--mantine-color-dimmed': 'var(--ink2)',
    '--mantine-color-error': 'var(--madder)',
    '--mantine-color-placeholder': 'var(--ink2)',
}

export const variables: CSSVariablesResolver = () => ({ variables: {}, light: surfaces, dark: surfaces })
