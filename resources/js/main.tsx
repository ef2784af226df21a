import '@fontsource-variable/atkinson-hyperlegible-mono/index.css'
import '@fontsource-variable/atkinson-hyperlegible-next/index.css'
import './app/app.css'
import '@mantine/core/styles.layer.css'
import { MantineProvider } from '@mantine/core'
import { QueryClientProvider } from '@tanstack/react-query'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { BrowserRouter } from 'react-router'
import { queries } from './api/queries'
import { App } from './app/App'
import { printLight } from './app/paper'
import { theme, variables } from './app/theme'
import { seen } from './keeping/seen'
import { keeping } from './keeping/store'
import { version } from './keeping/version'

const nonce = document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content ?? ''
const look = theme()
const root = document.getElementById('root')

/** Where there is no database in the browser the application works all the same, and keeps nothing over a closed tab. */
const start = () => {
    if (root === null) return
    createRoot(root).render(
        <StrictMode>
            <MantineProvider theme={look} cssVariablesResolver={variables} defaultColorScheme="auto" getStyleNonce={() => nonce}>
                <QueryClientProvider client={queries}>
                    <BrowserRouter>
                        <App />
                    </BrowserRouter>
                </QueryClientProvider>
            </MantineProvider>
        </StrictMode>,
    )
}

printLight()
void Promise.all([keeping.ready, seen.open()])
    .then(start, start)
    .then(() => version.start())
