// @vitest-environment happy-dom
import { describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import type { Board, BoardRow } from '@/api/types'
import { useBoardCells } from '@/lib/useBoardCells'

const both = (text: string) => ({ metric: text, imperial: text })
const row = (key: string, levels: Record<number, string> = {}): BoardRow =>
  ({
    placement: { key, name: key, kind: 'HEAD', role: 'KEY', piece: { what: 'spot' } },
    threads: [],
    cells: Object.entries(levels).map(([shot, level]) => ({
      shot: Number(shot),
      knots: [
        {
          attribute: 'LEVEL',
          label: 'level',
          say: both(level),
          brief: both(level),
          words: both(level),
          author: '',
          at: '',
        },
      ],
    })),
  }) as unknown as BoardRow
const BOARD = { shots: [{ id: 11 }, { id: 12 }, { id: 13 }], looks: [] } as unknown as Board
const ROWS = [row('key', { 0: '70%' }), row('edge', { 1: '22%' }), row('lamp')]

function cells(more: { readonly?: boolean; typing?: boolean } = {}) {
  const at = ref({ row: 0, column: 0 })
  const options = {
    typing: () => more.typing ?? false,
    page: () => 2,
    printed: (phrase: { metric: string }) => phrase.metric,
    onEdit: vi.fn(),
    onType: vi.fn(),
    onPaste: vi.fn(),
    onGo: vi.fn(),
  }
  const shown = () => ({ board: BOARD, rows: ROWS, compact: false, readonly: more.readonly ?? false })
  const board = useBoardCells(shown, at, options)
  const press = (key: string, held: KeyboardEventInit = {}) =>
    board.onKey(new KeyboardEvent('keydown', { key, ...held }))
  return { at, board, press, ...options }
}
/** A clipboard event, with what was put on it. */
function clipboard(type: string, text = '') {
  let held = text
  return Object.assign(new Event(type), {
    clipboardData: { getData: () => held, setData: (_: string, now: string) => (held = now) },
    text: () => held,
  }) as unknown as ClipboardEvent & { text: () => string }
}

describe('the keys of the board', () => {
  it('go from cell to cell and stop at its edges', () => {
    const { at, press } = cells()
    press('ArrowDown')
    press('ArrowRight')
    expect(at.value).toEqual({ row: 1, column: 1 })
    press('ArrowUp')
    press('ArrowUp')
    press('Home')
    expect(at.value).toEqual({ row: 0, column: 0 })
    press('End', { ctrlKey: true })
    expect(at.value).toEqual({ row: 2, column: 2 })
    press('ArrowRight')
    expect(at.value).toEqual({ row: 2, column: 2 })
  })

  it('leave the next and the last shot to the spine unless Alt is held', () => {
    const { at, press } = cells()
    press('PageDown')
    expect(at.value.row).toBe(0)
    press('PageDown', { altKey: true })
    expect(at.value.row).toBe(2)
  })

  it('type over a cell with the first sign, and clear a whole range', () => {
    const { press, onEdit, onType } = cells()
    press('4')
    expect(onEdit).toHaveBeenCalledWith('4')
    press('ArrowDown', { shiftKey: true })
    press('ArrowRight', { shiftKey: true })
    press('Delete')
    expect(onType.mock.calls[0]![0]).toHaveLength(4)
    expect(onType.mock.calls[0]![0][0]).toMatchObject({ column: 0, text: '' })
  })

  it('do nothing while a cell is typed into, and leave commands to others', () => {
    const { press, onEdit, at } = cells({ typing: true })
    press('ArrowDown')
    expect(at.value.row).toBe(0)
    const idle = cells()
    idle.press('z', { ctrlKey: true })
    idle.press('?')
    expect(onEdit).not.toHaveBeenCalled()
    expect(idle.onEdit).not.toHaveBeenCalled()
  })
})

describe('copying on the board', () => {
  it('makes a cell like the one that was copied, whatever its figures say', () => {
    const { board, press, onPaste, onType } = cells()
    const copy = clipboard('copy')
    board.onCopy(copy)
    expect(copy.text()).toBe('70%')
    press('ArrowRight')
    press('ArrowRight', { shiftKey: true })
    board.onPaste(clipboard('paste', '70%'))
    expect(onPaste.mock.calls[0]![0]).toMatchObject([
      { column: 1, from: 11 },
      { column: 2, from: 11 },
    ])
    expect(onType).not.toHaveBeenCalled()
  })

  it('takes a block from elsewhere as if it were called out, and lets go of what is beyond the board', () => {
    const { board, press, onType } = cells()
    press('End')
    board.onPaste(clipboard('paste', '10%\t20%\n30%\n\n50%'))
    expect(onType.mock.calls[0]![0]).toMatchObject([
      { column: 2, text: '10%' },
      { column: 2, text: '30%' },
    ])
  })

  it('pastes nothing where nothing may be changed', () => {
    const { board, onType } = cells({ readonly: true })
    board.onPaste(clipboard('paste', '10%'))
    expect(onType).not.toHaveBeenCalled()
  })
})
