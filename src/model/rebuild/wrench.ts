import type { Bolt } from '@/core/rebuild/bolts';

/** What a wrench is set to for a bolt: the middle of its band, to a tenth; null where it has no figure. */
export function setNmOf({ torqueMinNm, torqueMaxNm }: Pick<Bolt, 'torqueMinNm' | 'torqueMaxNm'>): number | null {
  if (torqueMinNm === null || torqueMaxNm === null) return null;
  return Math.round((torqueMinNm + torqueMaxNm) * 5) / 10;
}
