import js from '@eslint/js'
import imports from 'eslint-plugin-import-x'
import hooks from 'eslint-plugin-react-hooks'
import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript'
import tseslint from 'typescript-eslint'

const CATALOGUE = 'Words stand in resources/js/text/en.json: take t().'
const WORDS = [
    { selector: 'JSXText[value=/[A-Za-z]{3,}/]', message: CATALOGUE },
    { selector: 'JSXAttribute[name.name=/^(label|title|placeholder|alt|description|aria-label)$/] > Literal[value=/[A-Za-z]{3,}/]', message: CATALOGUE },
]
const CONTROLS = [
    { selector: 'JSXOpeningElement[name.name=/^(button|input|select|textarea)$/]', message: 'Take the component of @mantine/core, or one of resources/js/ui.' },
]

/** What may know what: words at the bottom, then the API, what is kept, drawings, controls, places, and the shell over all. */
const LAYERS = ['dress', 'text', 'api', 'keeping', 'drawing', 'ui', 'features', 'app']
const BESIDE = { keeping: ['ui'] }
const ARROWS = LAYERS.flatMap((layer, i) =>
    LAYERS.slice(i + 1)
        .filter((above) => !(BESIDE[layer] ?? []).includes(above))
        .map((above) => ({
            target: `./resources/js/${layer}`,
            from: `./resources/js/${above}`,
            message: `${layer}/ stands below ${above}/ and does not know it.`,
        })),
)

export default tseslint.config(
    { ignores: ['resources/js/api/schema.d.ts'] },
    js.configs.recommended,
    ...tseslint.configs.strictTypeChecked,
    hooks.configs.flat.recommended,
    {
        plugins: { 'import-x': imports },
        settings: { 'import-x/resolver-next': [createTypeScriptImportResolver({ project: './tsconfig.json' })] },
        languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
        rules: {
            '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
            '@typescript-eslint/no-confusing-void-expression': 'off',
            'import-x/no-cycle': 'error',
            'import-x/no-restricted-paths': ['error', { basePath: import.meta.dirname, zones: ARROWS }],
            'import-x/order': [
                'error',
                { groups: [['builtin', 'external'], 'parent', 'sibling'], alphabetize: { order: 'asc', caseInsensitive: true }, 'newlines-between': 'never' },
            ],
        },
    },
    {
        // No sentence stands in code: words are the catalogue's (resources/js/text/en.json).
        files: ['resources/js/**/*.tsx'],
        rules: { 'no-restricted-syntax': ['error', ...WORDS] },
    },
    {
        // A control is the component library's, or one of our own on it: never a second look for the same thing.
        files: ['resources/js/**/*.tsx'],
        ignores: ['resources/js/ui/**', 'resources/js/drawing/**'],
        rules: { 'no-restricted-syntax': ['error', ...WORDS, ...CONTROLS] },
    },
)
