// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import InSight from './InSight.vue'

let seen: (isIntersecting: boolean) => Promise<void>

beforeEach(() => {
  vi.stubGlobal(
    'IntersectionObserver',
    class {
      constructor(tell: (entries: { isIntersecting: boolean }[]) => void) {
        seen = async (isIntersecting) => {
          tell([{ isIntersecting }])
          await nextTick()
        }
      }
      observe = () => undefined
      disconnect = () => undefined
    },
  )
})
afterEach(() => vi.unstubAllGlobals())

describe('what is in sight', () => {
  const list = () =>
    mount(InSight, { props: { height: 400 }, slots: { default: '<button>4A</button>' }, attachTo: document.body })

  it('is drawn when it comes near, and is a gap as tall until then', async () => {
    const box = list()
    expect(box.find('button').exists()).toBe(false)
    expect(box.attributes('style')).toContain('height: 400px')
    await seen(true)
    expect(box.find('button').exists()).toBe(true)
    expect(box.attributes('style')).toBeUndefined()
    await seen(false)
    expect(box.find('button').exists()).toBe(false)
  })

  it('stays while somebody is in it, so that the focus is not lost', async () => {
    const box = list()
    await seen(true)
    box.find('button').element.focus()
    await seen(false)
    expect(box.find('button').exists()).toBe(true)
  })
})
