/** A picture made small, or why it could not be. */
export type ShrunkPhoto =
  | {
      readonly ok: true
      readonly photo: { readonly dataUrl: string; readonly width: number; readonly height: number }
    }
  | { readonly ok: false; readonly message: string }

/** The longer side of a kept picture, px: enough to see a crumb, little enough to keep hundreds. */
const LONGEST = 1280
const QUALITY = 0.8

/** Bytes as a data URL. */
async function asDataUrl(blob: Blob): Promise<string> {
  const bytes = new Uint8Array(await blob.arrayBuffer())
  let text = ''
  const CHUNK = 32_768
  for (let at = 0; at < bytes.length; at += CHUNK)
    text += String.fromCharCode(...bytes.subarray(at, at + CHUNK))
  return `data:image/jpeg;base64,${btoa(text)}`
}

/** Makes a photograph small: its longer side 1280 px at most, as JPEG, the right way up. Nothing of where it was taken is kept. */
export async function shrinkPhoto(file: Blob): Promise<ShrunkPhoto> {
  let picture: ImageBitmap
  try {
    picture = await createImageBitmap(file, { imageOrientation: 'from-image' })
  } catch {
    return {
      ok: false,
      message: 'This file is no picture that the browser can open. Nothing was kept. Try a JPEG or PNG.',
    }
  }
  const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height))
  const width = Math.max(1, Math.round(picture.width * scale))
  const height = Math.max(1, Math.round(picture.height * scale))
  const canvas = new OffscreenCanvas(width, height)
  canvas.getContext('2d')?.drawImage(picture, 0, 0, width, height)
  picture.close()
  const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY })
  return { ok: true, photo: { dataUrl: await asDataUrl(blob), width, height } }
}
