import { useEffect, useState } from 'react'

type Theme = 'light' | 'dark'

function initial(): Theme {
  const kept = localStorage.getItem('istmo.paper')
  if (kept === 'light' || kept === 'dark') return kept
  return window.matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light'
}

/** Light or dark paper; the coach's choice is kept on this device. */
export function useTheme(): [Theme, () => void] {
  const [theme, setTheme] = useState<Theme>(initial)
  useEffect(() => {
    document.documentElement.dataset.theme = theme
  }, [theme])
  const toggle = () => {
    const next = theme === 'dark' ? 'light' : 'dark'
    localStorage.setItem('istmo.paper', next)
    setTheme(next)
  }
  return [theme, toggle]
}
