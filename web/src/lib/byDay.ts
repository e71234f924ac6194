import type { ProductionPage, ScenePage } from '@/api/types'

type BookShots = ScenePage['shots']

/** The shots of a production by the day that each is planned for; those of none last, where there are any. */
export function byDay(
  page: ProductionPage,
  of: (scene: ScenePage) => BookShots = (scene) => scene.shots,
): { number?: number; shots: BookShots }[] {
  const all = page.scenes.flatMap(of)
  const numbers = Array.from({ length: page.production.days }, (_, i) => i + 1)
  const none = all.filter((s) => !s.day)
  return [
    ...numbers.map((number) => ({ number, shots: all.filter((s) => s.day === number) })),
    ...(none.length ? [{ shots: none }] : []),
  ]
}
