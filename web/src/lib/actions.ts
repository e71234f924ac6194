import { usePlot } from '@/stores/plot'
import { useSettings } from '@/stores/settings'

/** Something that can be done where one is: a button where there is room for it, else an entry of *More*. */
export interface Action {
  name: string
  run?: () => unknown
  /** Opens in a page of its own. */
  href?: string
  disabled?: boolean
  title?: string
  /** One of these. */
  menu?: Action[]
}

export interface Paper {
  name: string
  path: string
  kinds?: string[]
}

/** What of this goes on paper or into a table; each opens in a page of its own. */
export function onPaper(papers: Paper[]): Action {
  const { units } = useSettings()
  return {
    name: 'On paper',
    menu: papers.flatMap(({ name, path, kinds = ['pdf', 'csv'] }) => {
      const [file, query] = path.split('?')
      return kinds.map((kind) => ({
        name: `${name}, ${kind.toUpperCase()}`,
        href: `${file}.${kind}?${query ? `${query}&` : ''}units=${units}`,
      }))
    }),
  }
}

/** Each person undoes their own. */
export function undoing(): Action[] {
  const plot = usePlot()
  return (['undo', 'redo'] as const).map((way) => {
    const name = way === 'undo' ? 'Undo' : 'Redo'
    const last = plot.plot?.mine[way]
    return {
      name,
      disabled: !last,
      title: last ? `${name} your last edit, of ${last}` : `Nothing of yours to ${way} in this shot`,
      run: () => plot.step(way),
    }
  })
}
