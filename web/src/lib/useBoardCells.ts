import { computed, ref, type ComputedRef, type Ref } from 'vue'
import type { BoardRow, Phrase } from '@/api/types'
import { cellAt, cellWords, pasted } from './board'
import type { BoardShown, Cell } from './useBoardWindow'

const COPIED = 'oblume:'

/** A cell and what it becomes. */
export interface TypedCell {
  row: BoardRow
  column: number
  text: string
}
export interface LikeCell {
  row: BoardRow
  column: number
  /** Id of the shot that it becomes like. */
  from: number
}

export interface UseBoardCellsReturn {
  range: ComputedRef<{ top: number; bottom: number; left: number; right: number }>
  /** Goes to a cell, or extends the range to it. */
  go: (row: number, column: number, extend?: boolean) => void
  /** Columns of a row that are chosen, or none. */
  chosenIn: (row: number) => string
  /** The figures of a cell, as they are typed over and copied. */
  figures: (row: BoardRow, column: number) => string
  onKey: (event: KeyboardEvent) => void
  onCopy: (event: ClipboardEvent) => void
  onPaste: (event: ClipboardEvent) => void
}

/**
 * Choosing cells of a board, by keys or the pointer, and copying and pasting them.
 *
 * @param at the cell that is chosen
 * @param options.typing whether a cell is typed into: its keys are its own
 * @param options.page how many rows a page is
 * @param options.onEdit types into the chosen cell, over it when there is text
 */
export function useBoardCells(
  shown: () => BoardShown & { readonly: boolean },
  at: Ref<Cell>,
  options: {
    typing: () => boolean
    page: () => number
    printed: (both: Phrase) => string
    onEdit: (text?: string) => void
    onType: (cells: TypedCell[]) => void
    onPaste: (cells: LikeCell[]) => void
    onGo: (cell: Cell) => void
  },
): UseBoardCellsReturn {
  const end = ref<Cell>()
  let copied: string | undefined

  const range = computed(() => {
    const other = end.value ?? at.value
    return {
      top: Math.min(at.value.row, other.row),
      bottom: Math.max(at.value.row, other.row),
      left: Math.min(at.value.column, other.column),
      right: Math.max(at.value.column, other.column),
    }
  })
  const across = () => Array.from({ length: range.value.right - range.value.left + 1 }, (_, k) => range.value.left + k)
  const chosenRows = () => shown().rows.slice(range.value.top, range.value.bottom + 1)
  const chosen = () => chosenRows().flatMap((row) => across().map((column) => ({ row, column })))

  function figures(row: BoardRow, column: number): string {
    const cell = cellAt(row, column)
    return cell ? cellWords(cell, 'ON', false, options.printed).figures : ''
  }

  function go(row: number, column: number, extend = false) {
    const { rows, board } = shown()
    const next = {
      row: Math.min(Math.max(row, 0), rows.length - 1),
      column: Math.min(Math.max(column, 0), board.shots.length - 1),
    }
    end.value = extend ? next : undefined
    if (!extend) at.value = next
    options.onGo(next)
  }

  /** Where a key goes, or undefined when it is not one that goes anywhere. */
  function way(event: KeyboardEvent): Cell | undefined {
    const from = event.shiftKey ? (end.value ?? at.value) : at.value
    const { row, column } = from
    const command = event.ctrlKey || event.metaKey
    const { rows, board } = shown()
    switch (event.key) {
      case 'ArrowUp':
        return { row: row - 1, column }
      case 'ArrowDown':
        return { row: row + 1, column }
      case 'ArrowLeft':
        return { row, column: column - 1 }
      case 'ArrowRight':
        return { row, column: column + 1 }
      case 'Home':
        return { row: command ? 0 : row, column: 0 }
      case 'End':
        return { row: command ? rows.length - 1 : row, column: board.shots.length - 1 }
      case 'PageDown':
        return event.altKey ? { row: row + options.page(), column } : undefined
      case 'PageUp':
        return event.altKey ? { row: row - options.page(), column } : undefined
      default:
        return undefined
    }
  }

  function isText({ key, ctrlKey, metaKey, altKey }: KeyboardEvent): boolean {
    return key.length === 1 && !ctrlKey && !metaKey && !altKey && key !== '?' && key !== ' '
  }

  return {
    range,
    go,
    chosenIn(row) {
      const r = range.value
      return row >= r.top && row <= r.bottom ? `${r.left}-${r.right}` : ''
    },
    figures,
    onKey(event) {
      if (options.typing()) return
      const to = way(event)
      if (to) go(to.row, to.column, event.shiftKey)
      else if (event.key === 'Enter' || event.key === 'F2') options.onEdit()
      else if (event.key === 'Delete' || event.key === 'Backspace')
        options.onType(chosen().map((c) => ({ ...c, text: '' })))
      else if (isText(event)) options.onEdit(event.key)
      else return
      event.preventDefault()
      event.stopPropagation()
    },
    /** A cell that was copied here is pasted as it is; text from elsewhere is read as if it were called out. */
    onCopy(event) {
      const shot = shown().board.shots[at.value.column]
      if (options.typing() || !shot) return
      const text = chosenRows()
        .map((row) =>
          across()
            .map((column) => figures(row, column))
            .join('\t'),
        )
        .join('\n')
      copied = chosen().length === 1 ? `${COPIED}${shot.id}\n${text}` : text
      event.clipboardData?.setData('text/plain', text)
      event.preventDefault()
    },
    onPaste(event) {
      if (options.typing() || shown().readonly) return
      event.preventDefault()
      const text = event.clipboardData?.getData('text/plain') ?? ''
      const [from, ...own] = copied?.startsWith(COPIED) ? copied.slice(COPIED.length).split('\n') : []
      if (from && own.join('\n') === text) return options.onPaste(chosen().map((c) => ({ ...c, from: Number(from) })))
      const lines = text.replace(/\r?\n$/, '').split(/\r?\n/)
      const { top, bottom, left, right } = range.value
      const { rows, board } = shown()
      options.onType(
        pasted(
          lines.map((line) => line.split('\t')),
          bottom - top + 1,
          right - left + 1,
        ).flatMap((line, i) =>
          line.flatMap((one, k) => {
            const row = rows[top + i]
            const column = left + k
            return row && one.trim() && column < board.shots.length ? [{ row, column, text: one }] : []
          }),
        ),
      )
    },
  }
}
