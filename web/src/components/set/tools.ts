import type { Tool } from '@/lib/setDrawing'

export interface DrawingTool {
  key: Tool
  name: string
  /** How many clicks it takes: none, 1, 2, or as many as one likes, to be ended. */
  clicks: 0 | 1 | 2 | 'many'
  hint: string
}

export const TOOLS: DrawingTool[] = [
  { key: 'choose', name: 'Choose', clicks: 0, hint: 'Click a thing to change it. Drag its corners.' },
  {
    key: 'wall',
    name: 'Wall',
    clicks: 'many',
    hint: 'Click corner after corner; on the first again, or Enter, to end.',
  },
  { key: 'window', name: 'Window', clicks: 2, hint: 'Click both sides of the window on a wall.' },
  { key: 'door', name: 'Door', clicks: 2, hint: 'Click both sides of the door on a wall, hinge last.' },
  { key: 'furniture', name: 'Furniture', clicks: 'many', hint: 'Click its corners; Enter to end.' },
  { key: 'landmark', name: 'Landmark', clicks: 1, hint: 'Click a point that can be found again: a post, a corner.' },
  { key: 'restriction', name: 'Not allowed', clicks: 'many', hint: 'Click round where it holds; Enter to end.' },
]

/** Taken in hand with a picture, not from the row of tools. */
export const SCALING: DrawingTool = {
  key: 'scale',
  name: 'Scale',
  clicks: 2,
  hint: 'Click two points of the picture whose distance you know.',
}
