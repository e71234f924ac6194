import { describe, expect, it } from 'vitest'
import type { DaySlot } from '@/api/types'
import { clock, dayScale, lasting, moved } from '@/lib/dayTime'

const slot = (setUpFrom: number, shootTo: number) => ({ setUpFrom, shootTo }) as DaySlot

describe('a day in time', () => {
  it('prints a time of the next day as a clock shows it', () => {
    expect(clock(8 * 60)).toBe('08:00')
    expect(clock(24 * 60 + 95)).toBe('01:35')
    expect(clock(119.6)).toBe('02:00')
  })

  it('tells long times in hours', () => {
    expect(lasting(45)).toBe('45 min')
    expect(lasting(125)).toBe('2 h 05')
  })

  it('draws whole hours from the call to the wrap, and further where work goes on', () => {
    const scale = dayScale({ callMin: 480, wrapMin: 1080, slots: [slot(480, 1110)] }, 900)
    expect(scale.from).toBe(420)
    expect(scale.to).toBe(1140)
    expect(scale.x(420)).toBe(0)
    expect(scale.x(1140)).toBe(900)
    expect(scale.hours).toHaveLength(13)
  })

  it('moves one thing and keeps the others in their order', () => {
    expect(moved(['a', 'b', 'c', 'd'], 'c', 0)).toEqual(['c', 'a', 'b', 'd'])
    expect(moved(['a', 'b', 'c', 'd'], 'a', 9)).toEqual(['b', 'c', 'd', 'a'])
    expect(moved(['a', 'b'], 'b', -3)).toEqual(['b', 'a'])
  })
})
