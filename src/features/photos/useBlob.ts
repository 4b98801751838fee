'use client';
import { useEffect, useState } from 'react';
import { useWorkshop } from '../workshop/WorkshopProvider';
import { smallId } from './shrink';

export interface BlobUrl {
  url: string | null;
  missing: boolean;
}

/** The address of a kept blob while it is shown; `small` takes the small picture and the whole one where there is none. */
export function useBlob(id: string, small = false): BlobUrl {
  const { database } = useWorkshop();
  const [shown, setShown] = useState<BlobUrl>({ url: null, missing: false });
  useEffect(() => {
    let made: string | null = null;
    let gone = false;
    void (async () => {
      const blob = (small ? await database.readPhoto(smallId(id)) : null) ?? (await database.readPhoto(id));
      if (gone) return;
      made = blob ? URL.createObjectURL(blob) : null;
      setShown({ url: made, missing: !blob });
    })().catch(() => !gone && setShown({ url: null, missing: true }));
    return () => {
      gone = true;
      if (made) URL.revokeObjectURL(made);
    };
  }, [database, id, small]);
  return shown;
}
