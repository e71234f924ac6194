import { describe, expect, it } from 'vitest'
import { marked } from './found'

const found = (text: string, ...words: string[]) =>
  marked(text, words)
    .filter((p) => p.found)
    .map((p) => p.text)

describe('what was found', () => {
  it('is marked as it is written, whatever its capitals and accents', () => {
    expect(found('Café lamp: Half CTO', 'cafe', 'cto')).toEqual(['Café', 'CTO'])
    expect(found('Cafe\u0301 lamp', 'cafe')).toEqual(['Cafe\u0301'])
  })
  it('is marked wherever it stands, words that touch as one', () => {
    expect(found('key key', 'key')).toEqual(['key', 'key'])
    expect(found('keykey', 'key')).toEqual(['keykey'])
  })
  it('leaves the rest of the text as it is', () => {
    expect(
      marked('Edge: ½ blue', ['blue'])
        .map((p) => p.text)
        .join(''),
    ).toBe('Edge: ½ blue')
  })
})
