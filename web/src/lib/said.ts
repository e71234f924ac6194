import { answer, api, onVersion } from '@/api/client'
import type { ParsedLine, PlanPoint } from '@/api/types'
import { ATTRIBUTES } from '@/lib/words'
import { useBook } from '@/stores/book'
import { usePlot } from '@/stores/plot'
import { useStock } from '@/stores/stock'

/** What a line changes; a place that was measured with how it was. */
export function changesOf({ changes, measured }: ParsedLine): ParsedLine['changes'] {
  const asTaped = (c: ParsedLine['changes'][number]) => measured.find((m) => m.placement === c.placement)
  return changes.map((c) => (c.attribute === 'PLACE' && asTaped(c)) || c)
}

/** Whether a line says something that is not a change of a value. */
export function saysMore(line: ParsedLine): boolean {
  return !!(
    line.notes.length + line.takes.length + line.places.length + line.stages.length + line.locks.length || line.step
  )
}

/** What a line does besides changing values, a sentence each. */
export function besides(line: ParsedLine, nameOf: (key: string) => string): string[] {
  return [
    ...line.notes.map((n) => `${n.placement ? `note on ${nameOf(n.placement)}` : 'note'}: ${n.text}`),
    ...line.takes.map((t) => `take ${t.number}${t.circled ? ', circled' : ''}${t.note ? `: ${t.note}` : ''}`),
    ...line.places.map(
      (p) =>
        `place ${p.what} as ${p.name}${p.values.length ? `, with its ${p.values.map((v) => ATTRIBUTES[v.attribute]).join(', ')}` : ''}`,
    ),
    ...line.stages.map((s) => `${s.slate} is ${s.stage.toLowerCase()}`),
    ...line.locks.map((l) => `${l.locked ? 'lock' : 'unlock'} ${nameOf(l.placement)}`),
    ...(line.step ? [line.step === 'UNDO' ? 'take your last edit back' : 'do it again'] : []),
  ]
}

/**
 * Keeps what a line says besides changes.
 *
 * @param middle where something is placed of which no place was said
 */
export async function keepBesides(line: ParsedLine, middle: PlanPoint) {
  const plot = usePlot()
  const shotId = plot.plot!.shot.id
  const path = { shotId }
  for (const { placement, text } of line.notes) {
    await answer(api.POST('/api/shots/{shotId}/notes', { params: { path, query: { placement } }, body: { text } }))
  }
  for (const said of line.takes) await keepTake(shotId, said)
  for (const thing of line.places) await place(thing, middle)
  for (const { slate, stage } of line.stages) await setStage(shotId, slate, stage)
  for (const { placement, locked } of line.locks) await plot.describe(placement, { locked })
  if (line.step) await plot.step(line.step === 'UNDO' ? 'undo' : 'redo')
}

/** A take that is there already is circled, or noted, rather than written twice. */
async function keepTake(shotId: number, { number, circled, note }: ParsedLine['takes'][number]) {
  const { takes } = await answer(api.GET('/api/shots/{shotId}/takes', { params: { path: { shotId } } }))
  const there = takes.find((t) => t.number === number)
  if (!there) {
    await answer(
      api.POST('/api/shots/{shotId}/takes', { params: { path: { shotId } }, body: { number, circled, note } }),
    )
    return
  }
  await answer(
    api.PUT('/api/takes/{id}', {
      params: { path: { id: there.id }, header: onVersion(there.version) },
      body: { number, circled: circled || there.circled, note: note ?? there.note },
    }),
  )
}

async function place(thing: ParsedLine['places'][number], middle: PlanPoint) {
  const { name, what, kind, role, measured } = thing
  const plot = usePlot()
  const shelf = useStock()
  await shelf.fill()
  const fixture = shelf.kit?.fixtures.find((f) => f.piece.what === what)
  if (!fixture) throw new Error(`The kit has no ${what} any more.`)
  const values = thing.values.map((v) => (v.attribute === 'PLACE' && measured ? { ...v, value: measured } : v))
  const at = values.find((v) => v.attribute === 'PLACE')?.value as PlanPoint | undefined
  const { edit, key } = await answer(
    api.POST('/api/shots/{shotId}/placements', {
      params: { path: { shotId: plot.plot!.shot.id } },
      body: {
        name,
        kind,
        role,
        piece: fixture.piece,
        place: { xM: (at ?? middle).xM, yM: (at ?? middle).yM, outside: false },
        beamDeg: fixture.beamDeg,
        stack: fixture.stack,
        said: values,
        reason: plot.based ? plot.reason : undefined,
      },
    }),
  )
  plot.lay(edit)
  plot.selected = key
}

async function setStage(shotId: number, slate: string, stage: ParsedLine['stages'][number]['stage']) {
  const book = useBook()
  const of = book.shots.get(shotId)?.scene.shots.find((s) => s.slate === slate)
  if (!of) throw new Error(`${slate} is not in this scene any more.`)
  const { description, basedOnId, day } = of
  await book.changeShot(of.id, { slate, description, stage, basedOnId, day }, of.version)
}
