import type { Placed } from '@/api/types'

/** What can be said, by example: of what is selected, or of anything. The word “Key” stands for the light that is meant. */
const OF_A_LIGHT = [
  '45%',
  'down a third',
  'half a stop hotter',
  '4300',
  'warm it a quarter',
  'half cto',
  'lose the half cto',
  'swap the half cto for a quarter',
  'half grid on a 1.2 m frame at 80 cm',
  'closer 40 cm hold',
  'camera left a foot',
  '2.1 m from A and 3.4 m from B',
  'up 20 cm',
  'pan left 10 degrees',
  'on universe 1 at 101',
  'off',
]
const OF_A_HUE = ['blue at 60 percent saturation', 'hue 220', 'fire at 3 hertz', 'steady', 'back to white']
const OF_A_CAMERA = [
  't2.8',
  'open up a third',
  'iso 800',
  'shutter 1/50',
  '35 mil',
  'white 3200 plus 2 green',
  'nd nine',
  'two stops of nd',
]
const OF_A_MARK = ['back a foot', 'camera left 20 cm', '2.1 m from A and 3.4 m from B']
const OF_GRIP = ['in a foot', 'up 20 cm', 'left 10 cm', 'out', '2.1 m from A and 3.4 m from B']
const OF_ANYTHING = [
  'key and fill down a third',
  'kill everything but the key',
  'just the key',
  'quarter cto on the fill',
  'place a bicolour spot 150 as topper',
  'note on the key: barn door rattles',
  'circle take 3',
  "we've got it",
  'lock the key',
  'undo',
]

/** @param landmarks names of the set's landmarks, which take the place of A and B */
export function sayExamples(of: Placed | undefined, landmarks: string[]): string[] {
  const [a = 'one landmark', b = 'another'] = landmarks
  return examples(of).map((e) => e.replace(' A ', ` ${a} `).replace(/ B$/, ` ${b}`))
}

function examples(of: Placed | undefined): string[] {
  if (!of) return OF_ANYTHING
  const { kind, piece } = of.placement
  if (kind === 'CAMERA') return OF_A_CAMERA
  if (kind === 'MARK') return OF_A_MARK
  if (kind !== 'HEAD' && kind !== 'PRACTICAL') return OF_GRIP
  return /full-colour/i.test(piece.what) ? [...OF_A_HUE, ...OF_A_LIGHT] : OF_A_LIGHT
}
