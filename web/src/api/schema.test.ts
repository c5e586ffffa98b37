// @vitest-environment node
import { readFileSync } from 'node:fs'
import openapiTS, { astToString } from 'openapi-typescript'
import { expect, test } from 'vitest'

test('the types are those of the committed API description (npm run gen:api writes them again)', async () => {
  const written = readFileSync('src/api/schema.d.ts', 'utf8')
  const fresh = astToString(await openapiTS(new URL('../../openapi.json', import.meta.url)))
  expect(written.endsWith(fresh)).toBe(true)
})
