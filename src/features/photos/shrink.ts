const LONGEST_PX = 1600;
const SMALL_PX = 240;
const MOST_BYTES = 60_000_000;

/** Where the small picture of a photograph lies. */
export function smallId(id: string): string {
  return `${id}:small`;
}

async function drawn(picture: ImageBitmap, longestPx: number, quality: number): Promise<Blob> {
  const scale = Math.min(1, longestPx / Math.max(picture.width, picture.height));
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(picture.width * scale)),
    Math.max(1, Math.round(picture.height * scale)),
  );
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height);
  return canvas.convertToBlob({ type: 'image/jpeg', quality });
}

/**
 * A photograph of at most 1600 px and its small picture. The picture is turned as its camera held it and drawn anew,
 * which leaves its location and everything else that came with the file behind.
 *
 * Errors: a file that is no picture, or too large to open.
 */
export async function shrinkPhoto(file: Blob): Promise<{ photo: Blob; small: Blob }> {
  if (file.size > MOST_BYTES) throw new Error('too large');
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
  try {
    return { photo: await drawn(picture, LONGEST_PX, 0.82), small: await drawn(picture, SMALL_PX, 0.74) };
  } finally {
    picture.close();
  }
}
