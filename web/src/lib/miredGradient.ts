import { answer, api } from '@/api/client'

const STEPS = 24

/** Colours along a stretch of the mired ruler, as a camera of this white sees them. */
export async function miredGradient(
  from: number,
  to: number,
  cameraKelvin: number,
  cameraDuv: number,
): Promise<{ mired: number; swatch: string }[]> {
  const along = Array.from({ length: STEPS + 1 }, (_, i) => from + ((to - from) * i) / STEPS)
  const { swatches } = await answer(
    api.POST('/api/bench/seen', {
      body: {
        whites: along.map((m) => ({ kelvin: 1e6 / m })),
        whiteBalanceKelvin: cameraKelvin,
        whiteBalanceDuv: cameraDuv,
      },
    }),
  )
  return along.map((mired, i) => ({ mired, swatch: swatches[i]! }))
}
