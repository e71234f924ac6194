/** What comes a line of JSON each, as it comes. */
export async function* jsonLines<T>(stream: unknown): AsyncGenerator<T> {
  const text = new TextDecoder()
  const reader = (stream as ReadableStream<Uint8Array>).getReader()
  let rest = ''
  for (;;) {
    const { value, done } = await reader.read()
    rest += value ? text.decode(value, { stream: true }) : ''
    const lines = rest.split('\n')
    rest = done ? '' : lines.pop()!
    for (const line of lines) if (line) yield JSON.parse(line) as T
    if (done) return
  }
}
