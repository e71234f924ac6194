import { describe, expect, it } from 'vitest'
import type { FramePoint } from '@/api/types'
import { percentText, pointName, pointsAt } from '@/lib/framePoints'

const point = (more: Partial<FramePoint>): FramePoint => ({
  kind: 'LIT',
  on: 'Repairer',
  mark: 'mark-1',
  clipped: false,
  sources: [],
  ...more,
})

describe('points of a picture', () => {
  it('are named by what they are of', () => {
    expect(pointName(point({}))).toBe('lit cheek')
    expect(pointName(point({ kind: 'BACKGROUND', on: 'wall' }))).toBe('background, wall')
    expect(pointName(point({ kind: 'TOUCHED', on: 'workbench' }))).toBe('workbench')
  })
  it('tell the monitor’s percent, and what is over its range', () => {
    expect(percentText(point({ percent: 47.4 }))).toBe('47 %')
    expect(percentText(point({ percent: 100, clipped: true }))).toBe('clipped')
    expect(percentText(point({}))).toBe('dark')
  })
  it('are those of one mark and all that were touched', () => {
    const touched = point({ kind: 'TOUCHED', mark: undefined })
    expect(pointsAt([point({}), point({ mark: 'mark-2' }), touched], 'mark-1')).toEqual([point({}), touched])
  })
})
