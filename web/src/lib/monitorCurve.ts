import { answer, api, onVersion } from '@/api/client'
import { outdate } from '@/api/reads'
import type { MonitorCurve, MonitorView } from '@/api/types'
import { SIGNAL_CURVES } from './words'

export const curveName = (curve: MonitorCurve): string =>
  curve.table?.name ?? SIGNAL_CURVES.find((c) => c.key === curve.shipped)!.name

/** Chooses what a production and a scene of it are read through, where that is another than it was. */
export async function chooseCurves(
  sceneId: number,
  { productionId, production, productionVersion, own, version }: MonitorView,
  wanted: Pick<MonitorView, 'production' | 'own'>,
): Promise<void> {
  const other = (a?: MonitorCurve, b?: MonitorCurve) => JSON.stringify(a) !== JSON.stringify(b)
  if (other(wanted.production, production)) {
    const params = { path: { productionId }, header: onVersion(productionVersion) }
    await answer(api.PUT('/api/productions/{productionId}/monitor', { params, body: wanted.production }))
  }
  if (other(wanted.own, own)) {
    const params = { path: { sceneId }, header: onVersion(version) }
    await answer(api.PUT('/api/scenes/{sceneId}/monitor', { params, body: { curve: wanted.own } }))
  }
  await outdate({ topics: ['MATCH'] })
}
