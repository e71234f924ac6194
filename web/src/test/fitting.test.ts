import { describe, expect, it } from 'vitest'
import { fitting } from '@/lib/useFitting'

describe('what fits in a row', () => {
  const widths = [50, 80, 60, 70]

  it('is all of it where there is room, and then nothing stands for the rest', () => {
    expect(fitting(260, widths, 60)).toBe(4)
  })

  it('leaves room for what stands for the rest', () => {
    expect(fitting(259, widths, 60)).toBe(3)
    expect(fitting(249, widths, 60)).toBe(2)
    expect(fitting(189, widths, 60)).toBe(1)
  })

  it('is nothing in a row that is not there yet', () => {
    expect(fitting(0, widths, 60)).toBe(0)
  })
})
