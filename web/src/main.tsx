import '@fontsource-variable/inter'
import '@fontsource-variable/source-serif-4'
import './index.css'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { App } from './app/App'
import { keepScreens } from './app/keepScreens'

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <App />
  </StrictMode>,
)

keepScreens()
