import { expect, test } from 'vitest'
import { textOf } from './textOf'

const file = (bytes: number[]) =>
  ({ arrayBuffer: () => Promise.resolve(new Uint8Array(bytes).buffer) }) as Blob

test('files are read as UTF-8, and as older spreadsheets write them where they are none', async () => {
  expect(await textOf(file([0xc3, 0x9c, 0x62]))).toBe('Üb')
  expect(await textOf(file([0xdc, 0x62]))).toBe('Üb')
  expect(await textOf(file([0xef, 0xbb, 0xbf, 0x61]))).toBe('\uFEFFa')
})
