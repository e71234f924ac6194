import { describe, expect, it } from 'vitest'
import type { BoardKnot, BoardRow, BoardShot } from '@/api/types'
import { bases, cellReason, cellWords, laneY, pasted, ROOMY, shownRows, states, threads } from '@/lib/board'

const shot = (slate: string, basedOn?: string, lane = 0): BoardShot => ({
  id: slate.charCodeAt(1),
  slate,
  description: '',
  stage: 'LIT',
  basedOn,
  lane,
  version: 0,
  revision: 1,
})
const SHOTS = [shot('4A'), shot('4B', '4A'), shot('4C', '4B'), shot('4D', '4C'), shot('4E', '4C', 1)]
const LEFTS = [0, 122, 244, 366, 488]
const BASED = bases(SHOTS)
const both = (text: string) => ({ metric: text, imperial: text })
const knot = (
  attribute: BoardKnot['attribute'],
  say: string,
  words = say,
  reason: BoardKnot['reason'] = 'MATCH',
  brief = say.replace(' ', ''),
): BoardKnot => ({
  attribute,
  label: attribute.toLowerCase(),
  say: both(say),
  brief: both(brief),
  words: both(words),
  reason,
  author: 'gaffer',
  at: '',
})
const row = (threads: BoardRow['threads'], cells: BoardRow['cells'] = []): BoardRow => ({
  placement: {
    key: 'key',
    name: 'Key',
    kind: 'HEAD',
    role: 'KEY',
    piece: { what: 'Bicolour LED spot 300 W', unit: 'Heron 2', widthM: 0.3, watts: 320, mount: 'STAND' },
  },
  department: 'ELECTRIC',
  threads,
  cells,
})
const ON = { shot: 0, state: 'ON' as const, swatch: '#ffffff' }
const printed = (b: { metric: string }) => b.metric

describe('threads of the carry board', () => {
  it('carry what a shot is based on until it is another', () => {
    expect(states(row([ON, { shot: 2, state: 'OFF' }]), BASED).map((s) => s.state)).toEqual([
      'ON',
      'ON',
      'OFF',
      'OFF',
      'OFF',
    ])
    expect(states(row([ON, { shot: 3, state: 'OFF' }]), BASED).map((s) => s.state)).toEqual([
      'ON',
      'ON',
      'ON',
      'OFF',
      'ON',
    ])
  })

  it('leave the lane of their base by one curve and pass faintly under other shots', () => {
    const drawn = threads(row([ON]), SHOTS, BASED, LEFTS, ROOMY, 'ink').segments
    expect(drawn).toHaveLength(2)
    const branch = drawn.filter((s) => s.d.includes('C'))
    expect(branch).toHaveLength(1)
    expect(branch[0]).toMatchObject({ faint: true, width: 1 })
    expect(branch[0]!.d).toContain(`M336,${laneY(ROOMY, 0)}`)
    expect(branch[0]!.d).toContain('H488')
    expect(drawn.find((s) => !s.faint)!.d.match(/M/g)).toHaveLength(5)
  })

  it('end with a bar where something is off, and where nothing carries on', () => {
    const bars = threads(row([ON, { shot: 3, state: 'OFF' }]), SHOTS, BASED, LEFTS, ROOMY, 'ink').bars
    expect(bars.map((b) => b.x)).toEqual([22, 366 + 22, 488 + 117])
    expect(threads(row([]), SHOTS, BASED, LEFTS, ROOMY, 'ink')).toEqual({ segments: [], bars: [] })
  })
})

describe('what stands in a cell', () => {
  it('is figures first, then what changed in a few words', () => {
    const cell = {
      shot: 2,
      knots: [
        knot('PLACE', '3.00 m right', '0.80 m closer'),
        knot('LEVEL', '45 %'),
        knot('MODIFIERS', 'x', 'x', 'MATCH', 'Muslin frame on'),
      ],
    }
    expect(cellWords(cell, 'ON', false, printed)).toEqual({ figures: '45%', words: '0.80 m closer, Muslin frame on' })
  })

  it('says off or out in one word', () => {
    expect(
      cellWords({ shot: 3, knots: [knot('STANDING', 'off'), knot('LEVEL', '45 %')] }, 'OFF', false, printed),
    ).toEqual({ figures: '', words: 'off' })
    expect(cellWords({ shot: 3, knots: [knot('STANDING', 'struck')] }, 'ABSENT', false, printed)).toEqual({
      figures: '',
      words: 'out',
    })
  })

  it('never is empty where something is tied', () => {
    expect(cellWords({ shot: 2, knots: [knot('PATCH', '1 / 20')] }, 'ON', false, printed).words).toBe('patch')
  })

  it('is a cheat before all else', () => {
    expect(cellReason({ shot: 2, knots: [knot('LEVEL', '1', '1', 'LOOK'), knot('PLACE', '1', '1', 'CHEAT')] })).toBe(
      'CHEAT',
    )
  })
})

it('rows are filtered by words, by department, by change and by cheat', () => {
  const changed = row(
    [ON],
    [
      { shot: 0, knots: [knot('LEVEL', '1')] },
      { shot: 3, knots: [knot('LEVEL', '2', '2', 'CHEAT')] },
    ],
  )
  const first = row([ON], [{ shot: 0, knots: [knot('LEVEL', '1')] }])
  const filter = { text: '', department: '' as const, role: '', changed: false, cheats: false }
  expect(shownRows([changed, first], BASED, filter)).toHaveLength(2)
  expect(shownRows([changed, first], BASED, { ...filter, text: 'heron' })).toHaveLength(2)
  expect(shownRows([changed, first], BASED, { ...filter, department: 'GRIP' })).toHaveLength(0)
  expect(shownRows([changed, first], BASED, { ...filter, changed: true })).toEqual([changed])
  expect(shownRows([changed, first], BASED, { ...filter, cheats: true })).toEqual([changed])
})

it('one cell is pasted over the whole range, a block as it is', () => {
  expect(pasted([['45%']], 2, 3)).toEqual([
    ['45%', '45%', '45%'],
    ['45%', '45%', '45%'],
  ])
  expect(
    pasted(
      [
        ['a', 'b'],
        ['c', 'd'],
      ],
      1,
      1,
    ),
  ).toEqual([
    ['a', 'b'],
    ['c', 'd'],
  ])
})
