import { computed, reactive, ref, watch, type ComputedRef, type Ref } from 'vue'
import { ApiError, sentence } from '@/api/client'
import { held, value, type Attribute, type LengthView, type MeasuredBody, type Side, type ValueEdit } from '@/api/types'
import { usePlot } from '@/stores/plot'
import { useSettings } from '@/stores/settings'
import { isWhole, pressed, typed, type KeypadKind } from './keypad'
import type { UseWalkReturn, WalkStep } from './useWalk'

export type TapeLetter = 'A' | 'B' | 'C'
/** Where the keys go: a tape, or a step; a tilt comes after its bearing. */
export type EntryField = TapeLetter | 'TILT' | Attribute

interface TapeEntry {
  landmark: string
  text: string
}

const LETTERS: TapeLetter[] = ['A', 'B', 'C']
const isTape = (field: EntryField): field is TapeLetter => (LETTERS as string[]).includes(field)

export interface UseWalkEntryReturn {
  /** What is being entered, or undefined while the card is looked at. */
  field: Ref<EntryField | undefined>
  /** What stands in the field so far. */
  text: Ref<string>
  kind: ComputedRef<KeypadKind | undefined>
  tapes: Record<TapeLetter, TapeEntry>
  /** Why the last one was not kept, by attribute. */
  refused: Record<string, string>
  /** Whether somebody has to say on which side of the first two landmarks it stands. */
  asksSide: Ref<boolean>
  /** Whether it would stand outside the walls, which somebody has to mean. */
  asksOutside: Ref<boolean>
  open: (field: EntryField) => void
  close: () => void
  press: (key: string) => void
  /** Takes the last figure away. */
  back: () => void
  wipe: () => void
  /** Keeps what stands in the field and goes on to the next that nobody looked at. */
  keep: () => void
  /** Records a value that was chosen, and goes on. */
  choose: (attribute: Attribute, wanted: NonNullable<ValueEdit>) => void
  /** Says that what is recorded stands so, and goes on. */
  asBefore: (attribute: Attribute) => void
  takeLandmark: (letter: TapeLetter, name: string) => void
  stand: (side: Side) => void
  /** It stands outside the walls on purpose. */
  standOutside: () => void
  /** Sends the tapes that there are. */
  keepTapes: (but?: TapeLetter) => void
}

/** What is entered of the thing in hand with the big keys: one figure after the other, each kept as soon as it is whole. */
export function useWalkEntry(walk: UseWalkReturn): UseWalkEntryReturn {
  const plot = usePlot()
  const settings = useSettings()
  const field = ref<EntryField>()
  const text = ref('')
  const tapes = reactive<Record<TapeLetter, TapeEntry>>({
    A: { landmark: '', text: '' },
    B: { landmark: '', text: '' },
    C: { landmark: '', text: '' },
  })
  const refused = reactive<Record<string, string>>({})
  const asksSide = ref(false)
  const asksOutside = ref(false)
  let side: Side | undefined
  let outside: true | undefined
  let bearing = ''

  const step = computed(() => walk.steps.value.find((s) => s.attribute === field.value))
  const kind = computed((): KeypadKind | undefined => {
    if (!field.value) return undefined
    if (isTape(field.value)) return 'LENGTH'
    return field.value === 'TILT' ? 'TILT' : step.value?.figures
  })

  /** The landmarks that the thing was taped from, else those of the thing before it. */
  function fill() {
    const own = walk.thing.value?.tapes
    const names = plot.set?.landmarks.map((l) => l.name) ?? []
    const known = own?.own || !tapes.A.landmark ? [own?.a.landmark, own?.b.landmark, own?.checks[0]?.landmark] : []
    const kept = LETTERS.map((l) => tapes[l].landmark).filter((n) => names.includes(n))
    const order = [...new Set([...known.filter((n) => n !== undefined), ...kept, ...names])]
    LETTERS.forEach((letter, i) => Object.assign(tapes[letter], { landmark: order[i] ?? '', text: '' }))
    side = outside = undefined
    asksSide.value = asksOutside.value = false
    for (const key of Object.keys(refused)) delete refused[key]
  }
  watch(
    () => walk.thing.value?.placement.key,
    () => {
      field.value = undefined
      fill()
    },
    { immediate: true },
  )
  watch(
    () => plot.set?.landmarks.length,
    () => fill(),
  )

  function open(wanted: EntryField) {
    field.value = wanted === 'PLACE' ? 'A' : wanted
    text.value = isTape(field.value) ? tapes[field.value].text : ''
  }
  function close() {
    field.value = undefined
    text.value = ''
  }

  function press(key: string) {
    if (!kind.value) return
    text.value = pressed(text.value, key, kind.value, settings.units)
    if (isWhole(text.value, kind.value, settings.units)) keep()
  }

  /** Sends it while one goes on; a refusal comes back to where it was typed. */
  function send(attribute: Attribute, wanted: NonNullable<ValueEdit>) {
    const key = walk.thing.value!.placement.key
    delete refused[attribute]
    void plot.record(key, attribute, wanted, undefined, true).catch((failure: unknown) => {
      if (plot.conflict) return
      if (walk.thing.value?.placement.key !== key) {
        plot.problem = { sentence: sentence(failure), placement: key, attribute, wanted }
        return
      }
      refused[attribute] = sentence(failure)
      if (attribute === 'PLACE' && failure instanceof ApiError) {
        asksSide.value = failure.field === 'side'
        asksOutside.value = failure.field === 'place'
      }
      close()
    })
  }

  function advance(from: Attribute) {
    const at = walk.steps.value.findIndex((s) => s.attribute === from)
    // how it is controlled and fed is asked of what is known to be on the network, and to be fed
    const isAsked = ({ attribute }: WalkStep) =>
      (attribute !== 'PATCH' && attribute !== 'FEED') || !!value(walk.thing.value!, attribute)
    const isOpen = (s: WalkStep) => !walk.isLooked(s.attribute) && s.attribute !== from && isAsked(s)
    const next = walk.steps.value.slice(at + 1).find(isOpen)
    if (next) open(next.attribute)
    else close()
  }

  function keep() {
    const now = field.value
    const entered = text.value
    if (!now || !kind.value) return close()
    if (isTape(now)) {
      tapes[now].text = entered
      if (now !== 'C') return open(now === 'A' ? 'B' : 'C')
      return keepTapes()
    }
    if (!entered) return advance(now === 'TILT' ? 'AIM' : now)
    if (now === 'AIM' && walk.thing.value?.placement.kind !== 'MARK') {
      bearing = entered
      return open('TILT')
    }
    if (now === 'TILT')
      return choose('AIM', {
        text: `${bearing} ${/^(up|down)/.test(entered) ? entered : `down ${entered}`}`.replace(
          /(up|down)(\d)/,
          '$1 $2',
        ),
      })
    choose(now, { text: typed(entered, kind.value, settings.units) })
  }

  function choose(attribute: Attribute, wanted: NonNullable<ValueEdit>) {
    send(attribute, wanted)
    advance(attribute)
  }

  function asBefore(attribute: Attribute) {
    const key = walk.thing.value!.placement.key
    void plot.look(key, [attribute]).catch((failure: unknown) => (refused[attribute] = sentence(failure)))
    advance(attribute)
  }

  function keepTapes(but?: TapeLetter) {
    if (but) tapes[but].text = ''
    const pulled = LETTERS.filter((l) => tapes[l].text && tapes[l].landmark).map((l) => ({
      landmark: tapes[l].landmark,
      length: typed(tapes[l].text, 'LENGTH', settings.units),
    }))
    const measured: MeasuredBody = { tapes: pulled, side, outside }
    choose('PLACE', { measured })
  }

  return {
    field,
    text,
    kind,
    tapes,
    refused,
    asksSide,
    asksOutside,
    open,
    close,
    press,
    back: () => (text.value = text.value.slice(0, -1)),
    wipe: () => (text.value = ''),
    keep,
    choose,
    asBefore,
    takeLandmark(letter, name) {
      const other = LETTERS.find((l) => tapes[l].landmark === name)
      if (other) tapes[other].landmark = tapes[letter].landmark
      tapes[letter].landmark = name
    },
    stand(hand) {
      side = hand
      asksSide.value = false
      keepTapes()
    },
    standOutside() {
      outside = true
      asksOutside.value = false
      keepTapes()
    },
    keepTapes,
  }
}

/** What was taped before, for whoever pulls the same tape again; what a check should read is not told before it is pulled. */
export function before(walk: UseWalkReturn, letter: TapeLetter, landmark: string): LengthView | undefined {
  const own = walk.thing.value?.tapes
  if (!own?.own || letter === 'C' || !held(walk.thing.value!, 'PLACE')) return undefined
  return [own.a, own.b].find((t) => t.landmark === landmark)?.length
}
