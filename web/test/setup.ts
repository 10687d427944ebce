import '@testing-library/jest-dom/vitest'
import 'fake-indexeddb/auto'
import { cleanup, configure } from '@testing-library/react'
import generated from '@frijol/library/library.json'
import { afterEach, vi } from 'vitest'

// These machines are shared: a busy one is no failure.
configure({ asyncUtilTimeout: 20_000 })

afterEach(() => {
  cleanup()
})

// There is no server here: the library's file is at hand.
vi.stubGlobal('fetch', (address: string) =>
  address.includes('library')
    ? Promise.resolve({ ok: true, json: () => Promise.resolve(generated) })
    : Promise.reject(new Error('no server')),
)

// What jsdom lacks of a browser.
Element.prototype.scrollIntoView = () => undefined
vi.stubGlobal(
  'ResizeObserver',
  class {
    observe() {}
    unobserve() {}
    disconnect() {}
  },
)
