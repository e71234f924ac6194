// @vitest-environment happy-dom
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { ref } from 'vue'
import { overlap, scaleBar } from '@/lib/labels'
import { CROWD, usePlanDrawing, type PlanShown } from '@/lib/usePlanDrawing'
import { useRoving } from '@/lib/useRoving'
import { shop, thing } from './shop'

beforeEach(() => setActivePinia(createPinia()))

const MANY = [
  thing('camera', { kind: 'CAMERA', role: 'CAMERA', at: [6, 0] }),
  thing('guest', { kind: 'MARK', role: 'SUBJECT', at: [5, 5] }),
  ...Array.from({ length: CROWD }, (_, i) => thing(`head${i}`, { role: 'PRACTICAL', at: [i * 2, 8] })),
]
function plan(more: Partial<PlanShown>, width: number, pointed?: string) {
  const { set } = shop().drawn
  const shown = { set: set.plan, placements: MANY, also: [], draft: {}, ghosts: [], ...more }
  const view = ref({ scale: 20, x: 20, y: 400 })
  return usePlanDrawing(
    () => shown,
    view,
    ref({ width, height: 420 }),
    () => [pointed],
  )
}

describe('a full plan', () => {
  it('lets step back what has nothing to do with the selection', () => {
    const faded = plan({ selected: 'head0' }, 1000).faded.value
    expect(faded.size).toBeGreaterThan(CROWD / 2)
    expect([...faded]).not.toContain('head0')
    expect([...faded]).not.toContain('camera')
    expect(plan({}, 1000).faded.value.size).toBe(0)
  })

  it('names at most six things on a small screen, those first that a shot is framed by', () => {
    const named = [...plan({}, 380).labels.value.keys()]
    expect(named.length).toBeLessThanOrEqual(6)
    expect(named).toEqual(expect.arrayContaining(['camera', 'guest']))
    expect([...plan({}, 1000).labels.value.keys()].length).toBeGreaterThan(6)
  })

  it('writes nothing over the bar that shows how long a metre is', () => {
    const bar = scaleBar(20, { width: 380, height: 420 })
    const beside = thing('beside', { role: 'PRACTICAL', at: [(bar.left - 36) / 20, 0.4] })
    const label = plan({ placements: [beside], selected: 'beside' }, 380).labels.value.get('beside')!
    const left = label.anchor === 'start' ? label.x : label.x - 44
    expect(overlap(bar, { left, right: left + 44, top: label.y, bottom: label.y + 16 })).toBe(0)
  })

  it('names there what is pointed at or focused', () => {
    expect([...plan({}, 380).labels.value.keys()]).not.toContain('head11')
    expect([...plan({}, 380, 'head11').labels.value.keys()]).toContain('head11')
  })
})

describe('the keyboard on a plan', () => {
  const things = [
    { key: 'middle', at: { x: 100, y: 100 } },
    { key: 'right', at: { x: 160, y: 110 } },
    { key: 'far', at: { x: 300, y: 100 } },
    { key: 'below', at: { x: 105, y: 180 } },
  ]
  const roving = (chosen?: string) =>
    useRoving(
      () => things,
      () => chosen,
    )

  it('comes to one thing with Tab: the chosen one, or that which had the focus last', () => {
    expect(roving().stop.value).toBe('middle')
    expect(roving('below').stop.value).toBe('below')
    const last = roving()
    last.focused.value = 'far'
    expect(last.stop.value).toBe('far')
  })

  it('goes with an arrow to the next thing that lies that way', () => {
    expect(roving().beyond('middle', 'ArrowRight')).toBe('right')
    expect(roving().beyond('right', 'ArrowRight')).toBe('far')
    expect(roving().beyond('middle', 'ArrowDown')).toBe('below')
    expect(roving().beyond('middle', 'ArrowUp')).toBeUndefined()
    expect(roving().beyond('middle', 'Enter')).toBeUndefined()
  })
})
