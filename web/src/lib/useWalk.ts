import { computed, ref, watch, type ComputedRef, type Ref } from 'vue'
import { held, value, type Attribute, type Placed } from '@/api/types'
import type { KeypadKind } from '@/lib/keypad'
import { couldBeRebuilt, guesses } from '@/lib/recordCount'
import { usePlot } from '@/stores/plot'
import { useShotEditor } from '@/stores/shotEditor'

/** A figure that is typed with the big keys, or a step that is chosen. */
export interface WalkStep {
  attribute: Attribute
  /** What is asked: `height to lamp`. */
  name: string
  /** Typed with the keys; else it is chosen. */
  figures?: KeypadKind
}

export type WalkState = 'to come' | 'whole' | 'to guess'

export interface UseWalkReturn {
  /** What stands, in build order. */
  things: ComputedRef<Placed[]>
  /** Index of the thing in hand; past the last one, what a stranger would miss. */
  at: Ref<number>
  thing: ComputedRef<Placed | undefined>
  next: ComputedRef<Placed | undefined>
  steps: ComputedRef<WalkStep[]>
  couldBeRebuilt: ComputedRef<number>
  stateOf: (thing: Placed) => WalkState
  /** Whether somebody looked at a value on set. */
  isLooked: (attribute: Attribute) => boolean
  /** Name of what was in hand and is not on set any more, by somebody else's word. */
  struck: Ref<string | undefined>
  /** What holds of the thing in hand and was not looked at yet. */
  unseen: ComputedRef<Attribute[]>
  goTo: (key: string) => void
  forgetStruck: () => void
}

/** What is chosen, not typed in figures. */
export const CHOSEN: readonly Attribute[] = ['MODIFIERS', 'PATCH', 'FEED']

const LENS_NAMES: Record<string, string> = {
  HEAD: 'height to lamp',
  PRACTICAL: 'height to lamp',
  CAMERA: 'height to lens',
  MARK: 'height to eyes',
}
/** Looked at with the thing, without a row of its own. */
const WITH_THE_THING: Attribute[] = [
  'STANDING',
  'TINT',
  'BEAM',
  'EFFECT',
  'MENU',
  'COLOUR',
  'SPEED',
  'SHUTTER',
  'WHITE',
  'LENS_ND',
]

function stepsOf(thing: Placed): WalkStep[] {
  const { kind } = thing.placement
  const has = (a: Attribute) => thing.records.includes(a)
  const off = value(thing, 'STANDING')?.state === 'OFF'
  return [
    { attribute: 'PLACE', name: 'place' },
    { attribute: 'HEIGHT', name: LENS_NAMES[kind] ?? 'height to middle', figures: 'LENGTH' },
    { attribute: 'AIM', name: kind === 'MARK' ? 'faces' : 'aim', figures: 'BEARING' },
    ...(has('MODIFIERS') ? [{ attribute: 'MODIFIERS', name: 'through' } as WalkStep] : []),
    ...(has('LEVEL') && !off
      ? ([
          { attribute: 'LEVEL', name: 'level', figures: 'LEVEL' },
          { attribute: 'CCT', name: 'white dialled', figures: 'KELVIN' },
        ] as WalkStep[])
      : []),
    ...(has('PATCH') ? [{ attribute: 'PATCH', name: 'control' } as WalkStep] : []),
    ...(has('FEED') ? [{ attribute: 'FEED', name: 'fed by' } as WalkStep] : []),
    ...(kind === 'CAMERA'
      ? ([
          { attribute: 'LENS', name: 'lens', figures: 'LENS' },
          { attribute: 'STOP', name: 'stop', figures: 'STOP' },
        ] as WalkStep[])
      : []),
  ]
}

/** The walk round what stands in a shot, thing by thing. */
export function useWalk(shotId: () => number): UseWalkReturn {
  const plot = usePlot()
  const editor = useShotEditor()
  const at = ref(0)
  const things = computed(() =>
    plot.plot?.shot.id === shotId()
      ? editor.placements
          .filter((p) => p.toBuild && value(p, 'STANDING')?.state !== 'STRUCK')
          .map((p, i) => ({ p, i }))
          .sort((a, b) => a.p.buildRank - b.p.buildRank || a.i - b.i)
          .map(({ p }) => p)
      : [],
  )
  const thing = computed(() => things.value[at.value])
  const steps = computed(() => (thing.value ? stepsOf(thing.value) : []))
  const isLookedAt = (t: Placed, attribute: Attribute) => !!held(t, attribute)?.looked
  const isLooked = (attribute: Attribute) => !!thing.value && isLookedAt(thing.value, attribute)
  const unseen = computed(() => {
    const t = thing.value
    if (!t) return []
    const asked = [...stepsOf(t).map((s) => s.attribute), ...WITH_THE_THING.filter((a) => t.records.includes(a))]
    return asked.filter((a) => held(t, a) && !isLookedAt(t, a))
  })

  function stateOf(t: Placed): WalkState {
    const walked = stepsOf(t).some((s) => isLookedAt(t, s.attribute))
    if (!walked) return 'to come'
    return guesses(t).length ? 'to guess' : 'whole'
  }

  /* what goes out or comes in, here or at another's, leaves the same thing in hand */
  const struck = ref<string>()
  let inHand: Placed['placement'] | undefined
  const take = () => (inHand = thing.value?.placement)
  watch(at, take, { flush: 'sync' })
  watch(
    things,
    (now) => {
      const there = now.findIndex((t) => t.placement.key === inHand?.key)
      if (there >= 0) at.value = there
      else if (inHand && now.length) struck.value = inHand.name
      if (at.value > now.length) at.value = now.length
      take()
    },
    { flush: 'sync', immediate: true },
  )

  return {
    things,
    at,
    thing,
    next: computed(() => things.value[at.value + 1]),
    steps,
    couldBeRebuilt: computed(() => couldBeRebuilt(things.value)),
    stateOf,
    isLooked,
    struck,
    forgetStruck: () => (struck.value = undefined),
    unseen,
    goTo(key) {
      const there = things.value.findIndex((t) => t.placement.key === key)
      if (there >= 0) at.value = there
    },
  }
}
