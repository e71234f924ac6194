import type { Light, Placed, Plot, PlotEdit, TrialView } from '@/api/types'

const both = (text: string) => ({ metric: text, imperial: text })

/** A value as the server answers it. */
export function tied(value: object, say: string, more: object = {}) {
  return {
    value,
    say: both(say),
    typed: both(say),
    brief: both(say.replace(' ', '')),
    from: '4B',
    tiedHere: false,
    author: 'gaffer',
    at: '2026-11-17T20:30:00Z',
    ...more,
  }
}

/** A head that stands in the shop, or another thing there. */
export function thing(
  key: string,
  more: { kind?: string; role?: string; at?: [number, number]; level?: number } = {},
): Placed {
  const { kind = 'HEAD', role = 'KEY', at = [5, 4], level = 42 } = more
  return {
    placement: {
      key,
      name: key.charAt(0).toUpperCase() + key.slice(1),
      kind,
      role,
      piece: { what: 'Bicolour LED spot 300 W', widthM: 0.3, watts: 320, mount: 'STAND' },
    },
    version: 1,
    onSet: true,
    records: ['PLACE', 'HEIGHT', 'AIM', 'LEVEL', 'CCT'],
    values: {
      STANDING: tied({ state: 'ON' }, 'on'),
      PLACE: tied({ xM: at[0], yM: at[1], outside: false }, `${at[0].toFixed(2)} m right, ${at[1].toFixed(2)} m up`),
      HEIGHT: tied({ heightM: 2.07 }, '2.07 m'),
      LEVEL: tied({ percent: level }, `${level} %`),
    },
    revisions: { PLACE: 3, LEVEL: 5, HEIGHT: 2 },
    aim: { bearingDeg: 220, bearing: '220°', tiltDeg: -20, distanceM: 0 },
  } as unknown as Placed
}

/** Shot 4C of the shop, based on 4B. */
export function shop(
  shotId = 3,
  placements: Placed[] = [thing('key'), thing('edge', { role: 'EDGE', at: [2, 2] })],
): Plot {
  return {
    sceneId: 1,
    scene: { number: '4', heading: 'INT. RADIO REPAIR SHOP, NIGHT', location: 'shop', buildOrder: 'KEY_FIRST' },
    drawn: {
      id: 1,
      productionId: 1,
      version: 1,
      set: { name: 'Shop', plan: { northDeg: 0, walls: [], openings: [], furniture: [], landmarks: [] } },
    },
    shot: {
      id: shotId,
      slate: `4${'ABCDEF'[shotId - 1]}`,
      description: '',
      stage: 'LIT',
      basedOn: '4B',
      version: 1,
      revision: 1,
    },
    mine: {},
    placements,
  } as unknown as Plot
}

/** What an edit of a level answers: the value, one revision on. */
export function levelled(plot: Plot, key: string, percent: number): PlotEdit {
  const before = plot.placements.find((p) => p.placement.key === key)!
  const level = (before.revisions as Record<string, number>).LEVEL ?? 0
  return {
    shot: plot.shot,
    mine: { undo: 'Key level' },
    placements: [
      {
        ...before,
        values: { ...before.values, LEVEL: tied({ percent }, `${percent} %`, { tiedHere: true }) },
        revisions: { ...before.revisions, LEVEL: level + 1 },
      },
    ],
  } as unknown as PlotEdit
}

/** The light with nothing tried, or with these tried. */
export function lit(placements: Placed[] = [], changes: TrialView['changes'] = []): TrialView {
  const light = { marks: [], sources: [], hints: [] } as unknown as Light
  return { light, placements, changes, holds: [] } as unknown as TrialView
}
