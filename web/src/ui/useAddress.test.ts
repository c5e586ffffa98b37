import { expect, test } from 'vitest'
import { changed } from './useAddress'

test('a change sets, takes out, and leaves the rest of the address as it is', () => {
  const before = new URLSearchParams('client=c&set=a&with=x~y')
  expect(changed(before, { set: null, with: '', candidate: 'leg-press/low' }).toString()).toBe(
    'client=c&candidate=leg-press%2Flow',
  )
  expect(before.get('set')).toBe('a')
})
