export interface UseLineHistoryReturn {
  /** Keeps a line that was said. */
  add: (line: string) => void
  /** The line before; what is being typed is kept aside. */
  older: (typed: string) => string | undefined
  /** The line after, at last what was being typed. */
  newer: () => string | undefined
}

const MOST = 50

/** Lines that were said, to be said again. */
export function useLineHistory(): UseLineHistoryReturn {
  const lines: string[] = []
  let at = 0
  let typing = ''
  return {
    add(line) {
      if (line.trim() && lines.at(-1) !== line) lines.push(line)
      if (lines.length > MOST) lines.shift()
      at = lines.length
      typing = ''
    },
    older(typed) {
      if (!at) return undefined
      if (at === lines.length) typing = typed
      return lines[--at]
    },
    newer() {
      if (at >= lines.length) return undefined
      return lines[++at] ?? typing
    },
  }
}
