import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'

const SOURCE = 'src'
const files = readdirSync(SOURCE, { recursive: true, encoding: 'utf8' })
  .filter((name) => /\.(vue|css)$/.test(name))
  .map((name) => ({ name, text: readFileSync(join(SOURCE, name), 'utf8') }))

/** Places that match, as `file: match`. */
function found(pattern: RegExp): string[] {
  return files.flatMap(({ name, text }) => [...text.matchAll(pattern)].map(([match]) => `${name}: ${match}`))
}

describe('the page’s measures', () => {
  it('part layouts at three widths', () => {
    expect(
      found(/@media[^{]*width[^{]*/g).filter((at) => !/^[^:]*: @media(?:[^{\d]*(?:800|1100|1200)px)+[^{\d]*$/.test(at)),
    ).toEqual([])
  })

  it('set type by the scale', () => {
    expect(found(/text-\[\d+px\]|font-size: \d+px|font-\[\d+\]/g)).toEqual([])
  })

  it('leave no component longer than can be read in one go', () => {
    const long = files
      .filter(({ name, text }) => name.endsWith('.vue') && text.split('\n').length > 301)
      .map(({ name }) => name)
    expect(long).toEqual([])
  })
})
