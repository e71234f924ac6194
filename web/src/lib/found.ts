export interface FoundPart {
  text: string
  found: boolean
}

/** Parts of a text, those that words were found in apart. Words come folded: small letters without accents. */
export function marked(text: string, words: string[]): FoundPart[] {
  const signs = [...new Intl.Segmenter().segment(text)].map((s) => s.segment)
  /* each sign as it was compared, so that what is marked is where it was found */
  const folded = signs.map((s) => s.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase())
  const starts: number[] = []
  let length = 0
  for (const f of folded) {
    starts.push(length)
    length += f.length
  }
  const whole = folded.join('')
  const hit = new Array<boolean>(signs.length).fill(false)
  for (const word of words) {
    for (let at = whole.indexOf(word); word && at >= 0; at = whole.indexOf(word, at + 1)) {
      starts.forEach((s, i) => {
        if (s < at + word.length && s + folded[i]!.length > at) hit[i] = true
      })
    }
  }
  const parts: FoundPart[] = []
  signs.forEach((sign, i) => {
    const last = parts.at(-1)
    if (last && last.found === hit[i]) last.text += sign
    else parts.push({ text: sign, found: hit[i]! })
  })
  return parts
}
