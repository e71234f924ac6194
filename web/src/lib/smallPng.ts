/** No larger side than this goes to the bench. */
const MOST = 256

export interface SmallPng {
  /** For the page. */
  url: string
  base64: string
  width: number
  height: number
}

/** A picture as a PNG that is small enough to be sent along. Rejects with a sentence when it is none. */
export async function smallPng(file: Blob): Promise<SmallPng> {
  const picture = await createImageBitmap(file).catch(() => {
    throw new Error('This is not a picture that can be read here: save it as PNG or JPEG.')
  })
  const scale = Math.min(1, MOST / Math.max(picture.width, picture.height))
  const width = Math.max(1, Math.round(picture.width * scale))
  const height = Math.max(1, Math.round(picture.height * scale))
  const canvas = document.createElement('canvas')
  Object.assign(canvas, { width, height })
  const pen = canvas.getContext('2d')!
  pen.imageSmoothingQuality = 'high'
  pen.drawImage(picture, 0, 0, width, height)
  const url = canvas.toDataURL('image/png')
  return { url, base64: url.slice(url.indexOf(',') + 1), width, height }
}
