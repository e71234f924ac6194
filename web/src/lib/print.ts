/** The one printer of plain figures: stops, degrees, amperes. Lengths and light come printed from the server, in the crew's units. */

/** `2.40`, `−0.3`; never a zero below zero. */
export function fixed(value: number, places: number): string {
  const text = Math.abs(value).toFixed(places)
  return value < 0 && Number(text) !== 0 ? `−${text}` : text
}

/** The same without zeros that tell nothing: `25.5`, `3`. */
export function plain(value: number, places: number): string {
  const text = fixed(value, places)
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text
}

/** `+0.4`, `−2.0`; `0` for what rounds to nothing. */
export function signed(value: number, places: number): string {
  const text = fixed(value, places)
  return Number(text.replace('−', '-')) === 0 ? '0' : value < 0 ? text : `+${text}`
}
