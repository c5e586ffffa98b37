import '@testing-library/jest-dom/vitest'
import { cleanup, configure } from '@testing-library/react'
import { afterEach } from 'vitest'

afterEach(cleanup)

// what is waited for may take longer on a machine that is busy
configure({ asyncUtilTimeout: 10_000 })
