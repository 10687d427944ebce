import '@testing-library/jest-dom/vitest'
import 'fake-indexeddb/auto'
import { cleanup, configure } from '@testing-library/react'
import { afterEach } from 'vitest'

// These machines are shared: a busy one is no failure.
configure({ asyncUtilTimeout: 20_000 })

afterEach(() => {
  cleanup()
})
