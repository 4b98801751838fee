'use client';
import { useEffect, useState } from 'react';
import { browserDatabase, type WorkshopName } from '@/store/database';

const LONGEST_PX = 1600;

/** Shrinks a picture to at most 1600 px; drawing it anew also leaves its location data behind. */
export async function shrinkPhoto(file: Blob): Promise<Blob> {
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
  const scale = Math.min(1, LONGEST_PX / Math.max(picture.width, picture.height));
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(picture.width * scale)),
    Math.max(1, Math.round(picture.height * scale)),
  );
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.82 });
}

/** The address of a kept photograph while it is shown. */
export function usePhoto(workshop: WorkshopName, id: string): string | null {
  const [url, setUrl] = useState<string | null>(null);
  useEffect(() => {
    let made: string | null = null;
    let gone = false;
    void browserDatabase(workshop)
      .readPhoto(id)
      .then((blob) => {
        if (!blob || gone) return;
        made = URL.createObjectURL(blob);
        setUrl(made);
      });
    return () => {
      gone = true;
      if (made) URL.revokeObjectURL(made);
    };
  }, [workshop, id]);
  return url;
}

export async function keepPhoto(workshop: WorkshopName, id: string, file: Blob): Promise<void> {
  await browserDatabase(workshop).writePhoto(id, await shrinkPhoto(file));
}
