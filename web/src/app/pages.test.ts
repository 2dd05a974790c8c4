import { expect, it } from 'vitest'
import { readAhead } from './pages'

// It runs before anything is drawn: what it throws would leave an empty window.
it.each(['', '/', '/jobs', '/jobs/7', '/jobs/7/', '/jobs/7/nothing', '/jobs/7/constructor', '/jobs/x/kit'])(
  'an address like "%s" is no trouble',
  (address) => expect(() => readAhead(address)).not.toThrow(),
)
