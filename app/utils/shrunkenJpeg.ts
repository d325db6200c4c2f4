const longestEdge = 1600

/** Makes a picture of any kind the browser knows into a JPEG of at most 1600 px an edge. Throws where it cannot be read. */
export async function shrunkenJpeg(file: File): Promise<Blob> {
  const picture = await createImageBitmap(file).catch(() => {
    throw new Error(`${file.name} is not an image this browser can open`)
  })
  const scale = Math.min(1, longestEdge / Math.max(picture.width, picture.height))
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(picture.width * scale)),
    Math.max(1, Math.round(picture.height * scale)),
  )
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height)
  picture.close()
  return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.85 })
}
